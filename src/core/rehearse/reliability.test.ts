import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { scheduleOf } from '../day/schedule';
import { item } from '../units/items';
import { SeededRandom } from '../units/seededRandom';
import { planOf } from './plan';
import { Rehearsing } from './rehearse';
import { reliabilityOf, saidOf } from './reliability';
import { USUAL_UNKNOWNS } from './unknowns';

describe('what was said against what came', () => {
  it('is nought for a seer, a quarter for a coin, and as worked by hand', () => {
    const seer = [1, 0, 1, 0].map((p) => ({ p, came: p === 1 }));
    expect(reliabilityOf(seer, 1)).toMatchObject({ brier: 0, brierOfRate: 0.25 });
    expect(
      reliabilityOf(
        seer.map(({ came }) => ({ p: 0.5, came })),
        1,
      ).brier,
    ).toBe(0.25);
    const { brier } = reliabilityOf(
      [
        { p: 0.2, came: false },
        { p: 0.9, came: true },
        { p: 0.6, came: false },
      ],
      1,
    );
    expect(brier).toBeCloseTo((0.04 + 0.01 + 0.36) / 3, 12);
    expect(reliabilityOf([], 0)).toMatchObject({ brier: 0, tenths: [] });
  });

  it('of events that come as often as they are said to, each tenth holds its own', () => {
    const said = Array.from({ length: 4000 }, (_, at) => {
      const drawn = new SeededRandom(1, at);
      const p = drawn.even(1);
      return { p, came: drawn.even(2) < p };
    });
    const { tenths } = reliabilityOf(said, 400);
    expect(tenths).toHaveLength(10);
    const held = tenths.filter(({ said: p, came }) => p >= came.low && p <= came.high);
    expect(held.length).toBeGreaterThanOrEqual(8);
  });

  it('counts six chances for each clip of the finished outing', () => {
    const { shots, outings, clips } = makeDemo();
    const holm = item(outings, 1);
    const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+01:00`);
    const day = scheduleOf(holm, 'holm-day', new Map(shots.map((one) => [one.id, one])), clock);
    const rehearsing = new Rehearsing(planOf(day, holm.gear), USUAL_UNKNOWNS, 1);
    rehearsing.run(100);
    const found = saidOf(rehearsing.report().shots, clips);
    expect(found.clips).toBe(clips.length);
    expect(found.said).toHaveLength(6 * clips.length);
    expect(found.said.filter(({ came }) => came).length).toBeGreaterThanOrEqual(3);
    const { brier } = reliabilityOf(found.said, found.clips);
    expect(brier).toBeGreaterThan(0);
    expect(brier).toBeLessThan(0.35);
  });
});
