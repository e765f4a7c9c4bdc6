import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { scheduleOf } from '../day/schedule';
import { withLearned } from '../records/figures';
import type { Learned } from '../records/learned';
import { item } from '../units/items';
import { planOf } from './plan';
import { Rehearsing } from './rehearse';
import type { RehearsedCamera } from './rehearse';
import { NOTHING_UNKNOWN, USUAL_UNKNOWNS } from './unknowns';
import type { Unknowns } from './unknowns';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const demo = item(outings, 0);

function otter(unknowns: Unknowns, learned: readonly Learned[] = []): RehearsedCamera {
  const kept = new Map(shots.map((one) => [one.id, { ...one, shot: withLearned(one.shot, learned) }]));
  const rehearsing = new Rehearsing(
    planOf(scheduleOf(demo, 'saturday', kept, clock), demo.gear),
    unknowns,
    1,
  );
  rehearsing.run(200);
  const camera = rehearsing.report().cameras.find(({ id }) => id === 'otter');
  if (!camera) throw new Error('Otter films');
  return camera;
}

describe('cards, cells and warmth over the clock', () => {
  it('are one line, that of the plan, where nothing is unknown', () => {
    const { bands, power } = otter(NOTHING_UNKNOWN);
    for (const { low, middle, high } of [...bands.card, ...bands.power, ...bands.celsius])
      expect([low, high]).toEqual([middle, middle]);
    // An hour after its last shot it is as cool as it was before the first.
    const [first, last] = [item(bands.celsius, 0), item(bands.celsius, bands.celsius.length - 1)];
    expect(Math.max(...bands.celsius.map(({ middle }) => middle))).toBeGreaterThan(first.middle + 15);
    expect(last.middle - first.middle).toBeLessThan(6);
    expect(item(bands.power, bands.power.length - 1).middle).toBeCloseTo(power.middle, 2);
    for (const [at, { middle }] of bands.card.entries())
      expect(middle).toBeLessThanOrEqual(bands.card[at - 1]?.middle ?? 1);
  });

  it('end in the evening at what is told of it, to half a percent', () => {
    const { bands, card, power } = otter(USUAL_UNKNOWNS);
    for (const [fans, evening] of [
      [bands.card, card],
      [bands.power, power],
    ] as const)
      for (const end of ['low', 'middle', 'high'] as const)
        expect(Math.abs(item(fans, fans.length - 1)[end] - evening[end])).toBeLessThan(0.006);
    for (const { low, middle, high } of bands.celsius)
      expect([low, middle, high]).toEqual([low, middle, high].sort((a, b) => a - b));
  });

  it('are as wide as what was learned leaves unknown', () => {
    const sure = (figure: Learned['figure']): Learned => ({ figure, usual: 1, off: 0, spread: 0, from: 9 });
    const wide = (camera: RehearsedCamera): number[] => {
      const { card, hottestC } = camera;
      return [card.high - card.low, hottestC.high - hottestC.low];
    };
    const [card = 0, warm = 0] = wide(otter({ ...USUAL_UNKNOWNS, airC: 0, power: 0 }));
    const [cardKnown = 0, warmKnown = 0] = wide(
      otter({ ...USUAL_UNKNOWNS, airC: 0, power: 0 }, [
        sure({ of: 'bitRate', cameraId: 'otter' }),
        sure({ of: 'heat', cameraId: 'otter' }),
      ]),
    );
    expect(card).toBeGreaterThan(0.02);
    expect(cardKnown).toBeLessThan(card / 4);
    expect(warm).toBeGreaterThan(5);
    expect(warmKnown).toBeLessThan(warm / 4);
  });
});

describe('cloud', () => {
  const kept = new Map(shots.map((one) => [one.id, one]));
  const rehearsing = (day: string): Rehearsing =>
    new Rehearsing(planOf(scheduleOf(demo, day, kept, clock), demo.gear), USUAL_UNKNOWNS, 1);

  it('comes by the hour, to all that is filmed under it, and goes on from hour to hour', () => {
    const sunday = rehearsing('sunday');
    const rungs = sunday.plan.parts.filter(({ part }) => part.entryId === 'sun-05');
    expect(rungs.length).toBe(2);
    const pairs: [number, number][] = [];
    for (let number = 0; number < 300; number++) {
      const [one, other] = sunday
        .day(number)
        .parts.filter(({ id }) => rungs.some(({ part }) => part.id === id));
      if (!one || !other) throw new Error('both film');
      expect(one.inputs.cloud).toBeCloseTo(other.inputs.cloud, 6);
      const hours = sunday.clouds(number) ?? [];
      pairs.push(...hours.slice(1).map((now, at): [number, number] => [item(hours, at), now]));
      const hour = Math.floor((9.5 * 3_600_000 + one.delayMs) / 3_600_000);
      const stops = item(rungs, 0).light.cloudStops[0] ?? 0;
      expect(stops).toBeGreaterThan(0.3);
      expect(one.inputs.cloud).toBeCloseTo(stops * item(hours, hour), 1);
    }
    const both = pairs.reduce((sum, [before, now]) => sum + before * now, 0) / pairs.length;
    expect(both).toBeGreaterThan(0.6);
    expect(both).toBeLessThan(0.8);
  });

  it('is not told of a sky that is clear', () => {
    expect(rehearsing('saturday').clouds(3)).toBeNull();
  });
});
