import { polarizerIn } from '../compare/bagWorth';
import type { Memo } from '../day/partWork';
import { camerasOf, scheduleOf } from '../day/schedule';
import type { DayPart, Schedule, WallClock } from '../day/schedule';
import { paneAt } from '../filters/mirrored';
import { isTimeLapse } from '../records/filmedAs';
import type { Gear, Outing } from '../records/outing';
import type { ShotRecord } from '../records/shotRecord';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import { start } from '../units/estimate';
import { item } from '../units/items';
import { bestSet, MOST_THINGS, savedBy } from './bestSet';
import type { Unit } from './bestSet';
import { offeredFor, purchaseId } from './purchase';
import type { Purchase } from './purchase';
import { feedUnits, recordingUnit } from './units';

/** What is worth getting, over the outings that are kept and planned. */
export interface Worth {
  /** Recordings looked at, and what they lose as things are. */
  recordings: number;
  loss: number;
  /** The camera that films most. */
  main: { cameraId: string; name: string; share: number } | null;
  /** Recordings whose sky, water or pane a polarizer would clear where none is in the bag; no loss counts that. */
  polarizer: number;
  /** What one could add, what saves most first. */
  things: Valued[];
  units: readonly Unit[];
}

export interface Valued {
  id: string;
  thing: Purchase;
  /** Of the camera it is for; `null` for what fits any. */
  camera: string | null;
  /** Loss that it alone would save, over all recordings. */
  saves: number;
  /** Recordings that it would better, and those of them that would go from plainly seen loss to none that is. */
  improved: number;
  cured: number;
}

/** What to do with a budget. */
export type Advice =
  | { code: 'nothingFilmed' }
  /** All that is offered would together save less than is once noticed. */
  | { code: 'nothing'; most: number }
  /** Nobody said what anything costs, or what is priced saves nothing. */
  | { code: 'unpriced' }
  | { code: 'tooDear'; cheapest: number }
  | {
      code: 'set';
      ids: string[];
      saves: number;
      price: number;
      /** Loss that all that is priced would save, whatever it costs. */
      most: number;
    };

const WORTH_GETTING = {
  all: start(1, 'over all recordings together not even once what is just noticed'),
  each: start(0.15, 'over all recordings a trifle'),
  seen: start(1, 'what is just noticed'),
};

interface Day {
  schedule: Schedule;
  gear: readonly Gear[];
}

/** Every day of every outing, with what of its shots is still kept. */
export function daysOf(
  outings: readonly Outing[],
  shots: ReadonlyMap<string, ShotRecord>,
  clock: (zone: string) => WallClock,
): Day[] {
  return outings.flatMap((outing) =>
    outing.days.map(({ id }) => ({
      schedule: scheduleOf(outing, id, shots, clock(outing.zone)),
      gear: outing.gear,
    })),
  );
}

/** The worth of each thing that one could add. Deterministic. */
export function worthOf(days: readonly Day[], memo: Memo = new Map()): Worth {
  const parts = days.flatMap(({ schedule }) => schedule.parts).filter(({ shot }) => !isTimeLapse(shot));
  const cameras = camerasOf(parts);
  const names = new Map(cameras.map(({ id, name }) => [id, name]));
  const feeds = cameras.flatMap(({ id: cameraId }) =>
    (['card', 'cell', 'bank'] as const).map((what): Purchase => ({ what, cameraId })),
  );
  const fed = feedUnitsOf(days, feeds, memo);
  const each = WORTH_GETTING.each.value;
  const kept = [
    ...offeredFor(parts).map((thing) => ({ thing, saves: savedBy(recordingUnits(parts, [thing]), 1) })),
    ...feeds.map((thing, at) => ({ thing, saves: mostWith(fed, 1 << at) })),
  ]
    .filter(({ saves }) => saves >= each)
    .sort((a, b) => b.saves - a.saves)
    .slice(0, MOST_THINGS)
    .map(({ thing }) => thing);
  const units = [...recordingUnits(parts, kept), ...feedUnitsOf(days, kept, memo)];
  return {
    recordings: parts.length,
    loss: units.reduce((sum, { loss }) => sum + loss, 0),
    main: mainOf(parts, names),
    polarizer: parts.filter(wantsPolarizer).length,
    things: kept.map((thing, at): Valued => {
      const better = units.filter((unit) => savedBy([unit], 1 << at) > 0);
      const { seen } = WORTH_GETTING;
      return {
        id: purchaseId(thing),
        thing,
        camera: thing.what === 'mount' ? null : (names.get(thing.cameraId) ?? thing.cameraId),
        saves: savedBy(units, 1 << at),
        improved: better.length,
        cured: better.filter(
          (unit) => unit.loss >= seen.value && unit.loss - savedBy([unit], 1 << at) < seen.value,
        ).length,
      };
    }),
    units,
  };
}

function recordingUnits(parts: readonly DayPart[], things: readonly Purchase[]): Unit[] {
  return parts.flatMap((part) => recordingUnit(part, things) ?? []);
}

function feedUnitsOf(days: readonly Day[], things: readonly Purchase[], memo: Memo): Unit[] {
  return days.flatMap(({ schedule, gear }) => feedUnits(schedule, gear, things, memo));
}

/** Most that any way saves of which this is a part: a card helps only once the cells last. */
function mostWith(units: readonly Unit[], bit: number): number {
  return units.reduce(
    (sum, { loss, ways }) =>
      sum + Math.max(0, ...ways.filter(({ needs }) => needs & bit).map((way) => loss - way.loss)),
    0,
  );
}

function wantsPolarizer({ brief }: DayPart): boolean {
  const { light, mount, filters } = brief;
  if (filters.some(({ kind }) => kind === 'polarizer')) return false;
  if (mount.glassDeg !== null && paneAt(mount.glassDeg).worth) return true;
  if (light.kind !== 'sun') return false;
  const made = spaceFor(brief);
  const best = made.ok ? search(made.space) : null;
  if (!best) return false;
  const middleMs = (Date.parse(light.from) + Date.parse(light.to)) / 2;
  const verdict = polarizerIn(brief, best.candidate.mode, middleMs)?.verdict;
  return verdict === 'sky' || verdict === 'water';
}

function mainOf(parts: readonly DayPart[], names: ReadonlyMap<string, string>): Worth['main'] {
  const filmed = new Map<string, number>();
  for (const { camera, stretches } of parts) {
    const ms = stretches.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);
    filmed.set(camera.id, (filmed.get(camera.id) ?? 0) + ms);
  }
  const all = [...filmed.values()].reduce((sum, ms) => sum + ms, 0);
  const [most] = [...filmed].sort((a, b) => b[1] - a[1]);
  return most && all > 0
    ? { cameraId: most[0], name: names.get(most[0]) ?? most[0], share: most[1] / all }
    : null;
}

/** What to get for no more than a budget, at the person's own prices; what has no price is left out. */
export function adviceOn(
  { recordings, things, units }: Worth,
  prices: ReadonlyMap<string, number>,
  budget: number,
): Advice {
  if (recordings === 0) return { code: 'nothingFilmed' };
  const most = savedBy(units, bitsOf(things.map((_, at) => at)));
  if (most < WORTH_GETTING.all.value) return { code: 'nothing', most };
  const priced = things.flatMap(({ id }, at) => (prices.has(id) ? [at] : []));
  if (priced.length === 0) return { code: 'unpriced' };
  // What nobody priced cannot be got.
  const asked = things.map(({ id }) => ({ price: prices.get(id) ?? Infinity }));
  const best = bestSet(asked, units, budget);
  if (best.things === 0)
    return { code: 'tooDear', cheapest: Math.min(...priced.map((at) => item(asked, at).price)) };
  return {
    code: 'set',
    ids: things.flatMap(({ id }, at) => ((best.things >> at) & 1 ? [id] : [])),
    saves: best.saves,
    price: best.price,
    most: savedBy(units, bitsOf(priced)),
  };
}

/** Whether another main camera alone would save more than all other things that are offered together. */
export function mainCameraFirst({ main, things, units }: Worth): Valued | null {
  const camera = things.find(({ thing }) => thing.what === 'camera' && thing.cameraId === main?.cameraId);
  if (!camera) return null;
  const others = bitsOf(things.flatMap(({ thing }, at) => (thing.what === 'camera' ? [] : [at])));
  return camera.saves > savedBy(units, others) ? camera : null;
}

function bitsOf(places: readonly number[]): number {
  return places.reduce((bits, at) => bits | (1 << at), 0);
}
