import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { scheduleOf } from '../day/schedule';
import type { ShotRecord } from '../records/shotRecord';
import { item } from '../units/items';
import { planOf } from './plan';
import type { Plan } from './plan';
import { Rehearsing } from './rehearse';
import { NOTHING_UNKNOWN, USUAL_UNKNOWNS } from './unknowns';
import { outcomeOf, whatIfs } from './whatIfs';

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

  it('is a filter that the camera would wear, and what it saves is what a kit with it does', () => {
    const weakest = (shot: ShotRecord): ShotRecord => {
      const filters = shot.shot.filters?.filter(({ id }) => id === 'nd4');
      return { ...shot, shot: { ...shot.shot, ...(filters ? { filters } : {}) } };
    };
    const few = new Map([...kept].map(([id, one]) => [id, weakest(one)]));
    const plan = planOf(scheduleOf(demo, 'saturday', few, clock), demo.gear);
    const found = whatIfs(plan, USUAL_UNKNOWNS, 1, new Map());
    const glass = found.find((one) => one.what === 'filter' && one.cameraId === 'otter');
    if (!glass || glass.what !== 'filter') throw new Error('a stronger glass helps');
    expect(glass.loss[1]).toBeLessThan(glass.loss[0]);
    const more = new Map(
      [...few].map(([id, one]) => {
        const mine =
          one.shot.camera !== undefined &&
          'profile' in one.shot.camera &&
          one.shot.camera.profile.id === 'otter' &&
          one.shot.filters;
        return [id, mine ? { ...one, shot: { ...one.shot, filters: [...mine, glass.filter] } } : one];
      }),
    );
    const again = planOf(scheduleOf(demo, 'saturday', more, clock), demo.gear);
    expect(outcomeOf(again, USUAL_UNKNOWNS, 1, 400).loss).toBeCloseTo(glass.loss[1], 9);
  });

  it('is not where nothing runs out and everything is known', () => {
    expect(
      whatIfs(sunday(9, 2000), NOTHING_UNKNOWN, 1, new Map()).filter(({ what }) => what !== 'break'),
    ).toEqual([]);
  });
});
