import { rmsOf, runningMedian } from './series';
import { partOfPlane } from './plane';
import type { Plane } from './plane';

/**
 * How blurred a picture is without another to compare with: blur it again and see how much its steps lose; what was sharp
 * loses most. 0 sharp … 1 blurred, `null` where there is nothing to be sharp. The larger of the two directions counts.
 * Grain counts as detail: a plane reduced from many pixels has little left of it. Source: Crete, Dolmiere, Ladret & Nicolas 2007, eqs. 1–9 (nine taps).
 */
export function blurOf(plane: Plane): number | null {
  const across = blurAlong(plane, 1);
  const down = blurAlong(plane, plane.width);
  return across === null || down === null ? (across ?? down) : Math.max(across, down);
}

/** Where one who films themself is, and what is around: to the left and to the right. Shares of width and height. */
const NEAR = [
  [0.3, 0.7],
  [0.2, 0.9],
] as const;
const AROUND = [
  [0, 0.24],
  [0.76, 1],
] as const;

/** Blur of the middle, where a near face is, and of the sharper side of what is around it. */
export interface Zones {
  near: number | null;
  around: number | null;
}

export function zonesOf(plane: Plane): Zones {
  const sides = AROUND.flatMap((side) => blurOf(partOfPlane(plane, side, [0, 1])) ?? []);
  return {
    near: blurOf(partOfPlane(plane, ...NEAR)),
    around: sides.length === 0 ? null : Math.min(...sides),
  };
}

const EACH_SIDE = 4;
/** Steps below this, share of the range, are the rounding of the codes. */
const NO_STEPS = 2e-4;

function blurAlong({ width, height, luma }: Plane, step: number): number | null {
  const taps = 2 * EACH_SIDE + 1;
  const [columns, rows] = step === 1 ? [width - taps, height] : [width, height - taps];
  if (columns <= 0 || rows <= 0) return null;
  const first = EACH_SIDE * step;
  const [toEntering, toLeaving] = [(EACH_SIDE + 1) * step, EACH_SIDE * step];
  let [steps, lost] = [0, 0];
  for (let row = 0; row < rows; row++) {
    const end = first + row * width + columns;
    for (let place = first + row * width; place < end; place++) {
      const own = Math.abs((luma[place + step] ?? 0) - (luma[place] ?? 0));
      // Means of neighbours share all but their ends.
      const again = Math.abs((luma[place + toEntering] ?? 0) - (luma[place - toLeaving] ?? 0)) / taps;
      steps += own;
      if (own > again) lost += own - again;
    }
  }
  return steps / (columns * rows) < NO_STEPS ? null : (steps - lost) / steps;
}

/** Smear that comes and goes: rms of the deviation from the running median of one second, over the median, 0 none …  */
export function pulsingOf(blur: ArrayLike<number>, fps: number): number {
  if (blur.length === 0) return 0;
  const usual = runningMedian(blur, Math.max(1, Math.round(fps / 2)));
  return rmsOf(usual.map((middle, at) => (middle > 0 ? (blur[at] ?? 0) / middle - 1 : 0)));
}
