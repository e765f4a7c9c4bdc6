import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gigabytesOf, secondsOf } from './data';
import { expectedExcess, normalBelow, normalDensity } from './expected';
import { shutterFraction, tenths, trimmed } from './format';
import { item, last } from './items';
import { once } from './once';
import { clamp, densityOf, nearlyEqual, stopsBetween, THIRD_STOP_SHUTTERS } from './stops';
import { omit } from './omit';

const amount = fc.double({ min: 1e-4, max: 1e4, noNaN: true });

describe('stops', () => {
  it('add up, and turn round with the direction', () => {
    expect(stopsBetween(1, 8)).toBe(3);
    fc.assert(
      fc.property(amount, amount, amount, (a, b, c) => {
        expect(stopsBetween(a, b) + stopsBetween(b, c)).toBeCloseTo(stopsBetween(a, c), 9);
        expect(stopsBetween(a, b)).toBeCloseTo(-stopsBetween(b, a), 9);
      }),
    );
  });

  it('are a density of 0.3 each, to the digit that is engraved', () => {
    expect(densityOf(1)).toBeCloseTo(0.301, 3);
    expect(densityOf(6)).toBeCloseTo(1.806, 3);
  });

  it('stand a third apart on the ladder of shutters, within what is engraved', () => {
    expect(THIRD_STOP_SHUTTERS).toHaveLength(40);
    expect(THIRD_STOP_SHUTTERS).toContain(1 / 125);
    THIRD_STOP_SHUTTERS.slice(1).forEach((seconds, at) => {
      const step = stopsBetween(THIRD_STOP_SHUTTERS[at]!, seconds);
      expect(step, `after 1/${1 / THIRD_STOP_SHUTTERS[at]!}`).toBeGreaterThan(0.2);
      expect(step).toBeLessThan(0.45);
    });
  });

  it('bound a value, and take the same for the same', () => {
    expect([clamp(-1, 0, 4), clamp(2, 0, 4), clamp(9, 0, 4)]).toEqual([0, 2, 4]);
    expect(nearlyEqual(0.1 + 0.2, 0.3)).toBe(true);
    expect(nearlyEqual(1, 1.00001)).toBe(false);
    expect(nearlyEqual(0, 0)).toBe(true);
  });
});

describe('a stream of bits', () => {
  it('comes to what eight bits a byte make of it, and back', () => {
    // Ten minutes at 60 Mbit/s.
    expect(gigabytesOf(60, 600)).toBeCloseTo(4.5, 12);
    fc.assert(
      fc.property(amount, amount, (mbps, seconds) => {
        expect(secondsOf(gigabytesOf(mbps, seconds), mbps) / seconds).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('figures as they are shown', () => {
  it('write a shutter as its usual fraction', () => {
    expect([0.01, 0.5, 2, 1 / 59.94, 1 / 6400, 1, 0.4].map(shutterFraction)).toEqual([
      '1/100',
      '1/2',
      '2',
      '1/59.9',
      '1/6400',
      '1',
      '1/2.5',
    ]);
  });

  it('drop zeros at the end of decimals alone, and show no negative nothing', () => {
    expect([trimmed(2.5, 2), trimmed(100, 0), trimmed(100, 2), trimmed(1.05, 1)]).toEqual([
      '2.5',
      '100',
      '100',
      '1.1',
    ]);
    expect([trimmed(-0.001, 1), tenths(-0.01), tenths(3)]).toEqual(['0', '0.0', '3.0']);
  });
});

describe('the mean of what stands above zero', () => {
  /** The same by adding up the normal curve in small steps. */
  const summed = (mean: number, spread: number): number => {
    let sum = 0;
    const step = 0.001;
    for (let z = -9; z < 9; z += step) sum += Math.max(0, mean + spread * z) * normalDensity(z) * step;
    return sum;
  };

  it('is what adding up the curve gives', () => {
    for (const [mean, spread] of [
      [0, 1],
      [1, 0.5],
      [-1, 0.8],
      [-3, 1],
      [0.2, 2],
    ] as const)
      expect(expectedExcess(mean, spread)).toBeCloseTo(summed(mean, spread), 4);
  });

  it('is the value itself, or nothing, where it is sure', () => {
    expect([expectedExcess(2, 0), expectedExcess(-2, 0), expectedExcess(0, 0)]).toEqual([2, 0, 0]);
    expect(expectedExcess(-10, 1)).toBe(0);
    expect(expectedExcess(10, 1)).toBe(10);
  });

  it('rises with the mean and the spread, convex, without a step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        (mean, spread, by) => {
          const [low, middle, high] = [mean - by, mean, mean + by].map((one) => expectedExcess(one, spread));
          expect(high!).toBeGreaterThanOrEqual(middle! - 1e-12);
          expect((low! + high!) / 2).toBeGreaterThanOrEqual(middle! - 1e-9);
          expect(expectedExcess(mean, spread + by)).toBeGreaterThanOrEqual(middle! - 1e-6);
          expect(high! - low!).toBeLessThanOrEqual(2 * by + 1e-6);
        },
      ),
    );
  });

  it('rests on the share of a normal quantity below a place', () => {
    expect(normalBelow(0)).toBeCloseTo(0.5, 7);
    expect(normalBelow(1)).toBeCloseTo(0.841345, 6);
    expect(normalBelow(-1.96)).toBeCloseTo(0.0249979, 6);
  });
});

describe('small helpers', () => {
  it('give an entry that is there, and fail loudly for one that is not', () => {
    expect([item(['a', 'b'], 1), last(['a', 'b'])]).toEqual(['b', 'b']);
    expect(() => item(['a'], 1)).toThrow('no entry 1 in a list of 1');
    expect(() => last([])).toThrow('no entry -1');
  });

  it('work once, also where nothing comes of it', () => {
    let worked = 0;
    const nothing = once(() => {
      worked += 1;
      return null;
    });
    expect([nothing(), nothing(), worked]).toEqual([null, null, 1]);
  });

  it('leave a key out of a copy alone', () => {
    const whole = { a: 1, b: 2 };
    expect(omit(whole, 'a')).toEqual({ b: 2 });
    expect(whole).toEqual({ a: 1, b: 2 });
  });
});
