import { hann, peakBetween, powerAt, powerOfTwoFrom, spectrumOf } from './fourier';
import { runningMean, rmsOf } from './series';

/** How much a picture shook, and in which band. */
interface ShakeMeasured {
  /** Rms rates with what was meant taken off; shifts in the unit of the series, across and down together. */
  shiftRms: number;
  rollDegPerSRms: number;
  /** The strongest band, Hz; `null` where nothing stands out. */
  strongestHz: number | null;
}

/** Movement over a stretch of evenly spaced pictures, per second. */
export interface Rates {
  x: Float64Array;
  y: Float64Array;
  rollDeg: Float64Array;
}

/** What is meant is slower than this. */
const MEANT_SECONDS = 1;
/** Below this nothing is told: one swing at one hertz. */
const SHORTEST_SECONDS = 1.2;

export function shakeIn(rates: Rates, fps: number): ShakeMeasured | null {
  if (rates.x.length < SHORTEST_SECONDS * fps) return null;
  const [x, y, roll] = [rates.x, rates.y, rates.rollDeg].map((series) => withoutMeant(series, fps));
  if (!x || !y || !roll) return null;
  return {
    shiftRms: Math.hypot(rmsOf(x), rmsOf(y)),
    rollDegPerSRms: rmsOf(roll),
    strongestHz: strongestOf([x, y], fps),
  };
}

/**
 * What was meant: a running mean of one second, taken twice. Taken once it would leave 1 − sinc f of a swing at f Hz: 1.22
 * at 1.4 Hz and 0.87 at 2.5. Taken twice it leaves 1 − sinc² f, which stays within 5 % from one hertz on. Of the first and
 * the last `ends` entries, where the mean has but one side, nothing is told; there are none where little would be left.
 */
export function meantIn(series: Float64Array, fps: number): { meant: Float64Array; ends: number } {
  const each = Math.max(1, Math.round((MEANT_SECONDS * fps) / 2));
  const meant = runningMean(runningMean(series, each), each);
  return { meant, ends: series.length > 6 * each ? 2 * each : 0 };
}

/** A series with what was meant taken off, its ends left out. */
export function withoutMeant(series: Float64Array, fps: number): Float64Array {
  const { meant, ends } = meantIn(series, fps);
  return series.map((value, at) => value - (meant[at] ?? 0)).subarray(ends, series.length - ends);
}

/** Averaged over windows of this long. */
const WINDOW_SECONDS = 4;
/** How much finer than its lines the spectrum is drawn. */
const FINER = 4;
/** A band stands out from this many times the mean power on. */
const STANDS_OUT = 2.5;

/** Source: Welch 1967: overlapping windows, their power averaged. */
export function strongestOf(axes: readonly Float64Array[], fps: number): number | null {
  const length = Math.min(axes[0]?.length ?? 0, Math.round(WINDOW_SECONDS * fps));
  if (length < 8) return null;
  const size = powerOfTwoFrom(FINER * length);
  const power = new Float64Array(size / 2);
  const shape = hann(length);
  for (const axis of axes)
    for (let from = 0; from + length <= axis.length; from += Math.max(1, length >> 1)) {
      const spectrum = spectrumOf(
        shape.map((weight, at) => weight * (axis[from + at] ?? 0)),
        fps,
        size,
      );
      for (let line = 0; line < power.length; line++)
        power[line] = (power[line] ?? 0) + powerAt(spectrum, line);
    }
  let best = 1;
  let sum = 0;
  for (let line = 1; line < power.length; line++) {
    sum += power[line] ?? 0;
    if ((power[line] ?? 0) > (power[best] ?? 0)) best = line;
  }
  const top = power[best] ?? 0;
  if (top <= 0 || top < (STANDS_OUT * sum) / (power.length - 1)) return null;
  return ((best + peakBetween(power[best - 1] ?? 0, top, power[best + 1] ?? 0)) * fps) / size;
}
