import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { openDatabase } from './database';
import type { Database } from './database';
import { openRepository, putBack } from './openRepository';
import type { Opening } from './openRepository';
import type { Repository } from './repository';

const demo = makeDemo();
let name: string;
let database: Database;
let told: Opening[];
let end: () => void;
beforeEach(() => {
  vi.stubGlobal('document', { title: 'Bench' });
  name = `opening-${Math.random()}`;
  database = openDatabase(name);
  told = [];
  end = () => undefined;
});
afterEach(async () => {
  end();
  vi.unstubAllGlobals();
  vi.useRealTimers();
  database.close();
  await Dexie.delete(name);
});

const begin = (demoOf = () => Promise.resolve(demo)): void => {
  end = openRepository(demoOf, (opening) => told.push(opening), database);
};
const until = async <S extends Opening['state']>(state: S): Promise<Extract<Opening, { state: S }>> => {
  await vi.waitFor(() => expect(told.at(-1)?.state).toBe(state));
  return told.at(-1) as Extract<Opening, { state: S }>;
};
const ready = async (): Promise<Repository> => (await until('ready')).repository;

describe('opening the data', () => {
  it('says so after three seconds without an answer, and goes on once there is one', async () => {
    let answer: (value: unknown) => void = () => undefined;
    const open = database.open.bind(database);
    database.open = () => new Promise((go) => (answer = go)).then(open) as ReturnType<typeof open>;
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    begin();
    await vi.advanceTimersByTimeAsync(2900);
    expect(told).toEqual([]);
    await vi.advanceTimersByTimeAsync(200);
    expect(told.map(({ state }) => state)).toEqual(['stuck']);
    vi.useRealTimers();
    answer(null);
    await ready();
  });

  it('says that the data was deleted under the page, and holds all of it, to be put back', async () => {
    begin();
    const repository = await ready();
    await repository.changeShot('demo-01', 'rename', (shot) => ({ ...shot, name: 'Before it went' }));
    const before = await repository.backup();
    await Dexie.delete(name);
    const { held } = await until('lost');
    expect({ ...held, exportedAt: '' }).toEqual({ ...before, exportedAt: '' });
    await expect(repository.removeShot('demo-01')).rejects.toThrow();
    database = openDatabase(name);
    await putBack(held, database);
    await database.open();
    expect((await database.shots.get('demo-01'))?.shot.name).toBe('Before it went');
    expect(await database.clips.count()).toBe(demo.clips.length);
    // The demo is not put in beside it.
    expect((await database.choices.get('seeded'))?.value).toBe('yes');
  });

  it('says at the next change that the data was cleared, writes nothing, and holds what was read', async () => {
    begin();
    const repository = await ready();
    await repository.queries.latestChanged('shots');
    const other = openDatabase(name);
    await other.open();
    for (const table of other.tables) await table.clear();
    other.close();
    await expect(repository.changeKit('nothing', 'rename', (item) => item)).rejects.toThrow(
      'deleted or cleared',
    );
    const { held } = await until('lost');
    expect(held.shots).toHaveLength(demo.shots.length);
  });
});
