import { followed, placesToFollow } from './patches';
import type { Followed } from './patches';
import { planeSpectrum, shiftBetween } from './phaseCorrelation';
import type { PlaneSpectrum } from './phaseCorrelation';
import { halved } from './plane';
import type { Plane } from './plane';

/** How a picture moved since the one before, about its middle: what is seen moves right, down, turns clockwise, grows. */
export interface Moved {
  /** Pixels of the plane. */
  x: number;
  y: number;
  rollDeg: number;
  scale: number;
  /** Share of the patches that agree, 0…1. */
  confidence: number;
}

/** One picture made ready for being compared with its neighbours. */
export interface Readied {
  levels: readonly Plane[];
  spectrum: PlaneSpectrum;
}

const LEVELS = 3;

export function readied(plane: Plane): Readied {
  const levels = [plane];
  for (let level = 1; level < LEVELS; level++) levels.push(halved(levels[level - 1] ?? plane));
  return { levels, spectrum: planeSpectrum(levels[1] ?? plane) };
}

/** Fewer patches than this tell nothing. */
const FEWEST = 6;
/** A patch agrees within this, pixels. */
const AGREES_PX = 0.6;
const TRIES = 90;
/** Agreement of fewer than this is chance. */
const LEAST_CONFIDENCE = 0.35;
/** Agreement of so many is no chance: nothing else is tried. */
const SURE = 0.6;

/**
 * The similarity between two pictures: the shift of the whole by phase correlation, patches followed from there, and the
 * shift, turn and growth on which most of them agree; what moves by itself is left out. `null`: could not be told.
 * Source: Fischler & Bolles 1981 (random sample consensus; the samples here are taken evenly, so that the same pictures
 * give the same figures), least squares over those that agree.
 */
export function movedBetween(from: Readied, to: Readied): Moved | null {
  const [plane] = from.levels;
  if (!plane) return null;
  const places = placesToFollow(plane);
  if (places.length < FEWEST) return null;
  const coarse = shiftBetween(from.spectrum, to.spectrum);
  const centre = { x: (plane.width - 1) / 2, y: (plane.height - 1) / 2 };
  const followedFrom = (begun: { x: number; y: number }): Moved | null =>
    agreed(followed(places, from.levels, to.levels, begun), places.length, centre);
  const shifted = followedFrom({ x: 2 * coarse.x, y: 2 * coarse.y });
  if (shifted && shifted.confidence >= SURE) return shifted;
  // A peak by chance leads every patch astray: most pictures move little.
  const still = followedFrom({ x: 0, y: 0 });
  return (still?.confidence ?? 0) > (shifted?.confidence ?? 0) ? still : shifted;
}

interface Similarity {
  x: number;
  y: number;
  /** s·cos θ and s·sin θ. */
  a: number;
  b: number;
}

function agreed(moves: readonly Followed[], asked: number, centre: { x: number; y: number }): Moved | null {
  if (moves.length < FEWEST) return null;
  const points = moves.map(({ x, y, toX, toY }) => ({
    x: x - centre.x,
    y: y - centre.y,
    toX: toX - centre.x,
    toY: toY - centre.y,
  }));
  let best: typeof points = [];
  for (let turn = 0; turn < TRIES; turn++) {
    const first = points[turn % points.length];
    const second = points[(turn + 1 + ((turn * 7) % (points.length - 1))) % points.length];
    if (!first || !second || first === second) continue;
    const fit = fitted([first, second]);
    if (!fit) continue;
    const those = points.filter((point) => offBy(fit, point) < AGREES_PX);
    if (those.length > best.length) best = those;
    if (best.length === points.length) break;
  }
  for (let turn = 0; turn < 2; turn++) {
    const fit = fitted(best);
    if (!fit) return null;
    best = points.filter((point) => offBy(fit, point) < AGREES_PX);
  }
  const fit = best.length >= FEWEST ? fitted(best) : null;
  const confidence = best.length / asked;
  if (!fit || confidence < LEAST_CONFIDENCE) return null;
  return {
    x: fit.x,
    y: fit.y,
    rollDeg: (Math.atan2(fit.b, fit.a) * 180) / Math.PI,
    scale: Math.hypot(fit.a, fit.b),
    confidence,
  };
}

type Point = Followed;

/** Least squares of x' = t + s·R·x. Source: Umeyama 1991, in two dimensions. */
function fitted(points: readonly Point[]): Similarity | null {
  const count = points.length;
  if (count < 2) return null;
  let [mx, my, mtx, mty] = [0, 0, 0, 0];
  for (const { x, y, toX, toY } of points) {
    mx += x / count;
    my += y / count;
    mtx += toX / count;
    mty += toY / count;
  }
  let [dot, cross, square] = [0, 0, 0];
  for (const point of points) {
    const [x, y, toX, toY] = [point.x - mx, point.y - my, point.toX - mtx, point.toY - mty];
    dot += x * toX + y * toY;
    cross += x * toY - y * toX;
    square += x * x + y * y;
  }
  if (square < 1) return null;
  const [a, b] = [dot / square, cross / square];
  return { a, b, x: mtx - a * mx + b * my, y: mty - b * mx - a * my };
}

function offBy({ x: tx, y: ty, a, b }: Similarity, { x, y, toX, toY }: Point): number {
  return Math.hypot(a * x - b * y + tx - toX, b * x + a * y + ty - toY);
}
