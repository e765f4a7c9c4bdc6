import { once } from '../units/once';
import type { Brief } from '../brief/brief';
import type { Settings } from '../records/settings';
import { alternativesTo, otherSchools } from './alternatives';
import type { Alternative } from './alternatives';
import { exposureOf, figuresOf, lossOf, motionViewOf } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import type { Exposure } from '../loss/exposure';
import { holdsOf } from './holds';
import type { Holds } from './holds';
import { refusalFor } from './refusal';
import type { Refusal } from './refusal';
import { schoolOf } from '../loss/schools';
import { search } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { motionOf } from '../loss/movement';
import type { MotionFigures } from '../loss/movement';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';
import type { Loss } from '../loss/table';
import { warningsOf } from './warnings';
import type { Warning } from './warnings';

/** What the solver knows of its answer: figures only, worded elsewhere. */
export interface Solution {
  space: Space;
  candidate: Candidate;
  settings: Settings;
  score: number;
  loss: Loss;
  exposure: Exposure;
  figures: MotionFigures;
  motion: { blurPctWidth: number; stepPctWidth: number; shakeSmearPctWidth: number; seenFps: number };
  holds: Holds;
  warnings: Warning[];
  /** What every other school makes of it, and every other way that is one. */
  schools: Alternative[];
  alternatives: Alternative[];
}

export type Outcome = { solved: true; solution: Solution } | { solved: false; refusal: Refusal };

/**
 * Solves a brief: the settings with the least visible loss that keep every pin and limit, or the reason why there are
 * none and the nearest that would work. Deterministic; never throws on a brief that passed its schema.
 */
export function solve(brief: Brief): Outcome {
  const made = spaceFor(brief, schoolOf(brief.look));
  if (!made.ok) return { solved: false, refusal: refusalFor(brief, made.obstacle) };
  const { space } = made;
  const found = search(space);
  if (!found) throw new Error('a space without obstacles holds no candidate');
  const { candidate, score } = found;
  const loss = lossOf(space, candidate);
  const exposure = exposureOf(space, candidate);
  const figures = figuresOf(space, candidate.mode);
  const seconds = candidate.shutter.longestSeconds;
  const moved = motionOf(brief, figures, motionViewOf(space, candidate.mode), seconds);
  const motion = { ...moved, seenFps: candidate.mode.frameRate / brief.playback.slowdown };
  // The other schools and filters take longer than the answer itself: what is not asked for is not worked out.
  const holds = once(() =>
    holdsOf(space, candidate, exposure, motion, figures.worstPctPerS / figures.pctPerDegree),
  );
  const warnings = once(() => warningsOf({ space, candidate, loss, exposure, figures, motion }));
  const schools = once(() => otherSchools(space, candidate, loss));
  const alternatives = once(() => alternativesTo(space, candidate, loss, score, schools()));
  return {
    solved: true,
    solution: {
      space,
      candidate,
      settings: settingsOf(space, candidate),
      score,
      loss,
      exposure,
      figures,
      motion,
      get holds() {
        return holds();
      },
      get warnings() {
        return warnings();
      },
      get schools() {
        return schools();
      },
      get alternatives() {
        return alternatives();
      },
    },
  };
}
