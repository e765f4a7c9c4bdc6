import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { camerasOf, scheduleOf } from '../day/schedule';
import type { Schedule } from '../day/schedule';
import { item } from '../units/items';
import { helpsFor } from '../rehearse/whatIfs';
import type { Help } from '../rehearse/whatIfs';
import { changed } from './change';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const demo = item(outings, 0);
const kept = new Map(shots.map((one) => [one.id, one]));
const days = demo.days.map(({ id }): [string, Schedule] => [id, scheduleOf(demo, id, kept, clock)]);

type Fed = Extract<Help, { gear: unknown }>;
type Other<W extends Help['what']> = Extract<Help, { what: W }>;
const every = <W extends Exclude<Help['what'], Fed['what']>>(schedule: Schedule, what: W): Other<W>[] =>
  helpsFor({ schedule, gear: demo.gear }).filter((one): one is Other<W> => one.what === what);
const fed = (schedule: Schedule, what: Fed['what'], camera: string): Fed | undefined =>
  helpsFor({ schedule, gear: demo.gear }).find(
    (one): one is Fed => one.what === what && 'gear' in one && one.gear.cameraId === camera,
  );
const recordedMs = ({ stretches }: Schedule['parts'][number]): number =>
  stretches.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);

describe.each(days)('things more for %s of the demo', (_, schedule) => {
  it('leave the day as it was, and change a copy', () => {
    const before = JSON.stringify([schedule, demo.gear]);
    for (const help of helpsFor({ schedule, gear: demo.gear })) changed({ schedule, gear: demo.gear }, help);
    expect(JSON.stringify([schedule, demo.gear])).toBe(before);
  });

  it('are one cell and one card more for every camera, and nothing else of it', () => {
    for (const { id } of camerasOf(schedule.parts)) {
      const own = demo.gear.find(({ cameraId }) => cameraId === id);
      const cell = fed(schedule, 'cell', id);
      const card = fed(schedule, 'card', id);
      expect(cell?.gear.cards).toEqual(own?.cards ?? []);
      expect(cell?.gear.cells?.count).toBe((own?.cells?.count ?? cell!.gear.cells!.count - 1) + 1);
      expect(card?.gear.cards.length).toBe(Math.max(1, own?.cards.length ?? 0) + 1);
      const { gear } = changed({ schedule, gear: demo.gear }, card!);
      expect(gear.filter(({ cameraId }) => cameraId === id)).toEqual([card!.gear]);
      expect(gear.filter(({ cameraId }) => cameraId !== id)).toEqual(
        demo.gear.filter(({ cameraId }) => cameraId !== id),
      );
    }
  });

  it('are breaks only where nothing is filmed or planned, long enough to be one', () => {
    for (const help of every(schedule, 'break')) {
      const toMs = help.fromMs + help.minutes * 60_000;
      expect(help.minutes).toBeGreaterThanOrEqual(5);
      expect(help.minutes).toBeLessThanOrEqual(20);
      for (const { fromMs, toMs: end } of schedule.parts)
        expect(end <= help.fromMs || fromMs >= toMs).toBe(true);
      const after = changed({ schedule, gear: demo.gear }, help).schedule;
      expect(after.pauses.length).toBe(schedule.pauses.length + 1);
      const starts = after.pauses.map(({ fromMs }) => fromMs);
      expect([...starts].sort((a, b) => a - b)).toEqual(starts);
    }
  });

  it('are stops that film as long as before, and end so much later', () => {
    for (const help of every(schedule, 'stop')) {
      const after = changed({ schedule, gear: demo.gear }, help).schedule;
      for (const [at, part] of after.parts.entries()) {
        const before = item(schedule.parts, at);
        expect(recordedMs(part)).toBe(recordedMs(before));
        if (part.entryId !== help.entryId) expect(part).toBe(before);
        else {
          expect(part.toMs - before.toMs).toBe(help.minutes * 60_000);
          expect(part.stretches).toHaveLength(2);
        }
      }
    }
  });

  it('are filters that are not in the bag yet, and go into every bag of that camera', () => {
    for (const help of every(schedule, 'filter')) {
      const after = changed({ schedule, gear: demo.gear }, help).schedule;
      for (const [at, part] of after.parts.entries()) {
        const before = item(schedule.parts, at);
        const had = before.brief.filters.map(({ id }) => id);
        const has = part.brief.filters.map(({ id }) => id);
        if (part.camera.id !== help.cameraId || had.length === 0) expect(part).toBe(before);
        else expect(new Set(has)).toEqual(new Set([...had, help.filter.id]));
        expect(new Set(has).size).toBe(has.length);
      }
    }
  });
});
