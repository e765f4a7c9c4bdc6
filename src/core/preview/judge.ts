import { decoded } from './develop';
import type { Picture } from './develop';

/** What can be read off a picture's pixels. */
export interface Tones {
  /** Share of the pixels in each of the bins, from black to white in stops below white: −8 … 0, two bins a stop. */
  bins: readonly number[];
  /** Share with a colour at full, and share nearly black. */
  whiteShare: number;
  blackShare: number;
}

export const TONE_STOPS = 8;
const BINS = 2 * TONE_STOPS;
/** sRGB values from which a pixel counts as burnt out, and up to which as crushed. */
const WHITE_FROM = 254;
const BLACK_UP_TO = 10;

/** Luma by ITU-R BT.709, of linear light. */
const STOP_BELOW_WHITE = Float64Array.from({ length: 256 }, (_, value) =>
  Math.log2(Math.max(1e-4, decoded(value))),
);

export function tonesOf({ rgba }: Picture): Tones {
  const counts = new Array<number>(BINS).fill(0);
  let white = 0;
  let black = 0;
  const pixels = rgba.length / 4;
  for (let at = 0; at < rgba.length; at += 4) {
    const [r, g, b] = [rgba[at] ?? 0, rgba[at + 1] ?? 0, rgba[at + 2] ?? 0];
    if (isWhite(r, g, b)) white++;
    if (isBlack(r, g, b)) black++;
    const luma = Math.round(0.2126 * r + 0.7152 * g + 0.0722 * b);
    const bin = Math.floor(2 * ((STOP_BELOW_WHITE[luma] ?? 0) + TONE_STOPS));
    const kept = Math.min(BINS - 1, Math.max(0, bin));
    counts[kept] = (counts[kept] ?? 0) + 1;
  }
  return {
    bins: counts.map((count) => count / pixels),
    whiteShare: white / pixels,
    blackShare: black / pixels,
  };
}

/**
 * How sharp a picture is: the mean step between neighbouring blocks of two by two pixels, over the mean luma, so that
 * neither noise nor a change of light counts as sharpness. Only compared between pictures of one size and place.
 */
export function sharpnessOf({ width, height, rgba }: Picture): number {
  const [columns, rows] = [width >> 1, height >> 1];
  const blocks = new Float32Array(columns * rows);
  let mean = 0;
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const at = 4 * (2 * row * width + 2 * column) + 1;
      const sum =
        (rgba[at] ?? 0) + (rgba[at + 4] ?? 0) + (rgba[at + 4 * width] ?? 0) + (rgba[at + 4 * width + 4] ?? 0);
      blocks[row * columns + column] = sum;
      mean += sum;
    }
  mean /= columns * rows;
  let steps = 0;
  for (let row = 0; row < rows - 1; row++)
    for (let column = 0; column < columns - 1; column++) {
      const at = row * columns + column;
      const here = blocks[at] ?? 0;
      steps += Math.abs((blocks[at + 1] ?? 0) - here) + Math.abs((blocks[at + columns] ?? 0) - here);
    }
  return mean === 0 ? 0 : steps / (2 * (columns - 1) * (rows - 1)) / mean;
}

/** Half the time over which a slow change of the picture is taken out of its sharpness, frames. */
const SLOW_FRAMES = 6;

/** How much sharpness comes and goes along a film: the spread around its slow course, 0 none … */
export function sharpnessPulse(sharpness: readonly number[]): number {
  const around = sharpness.map((value, at) => {
    const near = sharpness.slice(Math.max(0, at - SLOW_FRAMES), at + SLOW_FRAMES + 1);
    const course = near.reduce((sum, one) => sum + one, 0) / near.length;
    return course === 0 ? 0 : value / course - 1;
  });
  return Math.sqrt(around.reduce((sum, one) => sum + one * one, 0) / Math.max(1, around.length));
}

/** Where a picture is burnt out or crushed, cell by cell, so that a mark can be drawn on it. */
interface ClipCell {
  /** Middle of the cell, shares of the width and of the height. */
  x: number;
  y: number;
  what: 'white' | 'black';
}

export function clippedCells({ width, height, rgba }: Picture, across = 48): ClipCell[] {
  const cells: ClipCell[] = [];
  const size = width / across;
  const down = Math.floor(height / size);
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      let [white, black, all] = [0, 0, 0];
      for (let y = Math.floor(row * size); y < Math.floor((row + 1) * size); y++)
        for (let x = Math.floor(column * size); x < Math.floor((column + 1) * size); x++) {
          const at = 4 * (y * width + x);
          const [r, g, b] = [rgba[at] ?? 0, rgba[at + 1] ?? 0, rgba[at + 2] ?? 0];
          all++;
          if (isWhite(r, g, b)) white++;
          if (isBlack(r, g, b)) black++;
        }
      const what = white * 2 > all ? 'white' : black * 2 > all ? 'black' : null;
      if (what) cells.push({ x: (column + 0.5) / across, y: ((row + 0.5) * size) / height, what });
    }
  return cells;
}

/** One full colour is enough to lose what stood there. */
function isWhite(r: number, g: number, b: number): boolean {
  return r >= WHITE_FROM || g >= WHITE_FROM || b >= WHITE_FROM;
}

function isBlack(r: number, g: number, b: number): boolean {
  return r <= BLACK_UP_TO && g <= BLACK_UP_TO && b <= BLACK_UP_TO;
}
