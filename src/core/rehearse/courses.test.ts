import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '../camera/archetypes';
import { coursesOf } from './courses';
import { fanOf } from './fan';
import type { PlannedPart } from './plan';
import { sampling } from '../../../testing/samples';

const HOUR = 3_600_000;
const camera = ARCHETYPES.main;
/** Two hours of a day, of which a course is looked at for three. */
const parts = [{ part: { fromMs: 0, toMs: 2 * HOUR } }] as unknown as PlannedPart[];

type Course = { atMs: number; share: number }[];

const course = fc
  .array(
    fc.record({
      atMs: fc.integer({ min: 0, max: 3 * HOUR }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((corners): Course => corners.sort((a, b) => a.atMs - b.atMs))
  // Two corners of one instant are a card changed: what is read just there may be either.
  .filter((corners) => new Set(corners.map(({ atMs }) => atMs)).size === corners.length);

function plainly(corners: Course, atMs: number): number {
  const after = corners.findIndex((one) => one.atMs > atMs);
  if (after === 0) return corners[0]!.share;
  if (after < 0) return corners.at(-1)!.share;
  const [from, to] = [corners[after - 1]!, corners[after]!];
  return from.share + ((atMs - from.atMs) / (to.atMs - from.atMs)) * (to.share - from.share);
}

describe('the courses of many days', () => {
  it('are the fan of what each day had at the instant, within half a step', () => {
    fc.assert(
      fc.property(fc.array(course, { minLength: 1, maxLength: 12 }), (days) => {
        const courses = coursesOf(parts, camera);
        for (const one of days) courses.add(one, one, [{ atMs: 0, celsius: 20 }]);
        const { atMs, card, power } = courses.report();
        expect(atMs[0]).toBe(0);
        expect(atMs.at(-1)).toBe(3 * HOUR);
        atMs.forEach((now, at) => {
          const wanted = fanOf(days.map((one) => plainly(one, now)));
          for (const edge of ['low', 'middle', 'high'] as const) {
            expect(Math.abs(card[at]![edge] - wanted[edge])).toBeLessThan(0.0026);
            expect(power[at]![edge]).toBe(card[at]![edge]);
          }
        });
      }),
      sampling(60),
    );
  });

  it('cool after the last shot to what the camera had when the day began', () => {
    const courses = coursesOf(parts, { heat: { ...camera.heat, tauMinutes: 10 } });
    const full = [{ atMs: 0, share: 1 }];
    courses.add(full, full, [
      { atMs: 0, celsius: 20 },
      { atMs: HOUR, celsius: 60 },
    ]);
    const { atMs, celsius } = courses.report();
    const at = (ms: number): number => celsius[atMs.findIndex((one) => Math.abs(one - ms) < 1000)]!.middle;
    expect(at(HOUR)).toBeCloseTo(60, 0);
    // After one time constant 1/e of what it was above is left; a chord between corners lies a little above.
    expect(at(HOUR + 600_000)).toBeCloseTo(20 + 40 / Math.E, 0);
    expect(at(2 * HOUR)).toBeLessThan(20.6);
    expect(at(2 * HOUR)).toBeGreaterThanOrEqual(20);
  });
});
