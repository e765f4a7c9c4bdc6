import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { scheduleOf } from '../day/schedule';
import { item } from '../units/items';
import { planOf } from './plan';
import type { Plan } from './plan';
import { Rehearsing } from './rehearse';
import { NOTHING_UNKNOWN, USUAL_UNKNOWNS } from './unknowns';
import { whatIfs } from './whatIfs';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const demo = item(outings, 0);
const kept = new Map(shots.map((one) => [one.id, one]));

/** Sunday with so many cells for Otter and so much of a card. */
function sunday(count: number, capacityGb: number): Plan {
  const gear = demo.gear.map((own) =>
    own.cameraId === 'otter'
      ? {
          ...own,
          charging: 'none' as const,
          cards: own.cards.slice(0, 1).map((card) => ({ ...card, capacityGb })),
          ...(own.cells ? { cells: { ...own.cells, count } } : {}),
        }
      : own,
  );
  return planOf(scheduleOf(demo, 'sunday', kept, clock), gear);
}

describe('one thing more', () => {
  it('is told where it helps, by the same days before and after', () => {
    const found = whatIfs(sunday(1, 256), USUAL_UNKNOWNS, 1, new Map());
    const cell = found.find((one) => one.what === 'cell' && one.gear.cameraId === 'otter');
    if (!cell || cell.what !== 'cell') throw new Error('another cell helps');
    expect(cell.gear.cells?.count).toBe(2);
    expect(cell.lasts[1]).toBeGreaterThan(cell.lasts[0]);
    expect(cell.loss[1]).toBeLessThan(cell.loss[0]);
    const again = new Rehearsing(sunday(2, 256), USUAL_UNKNOWNS, 1);
    again.run(400);
    expect(again.report().everythingLasts.p).toBeCloseTo(cell.lasts[1], 9);
  });

  it('is not where nothing runs out and everything is known', () => {
    expect(
      whatIfs(sunday(9, 2000), NOTHING_UNKNOWN, 1, new Map()).filter(({ what }) => what !== 'break'),
    ).toEqual([]);
  });
});
