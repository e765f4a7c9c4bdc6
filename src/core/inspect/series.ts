/** What is asked of series of figures in time, in this chapter and its tests. */

/** The middle of some values; NaN of none. */
export function medianOf(values: ArrayLike<number>): number {
  return quantileOf(values, 0.5);
}

/** A quantile between sorted values, joined by straight lines; NaN of none. */
export function quantileOf(values: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(values).sort();
  const place = share * (sorted.length - 1);
  const below = Math.floor(place);
  const low = sorted[below] ?? NaN;
  return low + (place - below) * ((sorted[Math.min(below + 1, sorted.length - 1)] ?? NaN) - low);
}

export function meanOf(values: ArrayLike<number>): number {
  let sum = 0;
  for (let at = 0; at < values.length; at++) sum += values[at] ?? 0;
  return values.length === 0 ? NaN : sum / values.length;
}

/** Root of the mean square. */
export function rmsOf(values: ArrayLike<number>): number {
  let sum = 0;
  for (let at = 0; at < values.length; at++) sum += (values[at] ?? 0) ** 2;
  return values.length === 0 ? NaN : Math.sqrt(sum / values.length);
}

/** The mean of as many entries on either side, fewer at the ends. */
export function runningMean(values: ArrayLike<number>, eachSide: number): Float64Array {
  const sums = new Float64Array(values.length + 1);
  for (let at = 0; at < values.length; at++) sums[at + 1] = (sums[at] ?? 0) + (values[at] ?? 0);
  return Float64Array.from(values, (_, at) => {
    const from = Math.max(0, at - eachSide);
    const to = Math.min(values.length, at + eachSide + 1);
    return ((sums[to] ?? 0) - (sums[from] ?? 0)) / (to - from);
  });
}

/** The median of as many entries on either side, fewer at the ends. */
export function runningMedian(values: ArrayLike<number>, eachSide: number): Float64Array {
  const all = Float64Array.from(values);
  return all.map((_, at) => medianOf(all.subarray(Math.max(0, at - eachSide), at + eachSide + 1)));
}

/** Pearson's correlation, 0 where either does not vary. */
export function correlationOf(one: readonly number[], other: readonly number[]): number {
  const [meanOne, meanOther] = [meanOf(one), meanOf(other)];
  let [both, squareOne, squareOther] = [0, 0, 0];
  for (let at = 0; at < one.length; at++) {
    const a = (one[at] ?? 0) - meanOne;
    const b = (other[at] ?? 0) - meanOther;
    both += a * b;
    squareOne += a * a;
    squareOther += b * b;
  }
  const scale = Math.sqrt(squareOne * squareOther);
  return scale > 0 ? both / scale : 0;
}
