import type { Rotation } from '../records/clipReport';

/**
 * Luma planes: what all measures of a picture start from. Conventions of this chapter: places in pixels, x to the right
 * and y downwards; luma as a share of its range, 0 black … 1 white, footroom and headroom beyond either end kept;
 * times in seconds from the clip's beginning; angles in degrees, clockwise as seen.
 */
export interface Plane {
  width: number;
  height: number;
  luma: Float32Array;
}

/** A part of a picture, in shares of its width and height. */
export function partOfPlane(
  { width, height, luma }: Plane,
  [left, right]: readonly [number, number],
  [top, bottom]: readonly [number, number],
): Plane {
  const [x0, x1, y0, y1] = [left * width, right * width, top * height, bottom * height].map(Math.round) as [
    number,
    number,
    number,
    number,
  ];
  const part = new Float32Array((x1 - x0) * (y1 - y0));
  for (let y = y0; y < y1; y++) part.set(luma.subarray(y * width + x0, y * width + x1), (y - y0) * (x1 - x0));
  return { width: x1 - x0, height: y1 - y0, luma: part };
}

/** Luma as it was decoded, row by row, with the codes that stand for black and for white. */
export interface CodedLuma {
  width: number;
  height: number;
  /** Samples from one row to the next. */
  stride: number;
  codes: Uint8Array | Uint8ClampedArray | Uint16Array;
  black: number;
  white: number;
}

/** The codes of black and white. Source: ITU-R BT.709-6, table 4 (8 bit 16 and 235, 10 bit 64 and 940). */
export function lumaRange(bits: 8 | 10, full: boolean): { black: number; white: number } {
  const unit = 2 ** (bits - 8);
  return full ? { black: 0, white: 256 * unit - 1 } : { black: 16 * unit, white: 235 * unit };
}

/** The longer side of a reduced plane is about this, pixels: movement and form are kept, 4K costs what 640×360 does. */
const REDUCED_PX = 320;

/** Means over squares of whole pixels; what is left over at the right and at the bottom is not seen. */
export function reduced(coded: CodedLuma): Plane {
  const { stride, codes, black, white } = coded;
  const step = Math.max(1, Math.round(Math.max(coded.width, coded.height) / REDUCED_PX));
  const width = Math.max(1, Math.floor(coded.width / step));
  const height = Math.max(1, Math.floor(coded.height / step));
  const luma = new Float32Array(width * height);
  const [across, down] = [Math.min(step, coded.width), Math.min(step, coded.height)];
  const scale = 1 / (across * down * (white - black));
  const offset = black / (white - black);
  const sums = new Float64Array(width);
  for (let row = 0; row < height; row++) {
    sums.fill(0);
    for (let line = 0; line < down; line++) {
      let at = (row * step + line) * stride;
      for (let column = 0; column < width; column++) {
        let sum = 0;
        for (const end = at + across; at < end; at++) sum += codes[at] ?? 0;
        sums[column] = (sums[column] ?? 0) + sum;
      }
    }
    for (let column = 0; column < width; column++)
      luma[row * width + column] = (sums[column] ?? 0) * scale - offset;
  }
  return { width, height, luma };
}

/** A plane as it is shown, for a file that says it is to be turned clockwise. */
export function turned({ width, height, luma }: Plane, rotationDeg: Rotation): Plane {
  if (rotationDeg === 0) return { width, height, luma };
  const upright = rotationDeg === 180;
  const [toWidth, toHeight] = upright ? [width, height] : [height, width];
  const to = new Float32Array(luma.length);
  for (let y = 0; y < toHeight; y++)
    for (let x = 0; x < toWidth; x++) {
      const [fromX, fromY] = upright
        ? [width - 1 - x, height - 1 - y]
        : rotationDeg === 90
          ? [y, height - 1 - x]
          : [width - 1 - y, x];
      to[y * toWidth + x] = luma[fromY * width + fromX] ?? 0;
    }
  return { width: toWidth, height: toHeight, luma: to };
}

/** Half as wide and half as high, each pixel the mean of four. */
export function halved({ width, height, luma }: Plane): Plane {
  const [toWidth, toHeight] = [Math.max(1, width >> 1), Math.max(1, height >> 1)];
  const to = new Float32Array(toWidth * toHeight);
  const [right, below] = [width > 1 ? 1 : 0, height > 1 ? width : 0];
  for (let y = 0; y < toHeight; y++)
    for (let x = 0; x < toWidth; x++) {
      const at = 2 * y * width + 2 * x;
      to[y * toWidth + x] =
        ((luma[at] ?? 0) +
          (luma[at + right] ?? 0) +
          (luma[at + below] ?? 0) +
          (luma[at + right + below] ?? 0)) /
        4;
    }
  return { width: toWidth, height: toHeight, luma: to };
}

/** Mean difference between two planes of one size, share of the range, once both are equally bright: lamps that pulse are no movement. */
export function differenceOf(one: Plane, other: Plane): number {
  const count = one.luma.length;
  let [meanOne, meanOther] = [0, 0];
  for (let at = 0; at < count; at++) {
    meanOne += one.luma[at] ?? 0;
    meanOther += other.luma[at] ?? 0;
  }
  const gain = meanOne > 0 && meanOther > 0 ? meanOther / meanOne : 1;
  let sum = 0;
  for (let at = 0; at < count; at++) sum += Math.abs(gain * (one.luma[at] ?? 0) - (other.luma[at] ?? 0));
  return count === 0 ? 0 : sum / count;
}
