import type { Plane } from './plane';

/** Patches that can be followed from one picture to the next, and following them. Pixels of the finest plane. */
export interface Followed {
  x: number;
  y: number;
  toX: number;
  toY: number;
}

/** One in each of so many cells along either side, where there is something to hold on to. */
const CELLS_ALONG = 8;
const CELLS_ACROSS = 5;
const REACH = 5;
const SEARCH_STEP = 4;
/** The weaker gradient of a patch, mean square of the range a pixel, below which it is plain. */
const PLAIN = 4e-5;

/**
 * The places whose weaker gradient is strongest in their cell: corners, not edges, which slip along themselves.
 * Source: Shi & Tomasi 1994, eq. 17 (the smaller eigenvalue of the gradients' matrix).
 */
export function placesToFollow({ width, height, luma }: Plane): { x: number; y: number }[] {
  const [columns, rows] = width >= height ? [CELLS_ALONG, CELLS_ACROSS] : [CELLS_ACROSS, CELLS_ALONG];
  const margin = REACH + 2;
  const [cellWidth, cellHeight] = [(width - 2 * margin) / columns, (height - 2 * margin) / rows];
  if (cellWidth < SEARCH_STEP || cellHeight < SEARCH_STEP) return [];
  const found: { x: number; y: number }[] = [];
  for (let cell = 0; cell < columns * rows; cell++) {
    const left = Math.round(margin + (cell % columns) * cellWidth);
    const top = Math.round(margin + Math.floor(cell / columns) * cellHeight);
    let best = PLAIN;
    let place: { x: number; y: number } | null = null;
    for (let y = top; y < top + cellHeight; y += SEARCH_STEP)
      for (let x = left; x < left + cellWidth; x += SEARCH_STEP) {
        const strength = weakerGradient(
          luma,
          width,
          Math.min(x, width - margin),
          Math.min(y, height - margin),
        );
        if (strength <= best) continue;
        best = strength;
        place = { x: Math.min(x, width - margin), y: Math.min(y, height - margin) };
      }
    if (place) found.push(place);
  }
  return found;
}

function weakerGradient(luma: Float32Array, width: number, x: number, y: number): number {
  let [xx, xy, yy] = [0, 0, 0];
  for (let row = y - REACH; row <= y + REACH; row += 2)
    for (let column = x - REACH; column <= x + REACH; column += 2) {
      const at = row * width + column;
      const gx = (luma[at + 1] ?? 0) - (luma[at - 1] ?? 0);
      const gy = (luma[at + width] ?? 0) - (luma[at - width] ?? 0);
      xx += gx * gx;
      xy += gx * gy;
      yy += gy * gy;
    }
  const samples = (REACH + 1) ** 2;
  return ((xx + yy) / 2 - Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy)) / (4 * samples);
}

const ITERATIONS = 8;
const SETTLED_PX = 0.01;
/** A patch that is left this different, share of its contrast, was not found again. */
const LOST_SHARE = 0.6;

/**
 * Where each patch went, by least squares from coarse to fine planes, each half as large as the one before, beginning at
 * the given shift; brightness may change as a whole. What leaves the picture or is not found again is left out.
 * Source: Lucas & Kanade 1981; Bouguet 2001 (pyramid).
 */
export function followed(
  places: readonly { x: number; y: number }[],
  from: readonly Plane[],
  to: readonly Plane[],
  shift: { x: number; y: number },
): Followed[] {
  return places.flatMap(({ x, y }) => {
    let move: { x: number; y: number } | null = shift;
    for (let level = from.length - 1; level >= 0 && move; level--) {
      const [before, after] = [from[level], to[level]];
      if (!before || !after) continue;
      const scale = 2 ** level;
      const begun: { x: number; y: number } = { x: move.x / scale, y: move.y / scale };
      // A pixel of a halved plane stands in the middle of its four.
      const settled = settle(before, after, (x + 0.5) / scale - 0.5, (y + 0.5) / scale - 0.5, begun);
      if (settled) move = { x: settled.x * scale, y: settled.y * scale };
      else if (level === 0) move = null;
    }
    return move ? [{ x, y, toX: x + move.x, toY: y + move.y }] : [];
  });
}

const SIDE = 2 * REACH + 1;
const COUNT = SIDE * SIDE;
const patch = new Float64Array(COUNT);
const seen = new Float64Array(COUNT);
const gradX = new Float64Array(COUNT);
const gradY = new Float64Array(COUNT);
const around = new Float64Array((SIDE + 2) ** 2);

function settle(
  before: Plane,
  after: Plane,
  x: number,
  y: number,
  begun: { x: number; y: number },
): { x: number; y: number } | null {
  if (!inside(before, x, y)) return null;
  sample(before, x, y, REACH + 1, around);
  let mean = 0;
  let meanX = 0;
  let meanY = 0;
  for (let row = 0, at = 0; row < SIDE; row++)
    for (let column = 0; column < SIDE; column++, at++) {
      const place = (row + 1) * (SIDE + 2) + column + 1;
      const value = around[place] ?? 0;
      const gx = ((around[place + 1] ?? 0) - (around[place - 1] ?? 0)) / 2;
      const gy = ((around[place + SIDE + 2] ?? 0) - (around[place - SIDE - 2] ?? 0)) / 2;
      patch[at] = value;
      gradX[at] = gx;
      gradY[at] = gy;
      mean += value / COUNT;
      meanX += gx / COUNT;
      meanY += gy / COUNT;
    }
  let xx = 0;
  let xy = 0;
  let yy = 0;
  let contrast = 0;
  for (let at = 0; at < COUNT; at++) {
    const gx = (gradX[at] ?? 0) - meanX;
    const gy = (gradY[at] ?? 0) - meanY;
    gradX[at] = gx;
    gradY[at] = gy;
    xx += gx * gx;
    xy += gx * gy;
    yy += gy * gy;
    const tone = (patch[at] ?? 0) - mean;
    patch[at] = tone;
    contrast += Math.abs(tone);
  }
  const determinant = xx * yy - xy * xy;
  if (determinant < 1e-12) return null;
  let dx = begun.x;
  let dy = begun.y;
  let left = Infinity;
  for (let turn = 0; turn < ITERATIONS; turn++) {
    if (!inside(after, x + dx, y + dy)) return null;
    const seenMean = sample(after, x + dx, y + dy, REACH, seen) / COUNT;
    let bx = 0;
    let by = 0;
    left = 0;
    for (let at = 0; at < COUNT; at++) {
      const off = (patch[at] ?? 0) + seenMean - (seen[at] ?? 0);
      left += Math.abs(off);
      bx += off * (gradX[at] ?? 0);
      by += off * (gradY[at] ?? 0);
    }
    const stepX = (yy * bx - xy * by) / determinant;
    const stepY = (xx * by - xy * bx) / determinant;
    dx += stepX;
    dy += stepY;
    if (Math.abs(stepX) + Math.abs(stepY) < SETTLED_PX) break;
  }
  const gone = Math.hypot(dx - begun.x, dy - begun.y) > 2 * REACH;
  return gone || left > LOST_SHARE * contrast ? null : { x: dx, y: dy };
}

function inside({ width, height }: Plane, x: number, y: number): boolean {
  const margin = REACH + 2;
  return x >= margin && y >= margin && x < width - margin - 1 && y < height - margin - 1;
}

/** Reads so many pixels to each side of a place between pixels, which is the same between for all of them; gives their sum. */
function sample({ width, luma }: Plane, x: number, y: number, each: number, to: Float64Array): number {
  const left = Math.floor(x);
  const top = Math.floor(y);
  const rx = x - left;
  const ry = y - top;
  const a = (1 - rx) * (1 - ry);
  const b = rx * (1 - ry);
  const c = (1 - rx) * ry;
  const d = rx * ry;
  let sum = 0;
  let place = 0;
  for (let row = top - each; row <= top + each; row++) {
    let at = row * width + left - each;
    for (let column = -each; column <= each; column++, at++) {
      const value =
        (luma[at] ?? 0) * a +
        (luma[at + 1] ?? 0) * b +
        (luma[at + width] ?? 0) * c +
        (luma[at + width + 1] ?? 0) * d;
      to[place++] = value;
      sum += value;
    }
  }
  return sum;
}
