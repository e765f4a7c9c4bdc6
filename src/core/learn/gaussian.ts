import { item } from '../units/items';
import { inverseOf } from '../units/matrix';

/**
 * Figures and the offsets of days as one normal, from what pieces of evidence say of sums of them. Days are many and touch
 * each other only over figures, so they are solved out first: Golub & Van Loan 2013, ch. 4.5 (block elimination).
 */
export interface Piece {
  /** Figures by place, with factors. */
  at: readonly number[];
  times: readonly number[];
  /** Its day's offset by place, and where its figures stand among those of the day; -1 and none: it stands alone. */
  day: number;
  within: readonly number[];
  /** What it says of its sum: precision, and precision times mean. */
  precision: number;
  shift: number;
}

export interface DayPrior {
  spread: number;
  /** The figures that pieces of it speak of. */
  rows: readonly number[];
}

export interface Gaussian {
  mean: readonly number[];
  covariance: readonly (readonly number[])[];
  /** Of each day's offset: mean, variance, and covariance with each figure of the day. */
  days: readonly { mean: number; variance: number; with: readonly number[] }[];
}

export function gaussianOf(
  pieces: readonly Piece[],
  priors: readonly number[],
  dayPriors: readonly DayPrior[],
): Gaussian {
  const precision = priors.map((spread, row) =>
    priors.map((_, column) => (row === column ? 1 / spread ** 2 : 0)),
  );
  const shift = priors.map(() => 0);
  const days = dayPriors.map(({ spread, rows }) => ({
    own: 1 / spread ** 2,
    shift: 0,
    rows,
    with: rows.map(() => 0),
  }));
  // Plain indexing in what runs for every piece: thousands of them, tens of times.
  for (const { at, times, day, within, precision: own, shift: by } of pieces) {
    const its = days[day];
    if (its) {
      its.own += own;
      its.shift += by;
    }
    for (let one = 0; one < at.length; one++) {
      const row = at[one] ?? 0;
      const factor = times[one] ?? 0;
      shift[row] = (shift[row] ?? 0) + by * factor;
      const line = precision[row] ?? [];
      for (let other = 0; other < at.length; other++) {
        const column = at[other] ?? 0;
        line[column] = (line[column] ?? 0) + own * factor * (times[other] ?? 0);
      }
      const here = within[one] ?? 0;
      if (its) its.with[here] = (its.with[here] ?? 0) + own * factor;
    }
  }
  for (const { own, shift: by, rows, with: its } of days)
    for (let one = 0; one < rows.length; one++) {
      const row = rows[one] ?? 0;
      const part = (its[one] ?? 0) / own;
      shift[row] = (shift[row] ?? 0) - part * by;
      const line = precision[row] ?? [];
      for (let other = 0; other < rows.length; other++) {
        const column = rows[other] ?? 0;
        line[column] = (line[column] ?? 0) - part * (its[other] ?? 0);
      }
    }
  const covariance = inverseOf(precision);
  const mean = covariance.map((line) => dot(line, shift));
  return {
    mean,
    covariance,
    days: days.map(({ own, shift: by, rows, with: its }) => {
      const spread = rows.map((row) => {
        const line = item(covariance, row);
        return rows.reduce((sum, column, other) => sum + item(line, column) * item(its, other), 0);
      });
      const told = rows.reduce((sum, row, one) => sum + item(its, one) * item(mean, row), 0);
      return {
        mean: (by - told) / own,
        variance: 1 / own + dot(spread, its) / own ** 2,
        with: spread.map((value) => -value / own),
      };
    }),
  };
}

/** Mean and variance of the sum that a piece speaks of. */
export function sumOf(
  { at, times, day, within }: Piece,
  { mean, covariance, days }: Gaussian,
): { mean: number; variance: number } {
  const its = days[day];
  let middle = its?.mean ?? 0;
  let variance = its?.variance ?? 0;
  for (let one = 0; one < at.length; one++) {
    const row = at[one] ?? 0;
    const factor = times[one] ?? 0;
    const line = covariance[row] ?? [];
    middle += factor * (mean[row] ?? 0);
    if (its) variance += 2 * factor * (its.with[within[one] ?? 0] ?? 0);
    for (let other = 0; other < at.length; other++)
      variance += factor * (times[other] ?? 0) * (line[at[other] ?? 0] ?? 0);
  }
  return { mean: middle, variance };
}

function dot(one: readonly number[], other: readonly number[]): number {
  let sum = 0;
  for (let at = 0; at < one.length; at++) sum += (one[at] ?? 0) * (other[at] ?? 0);
  return sum;
}
