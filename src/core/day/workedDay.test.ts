import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { daySheet } from './daySheet';
import { scheduleOf } from './schedule';
import { workedDay } from './workedDay';

const demo = makeDemo();
const outing = demo.outings[0]!;
const shots = new Map(demo.shots.map((shot) => [shot.id, shot]));
const schedule = scheduleOf(outing, 'saturday', shots, (date, time) =>
  Date.parse(`${date}T${time}:00+02:00`),
);
const sheet = daySheet(schedule, outing.gear);
const day = workedDay(schedule, outing.gear, sheet);

describe('a worked day', () => {
  it('finds every part with the answer of the sheet, and by its entry, the first camera first', () => {
    for (const part of schedule.parts) {
      expect(day.part(part.id)).toMatchObject({ id: part.id, answer: sheet.parts.get(part.id) });
      const together = day.partsOf(part.entryId);
      expect(together).toContain(day.part(part.id));
      expect(together.map((one) => one.part)).toEqual([...together.keys()]);
    }
  });

  it('gives each camera its parts in time, its gear and its sheet; the same objects that are found by id', () => {
    expect(day.cameras.map(({ id }) => id)).toEqual(sheet.cameras.map(({ cameraId }) => cameraId));
    for (const camera of day.cameras) {
      expect(day.camera(camera.id)).toBe(camera);
      expect(camera.sheet).toBe(sheet.cameras.find(({ cameraId }) => cameraId === camera.id));
      expect(camera.gear).toBe(outing.gear.find(({ cameraId }) => cameraId === camera.id));
      const starts = camera.parts.map(({ fromMs }) => fromMs);
      expect(starts).toEqual([...starts].sort((a, b) => a - b));
      for (const part of camera.parts) expect(day.part(part.id)).toBe(part);
    }
    expect(day.cameras.flatMap(({ parts }) => parts)).toHaveLength(schedule.parts.length);
  });

  it('stands before it is worked out, and knows nothing of what is not in it', () => {
    const bare = workedDay(schedule, outing.gear, null);
    expect(bare.parts.map(({ answer }) => answer)).toEqual(schedule.parts.map(() => null));
    expect(bare.cameras.every((camera) => camera.sheet === null && camera.parts.length > 0)).toBe(true);
    expect(bare.part('nobody')).toBeUndefined();
    expect(bare.partsOf('nobody')).toEqual([]);
    expect(bare.camera('nobody')).toBeUndefined();
  });

  it('keeps apart what a worker can be sent', () => {
    expect(structuredClone(day.schedule)).toEqual(schedule);
    expect(structuredClone(sheet).parts).toEqual(sheet.parts);
  });
});
