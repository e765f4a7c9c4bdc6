import { item } from '../units/items';

/**
 * Which clip belongs to which shot of the day, and how far each camera's clock is off. Instants in ms, lengths in seconds.
 *
 * Clips and shots of one camera keep their order, so the least cost over the whole day is found by dynamic programming
 * (Needleman & Wunsch 1970), tried for every clock offset that would bring some clip to some shot. Costs are minus
 * logarithms of how likely each is (starting estimates).
 */
export interface PlannedTake {
  id: string;
  cameraId: string;
  fromMs: number;
  seconds: number;
  /** `null`: nothing was settled. */
  filmed: { frameRate: number; width: number } | null;
}

export interface ClipFacts {
  id: string;
  /** Where it lay and what its name begins with: clips of one group come from one camera. */
  group: string;
  /** `null`: the file does not say when it began. */
  startMs: number | null;
  seconds: number;
  frameRate: number;
  width: number;
  height: number;
}

export interface Assigned {
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

export interface Known {
  /** What each camera can film; nothing known of a camera bars nothing. Pixels along the longer side. */
  films: Readonly<Record<string, readonly { frameRate: number; width: number }[]>>;
  /** Offset of the zone: many cameras write their local time as if it were universal. */
  zoneAheadMs?: number;
}

/** People are late by minutes; twice as late is not four times as unlikely. */
const LATE_MS = 4 * 60_000;
const OFF_LENGTH = 1;
const MOST_OFF_LENGTH = 2.5;
const OTHER_RATE = 3;
const OTHER_SIZE = 2;
const CANNOT_FILM = 8;
const NOT_PLANNED = 4.5;
const NOT_FILMED = 1.5;
/** One shot in two clips: taken again, or stopped and gone on with. */
const AGAIN = 1;
/** Clocks that are off by more than this are rarer, ms. */
const OFF_CLOCK_MS = 10 * 60_000;
const OFF_CLOCK = 0.25;
/** Two groups from one camera. */
const ANOTHER_GROUP = 1;
/** More groups than this are each given to a camera by themselves. */
const MOST_GROUPS = 6;
/** Offsets closer than this are tried once. */
const SAME_OFFSET_MS = 20_000;

export function matchedDay(
  clips: readonly ClipFacts[],
  takes: readonly PlannedTake[],
  known: Known,
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

function byStart(one: ClipFacts, other: ClipFacts): number {
  return (one.startMs ?? 0) - (other.startMs ?? 0) || one.id.localeCompare(other.id, 'en', { numeric: true });
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
  known: Known,
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

/** What does not hang on the clock. */
function fitOf(
  { seconds, frameRate, width, height }: ClipFacts,
  { seconds: planned, filmed }: PlannedTake,
): number {
  const length = Math.min(
    MOST_OFF_LENGTH,
    OFF_LENGTH * Math.abs(Math.log(Math.max(1, seconds) / Math.max(1, planned))),
  );
  if (!filmed) return length;
  const rate = Math.abs(frameRate / filmed.frameRate - 1) > 0.02 ? OTHER_RATE : 0;
  const size = Math.max(width, height) === filmed.width ? 0 : OTHER_SIZE;
  return length + rate + size;
}

interface Path {
  cost: number;
  aheadMs: number;
  /** By clip: which shot. */
  takeAt: (number | null)[];
}

/**
 * The least cost of clips 0…i over takes 0…j, with the last take taken or not: a clip is not planned, a shot was not filmed,
 * or the one is the other, perhaps once more.
 */
function alignedAt(
  clips: readonly { clip: ClipFacts; own: number; fits: readonly number[] }[],
  takes: readonly PlannedTake[],
  aheadMs: number,
  barred?: { clip: number; take: number },
): Path {
  const [rows, columns] = [clips.length + 1, takes.length + 1];
  // Per place: `free`, the take before it may not be used again; `open`, the last clip is of the take before it.
  const free = new Float64Array(rows * columns).fill(Infinity);
  const open = new Float64Array(rows * columns).fill(Infinity);
  const least = (at: number): number => Math.min(free[at] ?? Infinity, open[at] ?? Infinity);
  const pair = (clip: number, take: number): number => {
    const one = clips[clip];
    const planned = takes[take];
    if (!one || !planned || (barred?.clip === clip && barred.take === take)) return Infinity;
    const { startMs } = one.clip;
    const late = startMs === null ? 0 : startMs - aheadMs - planned.fromMs;
    return one.own + (one.fits[take] ?? 0) + Math.log1p((late / LATE_MS) ** 2);
  };
  const unplanned = (clip: number): number =>
    barred?.clip === clip && barred.take === -1 ? Infinity : NOT_PLANNED + (clips[clip]?.own ?? 0);
  free[0] = 0;
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < columns; j++) {
      const at = i * columns + j;
      if (i > 0) free[at] = Math.min(free[at] ?? Infinity, least(at - columns) + unplanned(i - 1));
      if (j > 0) free[at] = Math.min(free[at] ?? Infinity, least(at - 1) + NOT_FILMED);
      if (i > 0 && j > 0) {
        const own = pair(i - 1, j - 1);
        open[at] = Math.min(least(at - columns - 1) + own, (open[at - columns] ?? Infinity) + own + AGAIN);
      }
    }
  return { cost: least(rows * columns - 1), aheadMs, takeAt: walkedBack() };

  function walkedBack(): (number | null)[] {
    const takeAt = new Array<number | null>(clips.length).fill(null);
    let [i, j] = [rows - 1, columns - 1];
    let inOpen = (open[rows * columns - 1] ?? Infinity) < (free[rows * columns - 1] ?? Infinity);
    while (i > 0 || j > 0) {
      const at = i * columns + j;
      if (inOpen) {
        const own = pair(i - 1, j - 1);
        takeAt[i - 1] = j - 1;
        const again = (open[at - columns] ?? Infinity) + own + AGAIN <= (open[at] ?? Infinity) + 1e-9;
        i--;
        if (again) continue;
        j--;
      } else if (i > 0 && least(at - columns) + unplanned(i - 1) <= (free[at] ?? Infinity) + 1e-9) i--;
      else j--;
      const next = i * columns + j;
      inOpen = (open[next] ?? Infinity) < (free[next] ?? Infinity);
    }
    return takeAt;
  }
}

/** Pieces of one recording: the next begins where the one before ends, to within this. */
const GAPLESS_MS = 1000;

/** Clips of one group in order, those that are pieces of one recording together. */
export function recordingsIn(clips: readonly ClipFacts[]): ClipFacts[][] {
  const joined: ClipFacts[][] = [];
  for (const clip of [...clips].sort((a, b) => a.group.localeCompare(b.group) || byStart(a, b))) {
    const before = joined.at(-1)?.at(-1);
    const follows =
      before?.group === clip.group &&
      before.startMs !== null &&
      clip.startMs !== null &&
      before.width === clip.width &&
      Math.abs(before.frameRate / clip.frameRate - 1) < 0.01 &&
      Math.abs(before.startMs + 1000 * before.seconds - clip.startMs) <= GAPLESS_MS;
    if (follows) joined.at(-1)?.push(clip);
    else joined.push([clip]);
  }
  return joined;
}
