import { ownPins } from '../brief/brief';
import type { SchoolId } from '../vocabulary/schools';
import type { Pins, Settings } from '../records/settings';
import type { Candidate } from '../search/candidate';
import { changesFrom, judgedBy, judgedBySchool, WORTH_A_WORD } from '../search/judged';
import type { Judged, TermChange } from '../search/judged';
import { settingsOf } from '../search/settingsOf';
import type { Space } from '../search/space';
import { underPins } from '../search/workings';
import { schoolsFor } from '../loss/schools';
import type { Loss } from '../loss/table';

/** Another way to film the shot, on the answer's own scale, with the terms that get better and worse. */
export interface Alternative {
  way: AlternativeWay;
  settings: Settings;
  /** Score under the weights of the answer's school, so that it compares. */
  score: number;
  loss: Loss;
  gains: TermChange[];
  costs: TermChange[];
}

type AlternativeWay =
  | { code: 'school'; school: SchoolId }
  | { code: 'denserFilter' }
  | { code: 'lighterFilter' }
  | { code: 'recording'; recording: 'hdr' | 'lowLight' }
  | { code: 'withoutPins'; pins: (keyof Pins)[] };

/** Loss of the light that another way of recording could take away, from which it is worth trying. */
const WORTH_ANOTHER_RECORDING = 0.5;

/** What every other school makes of the same brief, seen with the answer's eyes: also where it comes to the same. */
export function otherSchools(space: Space, chosen: Candidate, loss: Loss): Alternative[] {
  return schoolsFor(space.brief.look)
    .filter((id) => id !== space.school.id)
    .flatMap((school) => {
      const judged = judgedBySchool(space, chosen, school);
      return judged ? [told({ code: 'school', school }, space, loss, judged)] : [];
    });
}

function told(way: AlternativeWay, space: Space, loss: Loss, judged: Judged): Alternative {
  return {
    way,
    settings: settingsOf(judged.space, judged.candidate),
    score: judged.score,
    loss: judged.loss,
    ...changesFrom(space, loss, judged.loss),
  };
}

/** The other schools' ways that differ, one filter step either way, and the pin-free best where pins cost. */
export function alternativesTo(
  space: Space,
  chosen: Candidate,
  loss: Loss,
  score: number,
  schools: readonly Alternative[],
): Alternative[] {
  const { brief } = space;
  const compare = (way: AlternativeWay, pins: Pins): Alternative[] => {
    const judged = judgedBy(space, underPins(brief, pins), space.school.id);
    return judged ? [told(way, space, loss, judged)] : [];
  };
  const found = [...schools];
  if (!brief.pins.filter) {
    const at = space.filters.findIndex((filter) => filter.stops > chosen.filter.stops);
    const denser = at < 0 ? undefined : space.filters[at];
    const lighter = space.filters.findLast((filter) => filter.stops < chosen.filter.stops);
    for (const [code, filter] of [
      ['denserFilter', denser],
      ['lighterFilter', lighter],
    ] as const) {
      if (!filter) continue;
      const pins: Pins = {
        ...brief.pins,
        frameRate: chosen.mode.frameRate,
        resolution: { width: chosen.mode.resolution.width, height: chosen.mode.resolution.height },
        view: { id: chosen.mode.view.id },
        stabilization: chosen.mode.stabilization,
        filter: { ids: [...filter.ids], stops: filter.stops },
      };
      found.push(...compare({ code }, pins));
    }
  }
  const { weights } = space.school;
  const outside = weights.over * loss.over + weights.under * loss.under;
  for (const [recording, worth] of [
    ['hdr', outside],
    ['lowLight', weights.noise * loss.noise],
  ] as const) {
    if (brief.pins.recording !== undefined || worth < WORTH_ANOTHER_RECORDING) continue;
    if (brief.camera.rules.some((rule) => rule.recordings.includes(recording)))
      found.push(...compare({ code: 'recording', recording }, { ...brief.pins, recording }));
  }
  const pins = Object.keys(ownPins(brief)) as (keyof Pins)[];
  if (pins.length > 0) {
    const [free] = compare({ code: 'withoutPins', pins }, brief.held);
    if (free && free.score < score - WORTH_A_WORD) found.push(free);
  }
  return found.filter((alternative) => isAnother(alternative, score));
}

/**
 * What gains and loses nothing is no other way. And nothing that the answer's own school could have taken stands below it: it
 * would have been the answer; only what a pin keeps from it may.
 */
function isAnother({ way, score, gains, costs }: Alternative, answer: number): boolean {
  return way.code === 'withoutPins' || (gains.length + costs.length > 0 && score >= answer - SAME_SCORE);
}

/** Scores that differ by less are the same sum, added up in another order. */
const SAME_SCORE = 1e-6;
