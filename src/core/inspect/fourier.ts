import FFT from 'fft.js';

/** Fourier transforms of real series, by fft.js: lengths are padded to a power of two. */
export interface Spectrum {
  /** Real and imaginary parts, one after the other, from 0 to half the rate. */
  parts: Float64Array;
  /** Hz (or cycles a sample) from one line to the next. */
  perLine: number;
}

export function powerOfTwoFrom(length: number): number {
  return 2 ** Math.max(1, Math.ceil(Math.log2(Math.max(2, length))));
}

/** A transform of one size, kept by whoever uses it again and again. Arrays hold real and imaginary parts in turn. */
interface Transform {
  size: number;
  forward: (to: Float64Array, from: Float64Array) => void;
  /** Divided by the size: what was transformed comes back. */
  inverse: (to: Float64Array, from: Float64Array) => void;
}

const TRANSFORMS = new Map<number, Transform>();

/** `size` is a power of two above one. */
export function transformOf(size: number): Transform {
  const known = TRANSFORMS.get(size);
  if (known) return known;
  const fft = new FFT(size);
  const made: Transform = {
    size,
    forward: (to, from) => {
      fft.transform(to, from);
    },
    inverse: (to, from) => {
      fft.inverseTransform(to, from);
    },
  };
  TRANSFORMS.set(size, made);
  return made;
}

/** The spectrum of a real series at `rate` samples a second, padded with nothing to `size`. */
export function spectrumOf(
  series: ArrayLike<number>,
  rate: number,
  size = powerOfTwoFrom(series.length),
): Spectrum {
  const from = new Float64Array(2 * size);
  for (let at = 0; at < series.length; at++) from[2 * at] = series[at] ?? 0;
  const to = new Float64Array(2 * size);
  transformOf(size).forward(to, from);
  return { parts: to.subarray(0, size + 2), perLine: rate / size };
}

export function powerAt({ parts }: Spectrum, line: number): number {
  return (parts[2 * line] ?? 0) ** 2 + (parts[2 * line + 1] ?? 0) ** 2;
}

/** Von Hann's window of a length, whose ends are nothing. Source: Blackman & Tukey 1958, B.5. */
export function hann(length: number): Float64Array {
  return Float64Array.from(
    { length },
    (_, at) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (at + 0.5)) / Math.max(1, length)),
  );
}

/** Transforms two dimensions in place, rows and then columns; `width` and `height` are powers of two. */
export function transform2d(
  field: Float64Array,
  width: number,
  height: number,
  way: 'forward' | 'inverse',
): void {
  const across = transformOf(width)[way];
  const line = new Float64Array(2 * width);
  for (let row = 0; row < height; row++) {
    const place = field.subarray(2 * row * width, 2 * (row + 1) * width);
    across(line, place);
    place.set(line);
  }
  const downwards = transformOf(height)[way];
  const from = new Float64Array(2 * height);
  const to = new Float64Array(2 * height);
  for (let column = 0; column < width; column++) {
    for (let row = 0; row < height; row++) {
      const at = 2 * (row * width + column);
      from[2 * row] = field[at] ?? 0;
      from[2 * row + 1] = field[at + 1] ?? 0;
    }
    downwards(to, from);
    for (let row = 0; row < height; row++) {
      const at = 2 * (row * width + column);
      field[at] = to[2 * row] ?? 0;
      field[at + 1] = to[2 * row + 1] ?? 0;
    }
  }
}

/** Where between its neighbours a peak lies, −½…½ of a step: the top of the parabola through three values. */
export function peakBetween(before: number, at: number, after: number): number {
  const bend = before - 2 * at + after;
  return bend >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, (0.5 * (before - after)) / bend));
}
