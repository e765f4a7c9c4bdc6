import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { emptyShot } from '@/core/records/emptyShot';
import { thingName } from '@/core/records/kitItem';
import type { Outing, OutingEntry } from '@/core/records/outing';
import type { CalendarTimes } from '@/formats/outing/calendar';
import type { ReadShotList } from '@/formats/outing/csv';
import { openDatabase } from '@/store/database';
import type { Database } from '@/store/database';
import { merge } from '@/store/merging';
import { Repository } from '@/store/repository';
import { makeDemo } from '../../../demo/makeDemo';
import { keep } from './importFiles';
import { take } from './importText';
import { useIncomingState } from './incomingState';

let database: Database;
let repository: Repository;
beforeEach(() => {
  let count = 0;
  database = openDatabase(`import-${Math.random()}`);
  repository = new Repository(database, {
    tab: 'this',
    device: 'this',
    newCounter: () => 'this',
    now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
    newId: () => `new-${++count}`,
  });
  useIncomingState.setState({ reading: null, notTaken: [] });
});
afterEach(() => database.delete());

const shots = (): Promise<(string | undefined)[]> =>
  database.shots.toArray().then((all) => all.map(({ shot }) => shot.name).sort());

describe('what a file held', () => {
  it('as shots is kept in one step of undo, and named or counted', async () => {
    const one = await take(repository, { kind: 'shots', shots: [emptyShot('Sun gate')] });
    expect(one).toEqual({ ok: true, said: expect.stringContaining('"Sun gate"') as string });
    const two = await take(repository, { kind: 'shots', shots: [emptyShot('a'), emptyShot('b')] });
    expect(two.ok && two.said).toContain('2 shots');
    await repository.history.undo();
    expect(await shots()).toEqual(['Sun gate']);
  });

  it('as a camera goes into the kit under an id of its own', async () => {
    const profile = { ...ARCHETYPES.main, id: 'main', name: 'Marten' };
    await take(repository, { kind: 'camera', profile });
    const took = await take(repository, { kind: 'camera', profile });
    expect(took.ok && took.said).toContain('Marten');
    const things = (await database.kit.toArray()).map(({ thing }) => thing);
    expect(things.map(thingName)).toEqual(['Marten', 'Marten']);
    expect(new Set(things.map((thing) => thing.what === 'camera' && thing.profile.id)).size).toBe(2);
  });

  it('as records comes back whole, and undo takes it back', async () => {
    const demo = makeDemo();
    const took = await take(repository, { kind: 'records', records: demo });
    expect(took.ok && took.said).toContain(`${demo.shots.length} shots`);
    expect(await database.log.count()).toBe(demo.log.length);
    await repository.history.undo();
    expect(await database.shots.count()).toBe(0);
    expect(await database.outings.count()).toBe(0);
  });
});

describe('a list of shots', () => {
  const list = (shotId: string | null): ReadShotList => ({
    days: [
      {
        date: '2026-10-10',
        entries: [
          { what: 'shot', at: '09:00', shotId, shot: emptyShot('From the sheet') },
          { what: 'break', at: '10:00', minutes: 20, name: 'Tea', outOfReach: [] },
        ],
      },
    ],
    leftBehind: [],
  });
  const outing = async (): Promise<Outing> => (await database.outings.toArray())[0]!;

  it('makes an outing, and a shot for each line that names none kept here', async () => {
    const took = await take(repository, { kind: 'shotList', name: 'Plan', list: list('unknown') });
    expect(took.ok).toBe(true);
    const made = await outing();
    expect(made.name).toBe('Plan');
    expect(made.days.map(({ date, entries }) => [date, entries.map(({ what, at }) => [what, at])])).toEqual([
      [
        '2026-10-10',
        [
          ['shot', '09:00'],
          ['break', '10:00'],
        ],
      ],
    ]);
    expect(await shots()).toEqual(['From the sheet']);
  });

  it('takes the shot it names where that is kept here, and leaves it as it is', async () => {
    const id = await repository.addShot(emptyShot('Kept here'));
    await take(repository, { kind: 'shotList', name: 'Plan', list: list(id) });
    expect(await shots()).toEqual(['Kept here']);
    const [entry] = (await outing()).days[0]!.entries;
    expect(entry).toMatchObject({ what: 'shot', shotId: id });
    await repository.history.undo();
    expect(await database.outings.count()).toBe(0);
    expect(await shots()).toEqual(['Kept here']);
  });
});

/** A calendar that names entries of an outing, each at a time of its clock. */
const calendarOf = (
  times: readonly (readonly [id: string, date: string, time: string])[],
): CalendarTimes => ({
  events: times.map(([id, date, time]) => ({ uid: `${id}@lynxeye`, start: { date, time, zone: null } })),
  unread: 0,
});

describe('a calendar', () => {
  const kept = async (): Promise<Outing> => (await database.outings.get('demo-outing'))!;

  it('moves what it knows to where it stands now, and the light of the shot with it', async () => {
    await merge(repository, makeDemo());
    const before = await kept();
    const day = before.days[0]!;
    const entry = day.entries.find(({ what }) => what === 'shot') as Extract<OutingEntry, { what: 'shot' }>;
    const lightOf = async (): Promise<unknown> => (await database.shots.get(entry.shotId))!.shot.light;
    const was = await lightOf();
    expect(was).toMatchObject({ kind: 'sun' });

    const same = await take(repository, {
      kind: 'calendar',
      calendar: calendarOf([[entry.id, day.date, entry.at]]),
    });
    expect(same.ok).toBe(true);
    expect(await kept()).toEqual(before);

    const took = await take(repository, {
      kind: 'calendar',
      calendar: calendarOf([[entry.id, day.date, '09:35']]),
    });
    expect(took.ok && took.said).toContain(before.name);
    const moved = (await kept()).days[0]!.entries.find(({ id }) => id === entry.id);
    expect(moved!.at).toBe('09:35');
    expect(await lightOf()).not.toEqual(was);
    await repository.history.undo();
    expect(await kept()).toMatchObject({ days: before.days });
    expect(await lightOf()).toEqual(was);
  });

  it('moves nothing to a date that the outing does not have, and says so', async () => {
    await merge(repository, makeDemo());
    const before = await kept();
    const entry = before.days[0]!.entries[0]!;
    const took = await take(repository, {
      kind: 'calendar',
      calendar: calendarOf([[entry.id, '2027-01-01', '09:00']]),
    });
    expect(took.ok && took.said).toMatch(/date/);
    expect((await kept()).days).toEqual(before.days);
  });

  it('of no outing that is here says so, and changes nothing', async () => {
    await merge(repository, makeDemo());
    const calendar = calendarOf([['nobody', '2026-10-03', '09:00']]);
    expect(await take(repository, { kind: 'calendar', calendar })).toMatchObject({ ok: false });
    expect(repository.history.state().changes).toBe(1);
  });
});

describe('keeping what was read', () => {
  const heard = () => {
    const said: string[] = [];
    const complained: string[] = [];
    return {
      said,
      complained,
      say: { say: (text: string) => said.push(text), complain: (text: string) => complained.push(text) },
    };
  };

  it('says what was taken, and what was left behind', async () => {
    const { said, say } = heard();
    await keep(
      repository,
      {
        name: 'a.json',
        by: 'person',
        taking: { kind: 'shots', shots: [emptyShot('one')] },
        leftBehind: ['A line too long.'],
      },
      say,
    );
    expect(said).toHaveLength(1);
    expect(said[0]).toContain('"one"');
    expect(said[0]).toContain('A line too long.');
  });

  it('names the file and the way out where it was not written', async () => {
    const { said, complained, say } = heard();
    const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' });
    repository.addShots = () => Promise.reject(full);
    await keep(
      repository,
      { name: 'a.json', by: 'person', taking: { kind: 'shots', shots: [emptyShot('one')] }, leftBehind: [] },
      say,
    );
    expect(said).toEqual([]);
    expect(complained[0]).toMatch(/^a\.json: .*storage is full/);
  });

  it('lists a file that fits nothing here among those not taken', async () => {
    const { complained, say } = heard();
    const calendar = calendarOf([['nobody', '2026-10-03', '09:00']]);
    await keep(
      repository,
      { name: 'day.ics', by: 'person', taking: { kind: 'calendar', calendar }, leftBehind: [] },
      say,
    );
    expect(complained).toEqual([]);
    expect(useIncomingState.getState().notTaken).toMatchObject([{ name: 'day.ics', sound: null }]);
  });
});
