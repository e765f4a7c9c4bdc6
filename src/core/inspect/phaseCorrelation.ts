import { hann, peakBetween, transform2d } from './fourier';
import type { Plane } from './plane';

/**
 * How far a picture has moved as a whole, by phase correlation: the phases of two spectra differ by the shift alone,
 * whatever the contrast. Source: Kuglin & Hines 1975. Works on the middle of the plane, as large as powers of two allow,
 * and finds shifts up to a third of it.
 */
export interface PlaneSpectrum {
  width: number;
  height: number;
  field: Float64Array;
}

export function planeSpectrum(plane: Plane): PlaneSpectrum {
  const [width, height] = [powerOfTwoTo(plane.width), powerOfTwoTo(plane.height)];
  const left = (plane.width - width) >> 1;
  const top = (plane.height - height) >> 1;
  const [acrossWindow, downWindow] = [hann(width), hann(height)];
  let mean = 0;
  for (const value of plane.luma) mean += value;
  mean /= Math.max(1, plane.luma.length);
  const field = new Float64Array(2 * width * height);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++)
      field[2 * (row * width + column)] =
        ((plane.luma[(top + row) * plane.width + left + column] ?? 0) - mean) *
        (acrossWindow[column] ?? 0) *
        (downWindow[row] ?? 0);
  transform2d(field, width, height, 'forward');
  return { width, height, field };
}

/** Pixels by which what is seen moves from one picture to the next, and how far the peak stands out, 0…1. */
export function shiftBetween(
  from: PlaneSpectrum,
  to: PlaneSpectrum,
): { x: number; y: number; clarity: number } {
  const { width, height } = from;
  const cross = new Float64Array(2 * width * height);
  for (let at = 0; at < cross.length; at += 2) {
    const [a, b] = [from.field[at] ?? 0, from.field[at + 1] ?? 0];
    const [c, d] = [to.field[at] ?? 0, to.field[at + 1] ?? 0];
    const re = c * a + d * b;
    const im = d * a - c * b;
    const size = Math.hypot(re, im);
    // What holds no more than rounding has no phase.
    if (size < 1e-9) continue;
    cross[at] = re / size;
    cross[at + 1] = im / size;
  }
  transform2d(cross, width, height, 'inverse');
  let [best, bestX, bestY] = [-Infinity, 0, 0];
  const [reachX, reachY] = [Math.floor(width / 3), Math.floor(height / 3)];
  const valueAt = (x: number, y: number): number =>
    cross[2 * (((y + height) % height) * width + ((x + width) % width))] ?? 0;
  for (let y = -reachY; y <= reachY; y++)
    for (let x = -reachX; x <= reachX; x++) {
      const value = valueAt(x, y);
      if (value > best) [best, bestX, bestY] = [value, x, y];
    }
  return {
    x: bestX + peakBetween(valueAt(bestX - 1, bestY), best, valueAt(bestX + 1, bestY)),
    y: bestY + peakBetween(valueAt(bestX, bestY - 1), best, valueAt(bestX, bestY + 1)),
    clarity: Math.max(0, Math.min(1, best)),
  };
}

function powerOfTwoTo(length: number): number {
  return 2 ** Math.max(1, Math.floor(Math.log2(Math.max(2, length))));
}
