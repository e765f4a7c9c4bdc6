import type { Plane } from './plane';

/** A dominant line near the middle of the picture: how far it is turned clockwise, and how much of it is there, 0…1. */
export interface HorizonLine {
  tiltDeg: number;
  confidence: number;
}

/** Lines up to this far from level. */
const STEEPEST_DEG = 40;
const PER_BIN_DEG = 0.5;
const PER_BIN_PX = 1.5;
/** Lines whose middle is within this share of the height from the picture's. */
const NEAR_MIDDLE = 0.38;
/** Of all gradients, the strongest share; and none weaker than this, share of the range. */
const STRONGEST = 0.1;
const WEAKEST = 0.02;
/** A gradient points across its line to within this. */
const POINTS_WITHIN_DEG = 6;
const WITHIN_PX = 2;
/** Parts into which the line is cut: so many of them must hold a piece of it. */
const PARTS = 48;
/** Less of a line than this is chance: in plain texture a third of some line is found. */
const LEAST = 0.5;

interface Edge {
  x: number;
  y: number;
  /** Of the line across which the gradient points, and whether it is brighter above or below. */
  tiltDeg: number;
  brighterBelow: boolean;
  weight: number;
}

/**
 * The near-level line on which most strong gradients agree: a Hough transform in which each gradient votes only for lines
 * that it points across, brighter above and brighter below apart; then least squares through what stands on the line.
 * `null`: there is none. Source: Duda & Hart 1972; O'Gorman & Clowes 1976 (votes by direction).
 */
export function horizonOf(plane: Plane): HorizonLine | null {
  const edges = edgesOf(plane);
  if (edges.length < PARTS) return null;
  const line = mostVoted(edges, plane);
  if (!line) return null;
  let fit: Line = line;
  let holding: readonly Edge[] = [];
  for (let turn = 0; turn < 3; turn++) {
    holding = edges.filter(
      (edge) =>
        edge.brighterBelow === line.brighterBelow &&
        Math.abs(edge.tiltDeg - fit.tiltDeg) < POINTS_WITHIN_DEG &&
        Math.abs(offLine(fit, edge)) < WITHIN_PX,
    );
    const next = throughMost(holding);
    if (!next) return null;
    fit = next;
  }
  const covered = coveredShare(holding, plane.width, fit.tiltDeg);
  return covered < LEAST ? null : { tiltDeg: fit.tiltDeg, confidence: covered };
}

interface Line {
  tiltDeg: number;
  /** Height of the line at the picture's middle, pixels below it. */
  y: number;
}

const RAD = Math.PI / 180;

function offLine({ tiltDeg, y }: Line, edge: Edge): number {
  return (edge.y - y - edge.x * Math.tan(tiltDeg * RAD)) * Math.cos(tiltDeg * RAD);
}

/** Places from the picture's middle. Gradients by Sobel & Feldman's operator. */
function edgesOf({ width, height, luma }: Plane): Edge[] {
  const steep = Math.tan((90 - STEEPEST_DEG) * RAD);
  const across = new Float32Array(width * height);
  const down = new Float32Array(width * height);
  const strengths = new Uint32Array(STRENGTHS);
  let found = 0;
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      const a = luma[at - width - 1] ?? 0;
      const c = luma[at - width + 1] ?? 0;
      const g = luma[at + width - 1] ?? 0;
      const i = luma[at + width + 1] ?? 0;
      const gx = (c + 2 * (luma[at + 1] ?? 0) + i - a - 2 * (luma[at - 1] ?? 0) - g) / 8;
      const gy = (g + 2 * (luma[at + width] ?? 0) + i - a - 2 * (luma[at - width] ?? 0) - c) / 8;
      if (Math.abs(gy) < steep * Math.abs(gx)) continue;
      const weight = Math.sqrt(gx * gx + gy * gy);
      if (weight < WEAKEST) continue;
      across[at] = gx;
      down[at] = gy;
      const strength = Math.min(STRENGTHS - 1, Math.floor(weight * STRENGTHS));
      strengths[strength] = (strengths[strength] ?? 0) + 1;
      found++;
    }
  const most = STRONGEST * width * height;
  let least = 0;
  while (found > most && least < STRENGTHS) found -= strengths[least++] ?? 0;
  const edges: Edge[] = [];
  for (let at = 0; at < down.length; at++) {
    const gy = down[at] ?? 0;
    const gx = across[at] ?? 0;
    if (gy === 0) continue;
    const weight = Math.sqrt(gx * gx + gy * gy);
    if (weight < least / STRENGTHS) continue;
    edges.push({
      x: (at % width) - (width - 1) / 2,
      y: Math.floor(at / width) - (height - 1) / 2,
      tiltDeg: Math.atan(-gx / gy) / RAD,
      brighterBelow: gy > 0,
      weight,
    });
  }
  return edges;
}

/** Steps in which the strength of gradients is counted. */
const STRENGTHS = 256;

function mostVoted(
  edges: readonly Edge[],
  { width, height }: Plane,
): (Line & { brighterBelow: boolean }) | null {
  const tilts = Math.round((2 * STEEPEST_DEG) / PER_BIN_DEG) + 1;
  const reach = Math.hypot(width, height) / 2;
  const places = Math.ceil((2 * reach) / PER_BIN_PX) + 1;
  const votes = [new Float32Array(tilts * places), new Float32Array(tilts * places)];
  const each = Math.round(POINTS_WITHIN_DEG / 2 / PER_BIN_DEG);
  const waves = Array.from({ length: tilts }, (_, bin) => {
    const angle = (bin * PER_BIN_DEG - STEEPEST_DEG) * RAD;
    return { cos: Math.cos(angle), sin: Math.sin(angle) };
  });
  for (const { x, y, tiltDeg, brighterBelow, weight } of edges) {
    const field = votes[brighterBelow ? 1 : 0];
    const own = Math.round((tiltDeg + STEEPEST_DEG) / PER_BIN_DEG);
    for (let bin = Math.max(0, own - each); bin <= Math.min(tilts - 1, own + each); bin++) {
      const wave = waves[bin];
      if (!wave || !field) continue;
      const place = Math.round((y * wave.cos - x * wave.sin + reach) / PER_BIN_PX);
      field[bin * places + place] = (field[bin * places + place] ?? 0) + Math.min(weight, 0.15);
    }
  }
  let best = 0;
  let line: (Line & { brighterBelow: boolean }) | null = null;
  for (const [side, field] of votes.entries())
    for (let bin = 0; bin < tilts; bin++)
      for (let place = 1; place < places - 1; place++) {
        const at = bin * places + place;
        const value = (field[at - 1] ?? 0) / 2 + (field[at] ?? 0) + (field[at + 1] ?? 0) / 2;
        if (value <= best) continue;
        const tiltDeg = bin * PER_BIN_DEG - STEEPEST_DEG;
        const y = (place * PER_BIN_PX - reach) / Math.cos(tiltDeg * RAD);
        if (Math.abs(y) > NEAR_MIDDLE * height) continue;
        best = value;
        line = { tiltDeg, y, brighterBelow: side === 1 };
      }
  return line;
}

/** Weighted least squares of the height over the width; what stands in one part counts as one, however thick. */
function throughMost(edges: readonly Edge[]): Line | null {
  let [sum, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0];
  for (const { x, y, weight } of edges) {
    sum += weight;
    sx += weight * x;
    sy += weight * y;
    sxx += weight * x * x;
    sxy += weight * x * y;
  }
  const spread = sum * sxx - sx * sx;
  if (sum === 0 || spread <= 0) return null;
  const slope = (sum * sxy - sx * sy) / spread;
  return { tiltDeg: Math.atan(slope) / RAD, y: (sy - slope * sx) / sum };
}

function coveredShare(edges: readonly Edge[], width: number, tiltDeg: number): number {
  const length = width / Math.cos(tiltDeg * RAD);
  const parts = new Set(
    edges.map(({ x }) => Math.floor(((x / Math.cos(tiltDeg * RAD) + length / 2) / length) * PARTS)),
  );
  return Math.min(1, parts.size / PARTS);
}
