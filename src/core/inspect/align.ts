import { peakBetween, powerOfTwoFrom, transformOf } from './fourier';

/** How much later the second recording began than the first, and how sure that is, 0…1. */
export interface Aligned {
  offsetSeconds: number;
  confidence: number;
}

/** Around the best place nothing else counts as another, seconds: one sound has some width. */
const OWN_SECONDS = 0.02;
/** Sounds are compared in the band that every microphone has, Hz. */
const BAND_HZ = [80, 3500] as const;
/** The best place stands over the next by this factor, or the two share nothing. */
const LEAST_CONFIDENCE = 0.4;

/**
 * Aligns two recordings of one place by what both heard, at the same rate: generalised cross-correlation with phase
 * transform, which counts every frequency alike, so that a clap weighs more than a hum. Good to a few samples.
 * `null`: they share nothing that stands out. Source: Knapp & Carter 1976, table 1 (PHAT).
 */
export function alignedBySound(
  first: Float32Array,
  second: Float32Array,
  rate: number,
  mostSeconds = Infinity,
): Aligned | null {
  if (first.length < rate / 10 || second.length < rate / 10) return null;
  const size = powerOfTwoFrom(first.length + second.length);
  const transform = transformOf(size);
  const field = (samples: Float32Array): Float64Array => {
    const from = new Float64Array(2 * size);
    for (let at = 0; at < samples.length; at++) from[2 * at] = samples[at] ?? 0;
    const to = new Float64Array(2 * size);
    transform.forward(to, from);
    return to;
  };
  const [one, other] = [field(first), field(second)];
  for (let line = 0; line < size; line++) {
    const hz = (Math.min(line, size - line) * rate) / size;
    const at = 2 * line;
    const [a, b, c, d] = [one[at] ?? 0, one[at + 1] ?? 0, other[at] ?? 0, other[at + 1] ?? 0];
    const re = a * c + b * d;
    const im = b * c - a * d;
    const weight = hz < BAND_HZ[0] || hz > BAND_HZ[1] ? 0 : 1 / Math.max(1e-12, Math.hypot(re, im));
    one[at] = re * weight;
    one[at + 1] = im * weight;
  }
  transform.inverse(other, one);
  const valueAt = (lag: number): number => other[2 * ((lag + size) % size)] ?? 0;
  const reach = (length: number): number => Math.min(length - 1, Math.round(mostSeconds * rate));
  const [from, to] = [-reach(second.length), reach(first.length)];
  let best = from;
  for (let lag = from; lag <= to; lag++) if (valueAt(lag) > valueAt(best)) best = lag;
  let next = 0;
  const own = OWN_SECONDS * rate;
  for (let lag = from; lag <= to; lag++) if (Math.abs(lag - best) > own) next = Math.max(next, valueAt(lag));
  const top = valueAt(best);
  const confidence = top > 0 ? 1 - next / top : 0;
  if (confidence < LEAST_CONFIDENCE) return null;
  const between = peakBetween(valueAt(best - 1), top, valueAt(best + 1));
  return { offsetSeconds: (best + between) / rate, confidence };
}
