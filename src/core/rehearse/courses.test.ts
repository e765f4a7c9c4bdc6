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
