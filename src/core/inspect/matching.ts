import { item } from '../units/items';
import { alignedAt, fitOf } from './matchPath';
import type { Path, PlannedTake } from './matchPath';
import { byStart } from './recordings';
import type { ClipFacts } from './recordings';

/** Which shot of the day a clip was given to. */
interface Assigned {
  clipId: string;
  cameraId: string;
  /** `null`: not planned. */
  takeId: string | null;
  /** 0 sure … 0.5 another fits as well. */
  doubt: number;
  /** What else it could be. */
  otherTakeId: string | null;
}

export interface DayMatch {
  clips: Assigned[];
  /** How far ahead each camera's clock is, seconds; `null`: nothing tells. */
  clockAheadSeconds: Record<string, number | null>;
  missedTakeIds: string[];
}

export interface CamerasKnown {
  /** What each camera can film; nothing known of a camera bars nothing. Pixels along the longer side. */
  films: Readonly<Record<string, readonly { frameRate: number; width: number }[]>>;
  /** Offset of the zone: many cameras write their local time as if it were universal. */
  zoneAheadMs?: number;
}

const CANNOT_FILM = 8;
/** Clocks that are off by more than this are rarer, ms. */
const OFF_CLOCK_MS = 10 * 60_000;
const OFF_CLOCK = 0.25;
/** Two groups from one camera. */
const ANOTHER_GROUP = 1;
/** More groups than this are each given to a camera by themselves. */
const MOST_GROUPS = 6;
/** Offsets closer than this are tried once. */
const SAME_OFFSET_MS = 20_000;

/**
 * Which clip belongs to which shot of the day, and how far each camera's clock is off. Instants in ms, lengths in seconds.
 *
 * Clips and shots of one camera keep their order, so the least cost over the whole day is found by dynamic programming
 * (Needleman & Wunsch 1970), tried for every clock offset that would bring some clip to some shot. Costs are minus
 * logarithms of how likely each is (starting estimates).
 */
export function matchedDay(
  clips: readonly ClipFacts[],
  takes: readonly PlannedTake[],
  known: CamerasKnown,
): DayMatch {
  const cameras = [...new Set(takes.map(({ cameraId }) => cameraId))];
  const groups = [...new Set(clips.map(({ group }) => group))];
  const takesOf = (cameraId: string): PlannedTake[] =>
    takes.filter((take) => take.cameraId === cameraId).sort((a, b) => a.fromMs - b.fromMs);
  const tried = new Map<string, OneCamera>();
  const oneCamera = (cameraId: string, own: readonly string[]): OneCamera => {
    const key = JSON.stringify([cameraId, own]);
    let done = tried.get(key);
    if (!done) {
      const theirs = clips.filter(({ group }) => own.includes(group)).sort(byStart);
      tried.set(key, (done = matchedCamera(cameraId, theirs, takesOf(cameraId), known)));
    }
    return done;
  };
  const shared = bestSharing(groups, cameras, (cameraId, own) => oneCamera(cameraId, own).cost);
  const done = cameras.map((cameraId) => ({
    cameraId,
    ...oneCamera(
      cameraId,
      groups.filter((_, at) => shared[at] === cameraId),
    ),
  }));
  return {
    clips: done.flatMap(({ cameraId, assigned }) => assigned.map((one) => ({ ...one, cameraId }))),
    clockAheadSeconds: Object.fromEntries(
      done.map(({ cameraId, aheadMs }) => [cameraId, aheadMs === null ? null : aheadMs / 1000]),
    ),
    missedTakeIds: takes
      .filter(({ id }) => !done.some(({ assigned }) => assigned.some(({ takeId }) => takeId === id)))
      .map(({ id }) => id),
  };
}

/** Which camera each group comes from: every way tried while there are few. */
function bestSharing(
  groups: readonly string[],
  cameras: readonly string[],
  costOf: (cameraId: string, groups: readonly string[]) => number,
): string[] {
  if (cameras.length === 0) return [];
  if (groups.length > MOST_GROUPS)
    return groups.map((group) => leastOf(cameras, (cameraId) => costOf(cameraId, [group])));
  let best: { shared: string[]; cost: number } | null = null;
  const ways = cameras.length ** groups.length;
  for (let way = 0; way < ways; way++) {
    const shared = groups.map(
      (_, at) => cameras[Math.floor(way / cameras.length ** at) % cameras.length] ?? '',
    );
    const cost = cameras.reduce((sum, cameraId) => {
      const own = groups.filter((_, at) => shared[at] === cameraId);
      return sum + costOf(cameraId, own) + ANOTHER_GROUP * Math.max(0, own.length - 1);
    }, 0);
    if (!best || cost < best.cost) best = { shared, cost };
  }
  return best?.shared ?? [];
}

function leastOf<T>(list: readonly T[], costOf: (one: T) => number): T {
  return list.reduce((best, one) => (costOf(one) < costOf(best) ? one : best));
}

interface OneCamera {
  cost: number;
  aheadMs: number | null;
  assigned: Omit<Assigned, 'cameraId'>[];
}

function matchedCamera(
  cameraId: string,
  clips: readonly ClipFacts[],
  takes: readonly PlannedTake[],
  known: CamerasKnown,
): OneCamera {
  const offsets = offsetsToTry(clips, takes);
  const costs = clips.map((clip) => ({
    clip,
    own: canFilm(known.films[cameraId] ?? [], clip) ? 0 : CANNOT_FILM,
    fits: takes.map((take) => fitOf(clip, take)),
  }));
  const zone = known.zoneAheadMs ?? 0;
  const solvedAt = (aheadMs: number, barred?: { clip: number; take: number }): Path => {
    const path = alignedAt(costs, takes, aheadMs, barred);
    const off = Math.min(Math.abs(aheadMs), Math.abs(aheadMs - zone));
    return { ...path, cost: path.cost + OFF_CLOCK * Math.log1p((off / OFF_CLOCK_MS) ** 2) };
  };
  const paths = offsets.map((ahead) => solvedAt(ahead)).sort((one, other) => one.cost - other.cost);
  const best = item(paths, 0);
  const bestOver = (barred: { clip: number; take: number }): Path =>
    paths
      .slice(0, LIKELY_OFFSETS)
      .map(({ aheadMs }) => solvedAt(aheadMs, barred))
      .reduce((one, path) => (path.cost < one.cost ? path : one));
  const told = best.takeAt.some((take, at) => take !== null && costs[at]?.clip.startMs != null);
  return {
    cost: best.cost,
    aheadMs: told ? best.aheadMs : null,
    assigned: clips.map((clip, at) => {
      const take = best.takeAt[at] ?? null;
      const other = bestOver({ clip: at, take: take ?? -1 });
      const otherTake = other.takeAt[at] ?? null;
      return {
        clipId: clip.id,
        takeId: take === null ? null : (takes[take]?.id ?? null),
        doubt: 1 / (1 + Math.exp(Math.max(0, other.cost - best.cost))),
        otherTakeId: otherTake === null ? null : (takes[otherTake]?.id ?? null),
      };
    }),
  };
}

/** Of the clock's offsets the likeliest are asked what else would fit. */
const LIKELY_OFFSETS = 16;
/** Rates are named by their round numbers: 60 for 59.94. */
const SAME_RATE = 0.005;

function canFilm(
  films: readonly { frameRate: number; width: number }[],
  { frameRate, width, height }: ClipFacts,
): boolean {
  return (
    films.length === 0 ||
    films.some(
      (one) => Math.abs(one.frameRate / frameRate - 1) < SAME_RATE && one.width === Math.max(width, height),
    )
  );
}

/** The clock is right, or it brings some clip to the beginning of some shot. */
function offsetsToTry(clips: readonly ClipFacts[], takes: readonly PlannedTake[]): number[] {
  const all = clips.flatMap(({ startMs }) =>
    startMs === null ? [] : takes.map(({ fromMs }) => startMs - fromMs),
  );
  const sorted = [0, ...all].sort((a, b) => a - b);
  return sorted.filter(
    (offset, at) => at === 0 || offset - (sorted[at - 1] ?? 0) > SAME_OFFSET_MS || offset === 0,
  );
}
