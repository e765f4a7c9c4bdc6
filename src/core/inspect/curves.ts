import type { Curves } from '../records/clip';
import { stopsFromGrey } from './exposure';
import type { FrameMeasured } from './frameMeter';
import { meanOf } from './series';
import type { SoundMoment } from './sound';

/** Points of a curve: as many as a drawing has room for. */
const MOST_POINTS = 240;

/** Figures over the time of a clip, few enough to keep: means of equal parts, `null` where nothing was looked at. */
export function curvesOf(
  stretches: readonly (readonly FrameMeasured[])[],
  sound: readonly SoundMoment[],
  durationSeconds: number,
  planeWidth: number,
): Curves {
  const frames = stretches.flat();
  const points = Math.max(1, Math.min(MOST_POINTS, frames.length));
  const each = durationSeconds / points;
  const binned = <T extends { atSeconds: number }>(
    all: readonly T[],
    figure: (one: T, at: number) => number | null,
  ): (number | null)[] => {
    const bins: number[][] = Array.from({ length: points }, () => []);
    all.forEach((one, at) => {
      const value = figure(one, at);
      if (value !== null && Number.isFinite(value))
        bins[Math.min(points - 1, Math.floor(one.atSeconds / each))]?.push(value);
    });
    return joined(bins.map((bin) => (bin.length === 0 ? null : Math.round(1000 * meanOf(bin)) / 1000)));
  };
  const speed = (frame: FrameMeasured, at: number): number | null => {
    const moved = frame.since?.moved;
    const gap = frame.atSeconds - (frames[at - 1]?.atSeconds ?? 0);
    return moved && gap > 0 ? ((100 / planeWidth) * Math.hypot(moved.x, moved.y)) / gap : null;
  };
  return {
    stepSeconds: each,
    middleStops: binned(frames, ({ linear }) => stopsFromGrey(linear)),
    clippedPct: binned(frames, ({ clipped }) => 100 * clipped),
    crushedPct: binned(frames, ({ crushed }) => 100 * crushed),
    blur: binned(frames, ({ blur }) => blur),
    speedPctWidthPerS: binned(frames, speed),
    levelDb: held(sound, points, each),
  };
}

/** A point that fell between two frames stands on the line from its neighbours. */
function joined(points: readonly (number | null)[]): (number | null)[] {
  return points.map((value, at) => {
    const before = points[at - 1] ?? null;
    const after = points[at + 1] ?? null;
    return value ?? (before === null || after === null ? null : (before + after) / 2);
  });
}

/** A window of sound is longer than a point of the curve: it stands for all points that it covers. */
const COVERS_SECONDS = 0.2;

function held(sound: readonly SoundMoment[], points: number, each: number): (number | null)[] {
  if (sound.length === 0) return new Array<null>(points).fill(null);
  let next = 0;
  return Array.from({ length: points }, (_, at) => {
    const seconds = (at + 0.5) * each;
    const off = (place: number): number => Math.abs((sound[place]?.atSeconds ?? Infinity) - seconds);
    while (next + 1 < sound.length && off(next + 1) <= off(next)) next++;
    const level = sound[next]?.levelDb;
    return level === undefined || off(next) > Math.max(COVERS_SECONDS, each)
      ? null
      : Math.round(10 * level) / 10;
  });
}
