import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gaussianOf, sumOf } from './gaussian';
import type { DayPrior, Piece } from './gaussian';
import { inverseOf } from '../units/matrix';
import { sampling } from '../../../testing/samples';

interface Case {
  priors: number[];
  dayPriors: DayPrior[];
  pieces: Piece[];
}

const spread = fc.double({ min: 0.2, max: 3, noNaN: true });
const figure = fc.double({ min: -4, max: 4, noNaN: true });

/** Figures and days, and pieces of evidence on sums of them, one in three without a day. */
const someCase = fc
  .record({
    priors: fc.array(spread, { minLength: 1, maxLength: 5 }),
    days: fc.array(spread, { maxLength: 3 }),
  })
  .chain(({ priors, days }) => {
    const rows = priors.map((_, row) => row);
    const piece = fc
      .record({
        at: fc.subarray(rows, { minLength: 1 }),
        factors: fc.array(figure, { minLength: rows.length, maxLength: rows.length }),
        day: fc.integer({ min: -1, max: days.length - 1 }),
        precision: fc.double({ min: 0, max: 9, noNaN: true }),
        mean: figure,
      })
      .map(({ at, factors, day, precision, mean }): Piece => ({
        at,
        times: at.map((row) => factors[row]!),
        day,
        within: day < 0 ? [] : at,
        precision,
        shift: precision * mean,
      }));
    return fc.record({
      priors: fc.constant(priors),
      dayPriors: fc.constant(days.map((own): DayPrior => ({ spread: own, rows }))),
      pieces: fc.array(piece, { maxLength: 12 }),
    });
  });

/** The same with the days among the figures, in one matrix: what block elimination must come to. */
function whole({ priors, dayPriors, pieces }: Case): { mean: number[]; covariance: number[][] } {
  const spreads = [...priors, ...dayPriors.map((day) => day.spread)];
  const precision = spreads.map((own, row) =>
    spreads.map((_, column) => (row === column ? 1 / own ** 2 : 0)),
  );
  const shift = spreads.map(() => 0);
  for (const piece of pieces) {
    const factors = factorsOf(piece, spreads.length, priors.length);
    factors.forEach((one, row) => {
      shift[row]! += piece.shift * one;
      factors.forEach((other, column) => (precision[row]![column]! += piece.precision * one * other));
    });
  }
  const covariance = inverseOf(precision);
  return { mean: covariance.map((line) => dot(line, shift)), covariance };
}

function factorsOf({ at, times, day }: Piece, size: number, figures: number): number[] {
  const factors = new Array<number>(size).fill(0);
  at.forEach((row, one) => (factors[row] = times[one]!));
  if (day >= 0) factors[figures + day] = 1;
  return factors;
}

const dot = (one: readonly number[], other: readonly number[]): number =>
  one.reduce((sum, value, at) => sum + value * other[at]!, 0);

describe('figures and the offsets of days as one normal', () => {
  it('are the same with the days solved out as with all in one matrix', () => {
    fc.assert(
      fc.property(someCase, (one) => {
        const made = gaussianOf(one.pieces, one.priors, one.dayPriors);
        const dense = whole(one);
        const figures = one.priors.length;
        made.mean.forEach((mean, row) => {
          expect(mean).toBeCloseTo(dense.mean[row]!, 6);
          made.covariance[row]!.forEach((value, column) =>
            expect(value).toBeCloseTo(dense.covariance[row]![column]!, 6),
          );
        });
        made.days.forEach((day, at) => {
          expect(day.mean).toBeCloseTo(dense.mean[figures + at]!, 6);
          expect(day.variance).toBeCloseTo(dense.covariance[figures + at]![figures + at]!, 6);
          day.with.forEach((value, row) =>
            expect(value).toBeCloseTo(dense.covariance[figures + at]![row]!, 6),
          );
        });
      }),
      sampling(200),
    );
  });

  it('give of a sum the mean and variance that the whole matrix gives', () => {
    fc.assert(
      fc.property(someCase, (one) => {
        const made = gaussianOf(one.pieces, one.priors, one.dayPriors);
        const dense = whole(one);
        for (const piece of one.pieces) {
          const factors = factorsOf(piece, dense.mean.length, one.priors.length);
          const { mean, variance } = sumOf(piece, made);
          expect(mean).toBeCloseTo(dot(factors, dense.mean), 5);
          expect(variance).toBeCloseTo(
            dot(
              factors,
              dense.covariance.map((line) => dot(line, factors)),
            ),
            5,
          );
        }
      }),
      sampling(200),
    );
  });

  it('are as before where nothing came back', () => {
    const { mean, covariance, days } = gaussianOf([], [0.5, 2], [{ spread: 0.3, rows: [0] }]);
    expect(mean).toEqual([0, 0]);
    expect(covariance[0]![0]).toBeCloseTo(0.25, 12);
    expect(covariance[1]![1]).toBeCloseTo(4, 12);
    expect(days[0]!.variance).toBeCloseTo(0.09, 12);
    expect(days[0]!.with[0]).toBeCloseTo(0, 12);
  });

  it('give a figure and its day together what a clip says, by their spreads', () => {
    // Prior variances 1 and 1/4, a clip of variance 1/4 that says 3: gain 1 / 1.5 and 0.25 / 1.5.
    const clip: Piece = { at: [0], times: [1], day: 0, within: [0], precision: 4, shift: 12 };
    const { mean, days } = gaussianOf([clip], [1], [{ spread: 0.5, rows: [0] }]);
    expect(mean[0]).toBeCloseTo(2, 9);
    expect(days[0]!.mean).toBeCloseTo(0.5, 9);
  });
});
