/** In one of twenty days less, in half of them, in one of twenty more. */
export interface Fan {
  low: number;
  middle: number;
  high: number;
}

const SHARES = { low: 0.05, middle: 0.5, high: 0.95 };

export function fanOf(values: readonly number[]): Fan {
  const sorted = [...values].sort((a, b) => a - b);
  return fanBy((share) => sorted[Math.round(share * (sorted.length - 1))] ?? 0);
}

/** By what stands below so much of all days. */
export function fanBy(quantile: (share: number) => number): Fan {
  return { low: quantile(SHARES.low), middle: quantile(SHARES.middle), high: quantile(SHARES.high) };
}
