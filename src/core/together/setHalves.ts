import { secondsOfAngle } from '../playback/shutterAngle';
import { PAIR_ASKS } from '../vocabulary/pairs';
import type { PairAsks } from '../vocabulary/pairs';
import { omit } from '../units/omit';
import { modesOf } from '../camera/modeTable';
import { wearable } from '../filters/bag';
import { filterSettings } from '../filters/kit';
import type { Pins, Settings } from '../records/settings';
import type { Pair, Shot } from '../records/shot';
import { cameraCount, shotOfPart, withPart } from '../records/secondAngles';
import { briefOf, ownPins } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { halfOf, LOW_FPS, straightView, wantedBlurPct, widestView } from './pairSheet';

/** Pins that make both halves alike and give the kind what it asks; and the turning for the wanted blur. */
interface PairPlan {
  pins: [Pins, Pins];
  turnDegPerS: [number, number];
}

/** Turning is set in steps a person can aim at, degrees a second. */
const TURN_STEP_DEG_PER_S = 5;

/**
 * The shot with both halves set as their join needs: what must be equal pinned alike, what the kind asks given, and the
 * turning for its blur where it turns. `null`: it is no pair, or its two cameras share no frame rate.
 */
export function withHalvesSet(shot: Shot): Shot | null {
  const { pair } = shot;
  if (!pair) return null;
  const parts = [0, cameraCount(shot)] as const;
  const plan = planPair(pair, [
    briefOf(shotOfPart(shot, parts[0])).brief,
    briefOf(shotOfPart(shot, parts[1])).brief,
  ]);
  if (!plan) return null;
  const turns = pair.kind === 'whip' || pair.kind === 'falling';
  return ([0, 1] as const).reduce<Shot>((done, half) => {
    const part = shotOfPart(done, parts[half]);
    const panDegPerS = Math.ceil(plan.turnDegPerS[half] / TURN_STEP_DEG_PER_S) * TURN_STEP_DEG_PER_S;
    return withPart(done, parts[half], {
      ...part,
      pins: plan.pins[half],
      ...(turns ? { motion: { ...part.motion, panDegPerS } } : {}),
    });
  }, shot);
}

/**
 * From all pins a kind asks for, those are let go one by one, the least needed first, until both cameras can. `null`
 * where not even a shared shutter is possible.
 */
function planPair(pair: Pair, briefs: readonly [Brief, Brief]): PairPlan | null {
  const [first] = briefs;
  const demands: readonly PairAsks[] = PAIR_ASKS[pair.kind];
  const frameRate = sharedRate(briefs, demands.includes('lowFrameRate'));
  if (frameRate === undefined) return null;
  const view = demands.includes('widest')
    ? widestView(first)
    : demands.includes('straightView')
      ? straightView(first)
      : undefined;
  const alone = solve(first);
  const usual = alone.solved ? alone.solution.settings : null;
  const viewId = view ?? usual?.view.id;
  const need: Pins = {
    frameRate,
    shutterMode: 'fixed',
    shutterSeconds: secondsOfAngle(angleFor(demands, usual), frameRate),
    whiteBalance: usual && typeof usual.whiteBalance === 'number' ? usual.whiteBalance : 5600,
    exposureOffsetStops: 0,
    ...(usual ? { colour: usual.colour } : {}),
  };
  const inView: Pins = viewId ? { view: { id: viewId } } : {};
  const unsteadied: Pins =
    pair.kind === 'whip' || demands.includes('stabilizationOff') ? { stabilization: 'off' } : {};
  for (const wish of [{ ...inView, ...unsteadied }, inView, {}]) {
    const halves = briefs.map((brief) => setHalf(brief, { ...need, ...wish }, demands.includes('filterOn')));
    const [a, b] = halves;
    if (!a || !b) continue;
    const turns = [a, b].map(({ solution }) => halfOf(solution, wantedBlurPct(pair)).turnDegPerS);
    return { pins: [a.pins, b.pins], turnDegPerS: [turns[0] ?? 0, turns[1] ?? 0] };
  }
  return null;
}

/** The rate both cameras have, nearest to the timeline's and, where it has to be low, no higher than that. */
function sharedRate(briefs: readonly [Brief, Brief], low: boolean): number | undefined {
  const { timelineFps, slowdown } = briefs[0].playback;
  const [first, second] = briefs.map(
    (brief) => new Set(modesOf(brief.camera).map(({ frameRate }) => frameRate)),
  );
  const shared = [...(first ?? [])].filter((fps) => second?.has(fps));
  const slow = shared.filter((fps) => fps <= LOW_FPS);
  const wanted = timelineFps * slowdown;
  return (low && slow.length > 0 ? slow : shared).sort(
    (a, b) => Math.abs(a - wanted) - Math.abs(b - wanted),
  )[0];
}

function angleFor(demands: readonly PairAsks[], usual: Settings | null): number {
  return demands.includes('angle180') || !usual || usual.shutterMode === 'auto'
    ? 180
    : Math.min(180, usual.shutterAngleDeg);
}

/** One half under these pins, and where it must wear a filter, under the one of its bag that loses least. */
function setHalf(brief: Brief, pins: Pins, filterOn: boolean): { pins: Pins; solution: Solution } | null {
  const plain = solvedUnder(brief, pins);
  if (!filterOn || !plain || plain.solution.settings.filter.stops > 0) return plain;
  const worn = filterSettings(wearable(brief))
    .filter(({ stops }) => stops > 0)
    .flatMap(({ ids, stops }) => solvedUnder(brief, { ...pins, filter: { ids: [...ids], stops } }) ?? [])
    .sort((a, b) => a.solution.score - b.solution.score);
  return worn[0] ?? plain;
}

/** Beside what the person pinned of this half; where that leaves no answer, instead of it. */
function solvedUnder(brief: Brief, wanted: Pins): { pins: Pins; solution: Solution } | null {
  const own = omit(omit(ownPins(brief), 'shutterAngleDeg'), 'shutterFloorSeconds');
  for (const pins of [{ ...own, ...wanted }, wanted]) {
    const outcome = solve({ ...brief, pins, held: {} });
    if (outcome.solved) return { pins, solution: outcome.solution };
  }
  return null;
}
