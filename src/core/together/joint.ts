import { secondsOfAngle } from '../playback/shutterAngle';
import { COLOURS } from '../vocabulary/modes';
import type { Colour } from '../vocabulary/modes';
import { modesOf } from '../camera/modeTable';
import { shownAngleDeg } from './matchSheet';
import type { Brief } from '../brief/brief';
import type { Pins, Settings } from '../records/settings';
import { cadenceOf, familyOf, RATE_FAMILIES } from '../playback/cadence';
import type { RateFamily } from '../playback/cadence';
import { schoolOf } from '../loss/schools';
import { searchBelow } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { spaceFor } from '../search/space';
import { underPins, workingsOf } from '../search/workings';

/**
 * Several cameras solved together, so that they cut: one frame-rate family, one shutter angle of the frames shown (of
 * running shutters the longest), all fixed or all running, one white balance, one colour, one exposure offset. Of all
 * such sets the one with the least loss summed over the cameras. The search over what is shared is short and plain:
 * families × colours × angles × fixed or running, each camera then solved under those pins.
 */
interface JointAnswer {
  /** For each camera: the pins that make it match, those the person had set included, and its settings under them. */
  cameras: { pins: Pins; settings: Settings; score: number }[];
  score: number;
  /** What matching adds to the loss of the cameras solved each for itself. */
  cost: number;
}

type JointOutcome =
  | { solved: true; joint: JointAnswer }
  /** Some camera has no answer even alone (its index), or no shared set exists. */
  | { solved: false; alone: number | null };

/** Angles tried beside those that the cameras take by themselves, degrees of the frames shown. */
const USUAL_ANGLES_DEG = [180, 90, 45, 22.5];

/** Fixed ones first: where both come to the same, nothing runs. */
const SHUTTER_MODES = ['fixed', 'auto'] as const;

export function solveJointly(briefs: readonly Brief[]): JointOutcome {
  const alone = briefs.map((brief) => solved(brief));
  const missing = alone.findIndex((one) => one === null);
  if (missing >= 0) return { solved: false, alone: missing };
  const free = alone.filter((one) => one !== null);
  const freeScore = free.reduce((sum, { score }) => sum + score, 0);
  const [first] = briefs;
  if (!first) return { solved: false, alone: null };

  // A set that a person pinned on one camera is tried like any other; one that breaks a pin has no answer.
  const angles = [
    ...new Set([
      ...free.map(({ settings }) => round(shownAngleDeg(settings, first.playback))),
      ...USUAL_ANGLES_DEG,
    ]),
  ];
  const whiteBalance = sharedWhiteBalance(briefs);
  const offset = Math.min(...free.map(({ settings }) => settings.exposureOffsetStops));
  let best: JointAnswer | null = null;
  for (const family of RATE_FAMILIES)
    for (const colour of COLOURS)
      for (const angle of angles)
        for (const mode of SHUTTER_MODES) {
          const shared: Shared = { family, colour, angle, mode, whiteBalance, offset };
          const cameras: JointAnswer['cameras'] = [];
          let score = 0;
          for (const [at, brief] of briefs.entries()) {
            // The cameras still to come do no better than each alone.
            const least = free.slice(at + 1).reduce((sum, one) => sum + one.score, 0);
            const beat: number = (best?.score ?? Infinity) - score - least;
            if ((free[at]?.score ?? 0) >= beat) break;
            const mine = cameraUnder(brief, shared, beat);
            if (!mine) break;
            cameras.push(mine);
            score += mine.score;
          }
          if (cameras.length === briefs.length && (best === null || score < best.score))
            best = { cameras, score, cost: score - freeScore };
        }
  if (best === null) return { solved: false, alone: null };
  return { solved: true, joint: best };
}

interface Shared {
  family: RateFamily;
  colour: Colour;
  angle: number;
  mode: (typeof SHUTTER_MODES)[number];
  whiteBalance: number;
  offset: number;
}

/** One camera at its best under what is shared, if that is below `beat`; `null` where its pins or modes say no. */
function cameraUnder(
  brief: Brief,
  { family, colour, angle, mode, whiteBalance, offset }: Shared,
  beat: number,
): JointAnswer['cameras'][number] | null {
  if (!brief.camera.iso[colour]) return null;
  const { timelineFps, slowdown } = brief.playback;
  const rates = [...new Set(modesOf(brief.camera).map(({ frameRate }) => frameRate))];
  let best: JointAnswer['cameras'][number] | null = null;
  for (const frameRate of rates) {
    if (familyOf(frameRate) !== family) continue;
    if (brief.pins.frameRate !== undefined && brief.pins.frameRate !== frameRate) continue;
    const { shownFps } = cadenceOf(frameRate, timelineFps, slowdown);
    const shutterSeconds = secondsOfAngle(angle, shownFps);
    if (shutterSeconds > (1 / frameRate) * (1 + 1e-9)) continue;
    if (shutterSeconds < brief.camera.shutter.shortestSeconds) continue;
    const wanted: Pins = {
      frameRate,
      shutterSeconds,
      shutterMode: mode,
      colour,
      whiteBalance,
      exposureOffsetStops: offset,
    };
    if (!agrees(brief.pins, wanted)) continue;
    const mine = solved(underPins(brief, { ...brief.pins, ...wanted }), best?.score ?? beat);
    if (mine) best = mine;
  }
  return best;
}

/** What the person pinned stays: a shared value that contradicts it is no answer. */
function agrees(held: Pins, wanted: Pins): boolean {
  return (Object.keys(wanted) as (keyof Pins)[]).every(
    (key) => held[key] === undefined || JSON.stringify(held[key]) === JSON.stringify(wanted[key]),
  );
}

/** Its best answer, if that is below `beat`. */
function solved(brief: Brief, beat = Infinity): JointAnswer['cameras'][number] | null {
  const made = spaceFor(brief, schoolOf(brief.look));
  const found = made.ok ? searchBelow(made.space, beat) : null;
  if (!made.ok || !found) return null;
  return { pins: brief.pins, settings: settingsOf(made.space, found.candidate), score: found.score };
}

/** A locked value: what somebody pinned, or what the light asks for. */
function sharedWhiteBalance(briefs: readonly Brief[]): number {
  const pinned = briefs.map(({ pins }) => pins.whiteBalance).find((value) => typeof value === 'number');
  if (typeof pinned === 'number') return pinned;
  const [first] = briefs;
  return first ? workingsOf(first).lightColour.lockK : 5600;
}

function round(degrees: number): number {
  return Math.round(degrees * 1000) / 1000;
}
