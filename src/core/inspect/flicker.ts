import type { Pictures } from '../records/clipReport';
import { hann, peakBetween, powerOfTwoFrom, spectrumOf } from './fourier';
import type { Spectrum } from './fourier';
import type { Plane } from './plane';
import { flickerBeatHz, pulseHzOfMains } from '../light/flicker';
import type { Moved } from './movement';
import { medianOf } from './series';

/** Light that pulses, as filmed: Hz of the film, and half the swing over the mean of luma in per cent. */
export type Flicker = NonNullable<Pictures['flicker']>;

/** Blocks along either side, whose brightness is followed. */
const BLOCKS = 12;
/** Below this it is the light of the scene that changes, or where the camera looks: lamps beat at usual rates at 4 Hz and more. */
const SLOWEST_HZ = 1;
/** Below this it is not seen, per cent. */
const FAINTEST_PCT = 0.4;
/** Rows agree on one wave to at least this, 0…1; what moves through the picture does not. */
const AGREES = 0.75;
/** The peak stands over the middle of the spectrum by this factor. */
const STANDS_OUT = 5;
/** An alias is met to within this, Hz. */
const MEETS_HZ = 0.5;

/** Sums of luma over everything above and to the left of a corner, a row and a column more than the plane. Source: Crow 1984. */
export interface Summed {
  width: number;
  height: number;
  sums: Float64Array;
}

export function summed({ width, height, luma }: Plane): Summed {
  const wide = width + 1;
  const sums = new Float64Array(wide * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += luma[y * width + x] ?? 0;
      sums[(y + 1) * wide + x + 1] = (sums[y * wide + x + 1] ?? 0) + row;
    }
  }
  return { width, height, sums };
}

/** Sum up to a place between corners. */
function sumTo({ width, sums }: Summed, x: number, y: number): number {
  const wide = width + 1;
  const left = Math.floor(x);
  const top = Math.floor(y);
  const rx = x - left;
  const ry = y - top;
  const at = top * wide + left;
  const above = (sums[at] ?? 0) * (1 - rx) + (rx > 0 ? (sums[at + 1] ?? 0) * rx : 0);
  if (ry === 0) return above;
  const below = (sums[at + wide] ?? 0) * (1 - rx) + (rx > 0 ? (sums[at + wide + 1] ?? 0) * rx : 0);
  return above * (1 - ry) + below * ry;
}

/** Logarithm of the mean over a block; NaN where it reaches out of the picture, or is too dark or too bright to follow the light. */
function blockLog(plane: Summed, x: number, y: number, wide: number, high: number): number {
  if (x < 0 || y < 0 || x + wide > plane.width || y + high > plane.height) return NaN;
  const sum =
    sumTo(plane, x + wide, y + high) -
    sumTo(plane, x, y + high) -
    sumTo(plane, x + wide, y) +
    sumTo(plane, x, y);
  const log = Math.log(Math.max(0.004, sum / (wide * high)));
  return log < DARKEST_LOG || log > LIGHTEST_LOG ? NaN : log;
}

/**
 * How much brighter each row of blocks became since the picture before, as logarithms: each block against the place where
 * what it shows stood before, and the middle of the row's blocks, so that what moves by itself does not count.
 */
export function rowGains(before: Summed, after: Summed, moved: Moved | null): Float32Array {
  const { width, height } = after;
  const [wide, high] = [width / BLOCKS, height / BLOCKS];
  const { x: right, y: down, rollDeg, scale } = moved ?? { x: 0, y: 0, rollDeg: 0, scale: 1 };
  const angle = (rollDeg * Math.PI) / 180;
  const cos = Math.cos(angle) / scale;
  const sin = Math.sin(angle) / scale;
  return Float32Array.from({ length: BLOCKS }, (_, row) => {
    const changes: number[] = [];
    for (let column = 0; column < BLOCKS; column++) {
      const x = (column + 0.5) * wide - width / 2 - right;
      const y = (row + 0.5) * high - height / 2 - down;
      const fromX = x * cos + y * sin + width / 2 - wide / 2;
      const fromY = y * cos - x * sin + height / 2 - high / 2;
      const change =
        blockLog(after, column * wide, row * high, wide, high) - blockLog(before, fromX, fromY, wide, high);
      if (!Number.isNaN(change)) changes.push(change);
    }
    return changes.length < 3 ? NaN : medianOf(changes);
  });
}

const LIGHTEST_LOG = Math.log(0.96);
const DARKEST_LOG = Math.log(0.03);

/**
 * The strongest wave that all rows share, together or one after the other (a rolling shutter under lamps), in the gains
 * from picture to picture. `null`: none. The gains are a slope: a wave of amplitude A at f Hz changes by 2·A·sin(π·f/fps)
 * from one picture to the next.
 */
export function flickerIn(gains: readonly Float32Array[], fps: number): Flicker | null {
  const length = gains.length;
  if (length < fps) return null;
  const shape = hann(length);
  const size = powerOfTwoFrom(2 * length);
  const rows: Spectrum[] = [];
  for (let row = 0; row < BLOCKS; row++) {
    const told = gains.map((gain) => gain[row] ?? NaN);
    if (told.filter(Number.isFinite).length < 0.8 * length) continue;
    const middle = medianOf(told.filter(Number.isFinite));
    const series = shape.map((weight, at) => {
      const gain = told[at] ?? NaN;
      return Number.isFinite(gain) ? weight * (gain - middle) : 0;
    });
    rows.push(spectrumOf(series, fps, size));
  }
  if (rows.length < BLOCKS / 2) return null;
  // Of the window, half a line is a wave's amplitude: Σ hann / 2 = length / 4.
  const toAmplitude = (line: number): number =>
    4 / length / (2 * Math.max(1e-6, Math.sin((Math.PI * line) / size)));
  const from = Math.ceil((SLOWEST_HZ * size) / fps);
  const lines = size / 2;
  const waves = Array.from({ length: lines + 1 }, (_, line) => (line < from ? NO_WAVE : waveAt(rows, line)));
  const floor = medianOf(waves.slice(from).map(({ strength }) => strength));
  let best = from;
  for (let line = from; line <= lines; line++)
    if (strengthAt(waves, line) > strengthAt(waves, best)) best = line;
  const wave = waves[best];
  if (!wave || wave.agreement < AGREES || wave.strength < STANDS_OUT * floor) return null;
  const atEdge = best === lines;
  const between = atEdge
    ? 0
    : peakBetween(strengthAt(waves, best - 1), wave.strength, strengthAt(waves, best + 1));
  const amplitude = (wave.strength * toAmplitude(best)) / (atEdge ? 2 : 1);
  const pct = 100 * amplitude;
  if (pct < FAINTEST_PCT) return null;
  const hz = ((best + between) * fps) / size;
  return { hz, pct, seen: wave.bands === 0 ? 'pulse' : 'bands', mainsHz: mainsBehind(hz, fps) };
}

interface Wave {
  /** Mean over rows of what they share. */
  strength: number;
  /** Against what they hold, 0…1. */
  agreement: number;
  /** Waves from top to bottom, signed. */
  bands: number;
}

const NO_WAVE: Wave = { strength: 0, agreement: 0, bands: 0 };
/** Up to this many stripes are looked for; a quarter of one is told apart. */
const MOST_BANDS = 4;

/** Rows turned back by the phase that so many stripes give them, added up: the stripes for which they agree best. */
function waveAt(rows: readonly Spectrum[], line: number): Wave {
  let held = 0;
  for (const { parts } of rows) held += Math.hypot(parts[2 * line] ?? 0, parts[2 * line + 1] ?? 0);
  let best = NO_WAVE;
  for (let bands = -MOST_BANDS; bands <= MOST_BANDS; bands += 0.25) {
    let [re, im] = [0, 0];
    for (const [row, { parts }] of rows.entries()) {
      const [a, b] = [parts[2 * line] ?? 0, parts[2 * line + 1] ?? 0];
      const phase = (-2 * Math.PI * bands * row) / rows.length;
      re += a * Math.cos(phase) - b * Math.sin(phase);
      im += a * Math.sin(phase) + b * Math.cos(phase);
    }
    const sum = Math.hypot(re, im);
    const strength = sum / rows.length;
    if (strength > best.strength * (bands === 0 ? 0.98 : 1))
      best = { strength, agreement: held > 0 ? sum / held : 0, bands: Math.abs(bands) < 0.5 ? 0 : bands };
  }
  return best;
}

function strengthAt(waves: readonly Wave[], line: number): number {
  return waves[line]?.strength ?? 0;
}

/** Lamps on the mains pulse at twice its rate, and are filmed at the alias. */
function mainsBehind(hz: number, fps: number): 50 | 60 | null {
  const off = ([50, 60] as const).map((mains) => ({
    mains,
    off: Math.abs(flickerBeatHz(pulseHzOfMains(mains), fps) - hz),
  }));
  const nearest = off.reduce((best, one) => (one.off < best.off ? one : best));
  return nearest.off <= MEETS_HZ ? nearest.mains : null;
}
