import type { Pictures } from '../records/clipReport';
import { hann, peakBetween, powerOfTwoFrom, spectrumOf } from './fourier';
import type { Spectrum } from './fourier';
import type { Plane } from './plane';
import { flickerBeatHz, pulseHzOfMains } from '../light/flicker';
import { medianOf } from './series';

/** Light that pulses, as filmed: Hz of the film, and half the swing over the mean of luma in per cent. */
export type Flicker = NonNullable<Pictures['flicker']>;

/** Blocks along either side, whose brightness is followed. */
const BLOCKS = 12;
/** Below this it is the light of the scene that changes, Hz. */
const SLOWEST_HZ = 0.6;
/** Below this it is not seen, per cent. */
const FAINTEST_PCT = 0.4;
/** Rows agree on one wave to at least this, 0…1; what moves through the picture does not. */
const AGREES = 0.75;
/** The peak stands over the middle of the spectrum by this factor. */
const STANDS_OUT = 5;
/** An alias is met to within this, Hz. */
const MEETS_HZ = 0.5;

/** Logarithms of the mean luma of twelve by twelve blocks, row by row. */
export function blockLogs({ width, height, luma }: Plane): Float32Array {
  const logs = new Float32Array(BLOCKS * BLOCKS);
  const counts = new Float32Array(BLOCKS * BLOCKS);
  for (let y = 0; y < height; y++) {
    const row = Math.floor((y * BLOCKS) / height) * BLOCKS;
    for (let x = 0; x < width; x++) {
      const block = row + Math.floor((x * BLOCKS) / width);
      logs[block] = (logs[block] ?? 0) + (luma[y * width + x] ?? 0);
      counts[block] = (counts[block] ?? 0) + 1;
    }
  }
  return logs.map((sum, at) => Math.log(Math.max(0.004, sum / Math.max(1, counts[at] ?? 1))));
}

/**
 * How much brighter each row of blocks became since the picture before, as logarithms: the middle of its blocks, so that
 * what moves through some of them does not count. White and black blocks do not follow the light and are left out.
 */
export function rowGains(before: Float32Array, after: Float32Array): Float32Array {
  return Float32Array.from({ length: BLOCKS }, (_, row) => {
    const changes: number[] = [];
    for (let at = row * BLOCKS; at < (row + 1) * BLOCKS; at++) {
      const [from, to] = [before[at] ?? 0, after[at] ?? 0];
      if (Math.max(from, to) < LIGHTEST_LOG && Math.min(from, to) > DARKEST_LOG) changes.push(to - from);
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
