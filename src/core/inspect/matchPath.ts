import type { ClipFacts } from './recordings';

/** One camera's part of the day's plan. */
export interface PlannedTake {
  id: string;
  cameraId: string;
  fromMs: number;
  seconds: number;
  /** `null`: nothing was settled. */
  filmed: { frameRate: number; width: number } | null;
}

/** People are late by minutes; twice as late is not four times as unlikely. */
const LATE_MS = 4 * 60_000;
const OFF_LENGTH = 1;
const MOST_OFF_LENGTH = 2.5;
const OTHER_RATE = 3;
const OTHER_SIZE = 2;
const NOT_PLANNED = 4.5;
const NOT_FILMED = 1.5;
/** One shot in two clips: taken again, or stopped and gone on with. */
const AGAIN = 1;

/** What does not hang on the clock. */
export function fitOf(
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

export interface Path {
  cost: number;
  aheadMs: number;
  /** By clip: which shot. */
  takeAt: (number | null)[];
}

/**
 * The least cost of clips 0…i over takes 0…j, with the last take taken or not: a clip is not planned, a shot was not filmed,
 * or the one is the other, perhaps once more.
 */
export function alignedAt(
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
