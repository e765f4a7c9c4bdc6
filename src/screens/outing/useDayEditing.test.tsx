import { renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { scheduleOf } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import { minutesOf } from '@/core/records/entries';
import type { Outing, OutingDay } from '@/core/records/outing';
import type { SunLight } from '@/core/light/sun/sunLight';
import { wallClock } from '@/formats/clock';
import { openDatabase } from '@/store/database';
import type { Database } from '@/store/database';
import { merge } from '@/store/merging';
import { Repository } from '@/store/repository';
import { makeDemo } from '../../../demo/makeDemo';
import { RepositoryContext } from '../data/repository';
import { useDayEditing } from './useDayEditing';
import type { DayEditing } from './useDayEditing';

const demo = makeDemo();
const outing = demo.outings[0]!;
const saturday = outing.days[0]!;
const records = new Map(demo.shots.map((record) => [record.id, record]));

let database: Database;
let repository: Repository;
beforeEach(async () => {
  let count = 0;
  database = openDatabase(`day-${Math.random()}`);
  repository = new Repository(database, {
    tab: 'this',
    device: 'this',
    newCounter: () => 'this',
    now: () => new Date(Date.parse('2026-10-01T09:00:00Z') + ++count * 1000),
    newId: () => `new-${++count}`,
  });
  await merge(repository, demo);
});
afterEach(() => database.delete());

function edit(of: Outing = outing, day: OutingDay = saturday): DayEditing {
  const schedule = scheduleOf(of, day.id, records, wallClock(of.zone));
  const worked = {
    day: workedDay(schedule, of.gear, null),
    shots: records,
    cures: [],
    working: false,
    failed: null,
  };
  const wrapper = ({ children }: { children: ReactNode }): ReactNode => (
    <RepositoryContext value={repository}>{children}</RepositoryContext>
  );
  return renderHook(() => useDayEditing(of, day, worked), { wrapper }).result.current;
}
const doing = async (deed: (editing: DayEditing) => Promise<void>): Promise<void> => deed(edit());
const kept = async (): Promise<Outing> => (await database.outings.get(outing.id))!;
const entries = async (): Promise<OutingDay['entries']> =>
  (await kept()).days.find(({ id }) => id === saturday.id)!.entries;
const lightOf = async (shotId: string): Promise<SunLight> =>
  (await database.shots.get(shotId))!.shot.light as SunLight;
const inSun = saturday.entries.find(
  (entry) => entry.what === 'shot' && records.get(entry.shotId)?.shot.light?.kind === 'sun',
) as Extract<OutingDay['entries'][number], { what: 'shot' }>;

describe('changing a day', () => {
  it('moves an entry in time, and the light that follows the sun with it, in one step of undo', async () => {
    const before = await lightOf(inSun.shotId);
    const to = minutesOf(inSun.at) + 25;
    await doing((editing) => editing.moveTo(inSun.id, to));
    const moved = (await entries()).find(({ id }) => id === inSun.id)!;
    expect(minutesOf(moved.at)).toBe(to);
    const after = await lightOf(inSun.shotId);
    expect(Date.parse(after.from) - Date.parse(before.from)).toBe(25 * 60_000);
    expect(Date.parse(after.to) - Date.parse(before.to)).toBe(25 * 60_000);
    await repository.history.undo();
    expect(await lightOf(inSun.shotId)).toEqual(before);
    expect((await kept()).days).toEqual(outing.days);
  });

  it('writes nothing for a move to where an entry stands, or of one that is not there', async () => {
    const { changes } = repository.history.state();
    await doing((editing) => editing.moveTo(inSun.id, minutesOf(inSun.at)));
    await doing((editing) => editing.moveTo('nobody', 600));
    expect(repository.history.state().changes).toBe(changes);
  });

  it('moved to another date takes every sun with it, and the hours stay', async () => {
    const before = await lightOf(inSun.shotId);
    await doing((editing) => editing.changeDay('change the date', (day) => ({ ...day, date: '2026-10-10' })));
    expect((await kept()).days[0]!.date).toBe('2026-10-10');
    const after = await lightOf(inSun.shotId);
    expect(Date.parse(after.from) - Date.parse(before.from)).toBe(7 * 86_400_000);
    expect((await entries()).map(({ at }) => at)).toEqual(saturday.entries.map(({ at }) => at));
  });

  it('changes one entry and leaves the others as they are', async () => {
    await doing((editing) =>
      editing.changeEntry('note', inSun.id, (entry) => ({ ...entry, note: 'wet rope' }) as never),
    );
    const now = await entries();
    expect(now.find(({ id }) => id === inSun.id)).toMatchObject({ note: 'wet rope' });
    expect(now.filter(({ id }) => id !== inSun.id)).toEqual(
      saturday.entries.filter(({ id }) => id !== inSun.id),
    );
  });

  it('puts an entry at another place in the order, with no two at once that were not before', async () => {
    const editing = edit();
    const [first] = saturday.entries;
    await doing(() => editing.reorder(first!.id, 2));
    const order = (await entries()).map(({ id }) => id);
    expect(order.indexOf(first!.id)).toBe(2);
    expect([...order].sort()).toEqual(saturday.entries.map(({ id }) => id).sort());
    const starts = (await entries()).map(({ at }) => minutesOf(at));
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });

  it('keeps what another window changed meanwhile', async () => {
    const editing = edit();
    const other = new Repository(database, {
      tab: 'other',
      device: 'other',
      newCounter: () => 'other',
      now: () => new Date(),
      newId: () => 'x',
    });
    await other.changeOuting(outing.id, 'rename', (one) => ({ ...one, name: 'Renamed elsewhere' }));
    await doing(() => editing.moveTo(inSun.id, minutesOf(inSun.at) + 5));
    expect((await kept()).name).toBe('Renamed elsewhere');
    expect(minutesOf((await entries()).find(({ id }) => id === inSun.id)!.at)).toBe(minutesOf(inSun.at) + 5);
  });

  it('takes pins of parts into their shots, each camera its own', async () => {
    const schedule = scheduleOf(outing, saturday.id, records, wallClock(outing.zone));
    const part = schedule.parts.find(({ entryId }) => entryId === inSun.id)!;
    await doing((editing) =>
      editing.take('take', [{ what: 'pins', pins: [{ partId: part.id, pins: { frameRate: 25 } }] }]),
    );
    expect((await database.shots.get(part.shotId))!.shot.pins).toMatchObject({ frameRate: 25 });
    expect((await kept()).days).toEqual(outing.days);
    await repository.history.undo();
    expect((await database.shots.get(part.shotId))!.shot).toEqual(records.get(part.shotId)!.shot);
  });

  it('knows the length of a shot by what it records, of a break by what it says', () => {
    const { lengthOf } = edit();
    const pause = saturday.entries.find(({ what }) => what === 'break')!;
    expect(lengthOf(pause)).toBe('minutes' in pause ? pause.minutes : null);
    const { limits } = records.get(inSun.shotId)!.shot;
    expect(lengthOf(inSun)).toBeCloseTo(limits!.recordSeconds! / 60, 6);
    expect(lengthOf({ ...inSun, shotId: 'gone' })).toBe(1);
  });

  it('says so when it was not written', async () => {
    repository.changeOuting = () => Promise.reject(new Error('full'));
    await expect(edit().moveTo(inSun.id, minutesOf(inSun.at) + 5)).rejects.toThrow('full');
  });
});
