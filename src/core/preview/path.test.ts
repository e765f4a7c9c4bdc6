import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN } from '../../../bench/plainTake';
import { attitude, back, times } from './attitude';
import type { Matrix } from './attitude';
import { CameraPath, MOST_RAYS, PHASES } from './path';
import type { PreviewTake } from './take';
import { sampling } from '../../../testing/samples';

const turn = fc.record({
  yawDeg: fc.double({ min: -170, max: 170, noNaN: true }),
  pitchDeg: fc.double({ min: -80, max: 80, noNaN: true }),
  rollDeg: fc.double({ min: -170, max: 170, noNaN: true }),
});
const STILL = attitude({ yawDeg: 0, pitchDeg: 0, rollDeg: 0 });

function expectSame(one: Matrix, other: Matrix, within = 1e-9): void {
  one.forEach((value, at) => expect(Math.abs(value - other[at]!)).toBeLessThan(within));
}
/** Degrees by which the frame's middle points off what is ahead. */
const offAhead = (matrix: Matrix): number => (Math.acos(Math.min(1, matrix[8]!)) * 180) / Math.PI;
const pathOf = (more: Partial<PreviewTake>): CameraPath => new CameraPath({ ...PLAIN, ...more });

describe('a turn of the camera', () => {
  it('undone by its way back is none, keeps lengths and right angles', () => {
    fc.assert(
      fc.property(turn, turn, (one, other) => {
        const a = times(attitude(one), attitude(other));
        expectSame(times(a, back(a)), STILL);
        expectSame(times(back(a), a), STILL);
      }),
    );
  });

  it('to the right points right, down points down, clockwise lowers the right hand', () => {
    const right = attitude({ yawDeg: 90, pitchDeg: 0, rollDeg: 0 });
    expect([right[2], right[8]].map((one) => Math.round(one!))).toEqual([1, 0]);
    const down = attitude({ yawDeg: 0, pitchDeg: 30, rollDeg: 0 });
    expect(down[5]).toBeCloseTo(0.5, 9);
    const tilted = attitude({ yawDeg: 0, pitchDeg: 0, rollDeg: 30 });
    expect(tilted[3]).toBeCloseTo(0.5, 9);
  });
});

describe('the path of a camera', () => {
  it('that neither turns nor shakes looks ahead, and stands further along by its speed', () => {
    const path = pathOf({ movement: { ...PLAIN.movement, travelMps: 6 } });
    const instants = path.instantsOf(1, 0.02, 5);
    expect(instants).toHaveLength(5 * PHASES);
    for (const { matrix } of instants) expectSame(matrix, STILL);
    const places = instants.map(({ z }) => z);
    // Spread evenly over the exposure, about its middle.
    expect(places.reduce((sum, one) => sum + one, 0) / places.length).toBeCloseTo(6, 9);
    expect(Math.max(...places) - Math.min(...places)).toBeCloseTo(6 * 0.02 * (1 - 1 / (5 * PHASES)), 9);
  });

  it('that looks back travels the other way', () => {
    const ahead = pathOf({ movement: { ...PLAIN.movement, travelMps: 6 } });
    const behind = pathOf({ movement: { ...PLAIN.movement, travelMps: 6, backwards: true } });
    expect(behind.instantsOf(1, 0.02, 1)[0]!.z).toBeCloseTo(-ahead.instantsOf(1, 0.02, 1)[0]!.z, 9);
  });

  it('steadied without bound shows the frame that was meant, whatever the shake', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 1.9, noNaN: true }),
        fc.integer({ min: 1, max: 99 }),
        (rmsDegPerS, at, seed) => {
          const shake = { ...PLAIN.shake, rmsDegPerS, seed };
          const held = pathOf({ shake, heldDeg: 180, rollHeldDeg: 180 });
          // One ray, four phases: the middle of the exposure itself is where nothing moves.
          const [first] = held.instantsOf(at, 0, 1);
          expectSame(first!.matrix, STILL, 1e-6);
          const loose = pathOf({ shake });
          expectSame(loose.shownFrom(at), STILL, 1e-9);
        },
      ),
      sampling(60),
    );
  });

  it('shakes less the more of its swing is held', () => {
    const shake = { ...PLAIN.shake, rmsDegPerS: 40 };
    const spread = (heldDeg: number): number => {
      const path = pathOf({ shake, heldDeg, rollHeldDeg: heldDeg });
      const offs = Array.from({ length: 50 }, (_, at) => offAhead(path.instantsOf(at / 25, 0, 1)[0]!.matrix));
      return Math.sqrt(offs.reduce((sum, off) => sum + off ** 2, 0) / offs.length);
    };
    const [none, some, all] = [spread(0), spread(1), spread(60)];
    expect(some).toBeLessThan(none);
    expect(all).toBeLessThan(some);
    expect(all).toBeLessThan(0.01);
  });

  it('takes more rays the longer it is open and the more it turns, and never more than there are', () => {
    const turning = pathOf({ movement: { ...PLAIN.movement, turnDegPerS: 60 } });
    const still = pathOf({});
    expect(still.raysFor(0.02, 640)).toBe(1);
    const opened = [0.001, 0.005, 0.02, 0.5].map((open) => turning.raysFor(open, 640));
    expect([...opened].sort((a, b) => a - b)).toEqual(opened);
    expect(opened[0]).toBeLessThan(opened[2]!);
    expect(opened.at(-1)).toBe(MOST_RAYS);
  });

  it('has its subject pass the middle half-way through the film', () => {
    const subject = { speedMps: 4, distanceM: 5, sizeM: 1.8, sideM: 0 };
    const path = pathOf({ subject, filmSeconds: 2, slowdown: 2 });
    const x = (at: number): number => path.instantsOf(at, 0, 1)[0]!.subjectX;
    expect(x(0.5)).toBeCloseTo(0, 9);
    expect(x(0.75) - x(0.25)).toBeCloseTo(2, 9);
  });
});
