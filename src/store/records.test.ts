import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { emptyShot } from '@/core/records/emptyShot';
import { newThing } from '@/core/records/kitItem';
import { readBackup } from '@/core/records/backup';
import { RECORD_KINDS, RECORD_TABLES } from '@/core/records/kinds';
import { openDatabase } from './database';
import type { Database } from './database';
import { DEPTH } from './history';
import { merge } from './merging';
import { Repository } from './repository';
import type { World } from './world';
import { RefusedWrite } from './refusedWrite';
import { Queries } from './queries';
import { unsoundRecords } from './unsound';

let database: Database;
let name: string;
let count = 0;
const world = (tab: string): World => ({
  tab,
  device: tab,
  newCounter: () => tab,
  now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
  newId: () => `id-${++count}`,
});
const window = (tab = 'one'): Repository => new Repository(database, world(tab));

beforeEach(() => {
  name = `records-${Math.random()}`;
  database = openDatabase(name);
});
afterEach(() => database.delete());

const version1 = (): Record<string, { id: string }[]> =>
  JSON.parse(readFileSync(new URL('./fixtures/version1.json', import.meta.url), 'utf8')) as never;

describe('a browser database of version 1', () => {
  const kept = async (): Promise<Dexie> => {
    const old = new Dexie(name);
    for (const [at, kinds] of [['shots', 'log'], ['kit'], ['outings'], []].entries())
      old.version(at + 1).stores({
        ...Object.fromEntries(kinds.map((kind) => [kind, 'id'])),
        ...(at === 0 ? { choices: 'key' } : {}),
        ...(at === 3 ? { handles: 'key' } : {}),
      });
    for (const [table, records] of Object.entries(version1())) await old.table(table).bulkPut(records);
    return old;
  };

  it('comes up whole, with strong for boost', async () => {
    const before = JSON.stringify(version1());
    expect(before).toContain('"boost"');
    (await kept()).close();
    const read = await readBackup(JSON.parse(JSON.stringify(await window().backup())));
    expect(read.ok ? [] : read.faults).toEqual([]);
    for (const table of RECORD_TABLES)
      expect(await database.table(table).count(), table).toBe(version1()[table]?.length ?? 0);
    const after = JSON.stringify(await window().queries.everything());
    expect(after).not.toContain('"boost"');
    expect(after.match(/"strong"/g)!.length).toBe(before.match(/"boost"/g)!.length);
  });

  it('gives the same as the files of version 1 read one by one', async () => {
    (await kept()).close();
    const file = { kind: 'lynxeye/backup', version: 1, exportedAt: '2026-10-03T09:00:00Z', ...version1() };
    const read = await readBackup(file);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const up = await window().queries.everything();
    for (const table of RECORD_TABLES) expect(up[table]).toEqual(read.records[table]);
  });
});

describe('a browser database of the second version of the files', () => {
  it('brings clips and what undo would bring back up to date', async () => {
    const [clip] = makeDemo().clips;
    if (!clip) throw new Error('the demo has no clip');
    const { findings } = clip.measured;
    expect(findings).not.toEqual([]);
    const second = {
      ...clip,
      version: 2,
      measured: { ...clip.measured, findings: findings.map((one) => ({ ...one, text: 'In words.' })) },
    };
    const old = new Dexie(name);
    old.version(9).stores({ clips: 'id, outingId', steps: '++at, tab', choices: 'key' });
    await old.table('clips').put(second);
    await old.table('steps').put({ tab: 'a', label: 'x', changes: [{ table: 'clips', before: second }] });
    old.close();
    expect((await window().queries.everything()).clips).toEqual([clip]);
    expect(await database.table('steps').toArray()).toMatchObject([{ changes: [{ before: clip }] }]);
  });
});

describe('what is written', () => {
  const everything = async (): Promise<string> => JSON.stringify(await window().queries.everything());

  it('fits its schema, or is refused in words and nothing written', async () => {
    const repository = window();
    const id = await repository.addShot(emptyShot('one'));
    const kit = await repository.addKit((own) => newThing('card', own, 'Card'), 'add a card');
    await merge(repository, makeDemo());
    const before = await everything();
    const undo = repository.history.state().undoLabel;
    const tries: [string, () => Promise<unknown>][] = [
      ['shot.name', () => repository.changeShot(id, 'x', (shot) => ({ ...shot, name: 'n'.repeat(121) }))],
      [
        'shot.motion.travelMps',
        () => repository.changeShot(id, 'x', (shot) => ({ ...shot, motion: { travelMps: 400 } })),
      ],
      [
        'shot.light',
        () =>
          repository.changeShot(id, 'x', (shot) => ({
            ...shot,
            light: {
              kind: 'readings',
              readings: [{ fNumber: 0.1, shutterSeconds: 0.01, iso: 4, filterStops: 0, offStops: 0 }],
              darkerStops: 0,
              brighterStops: 0,
            },
          })),
      ],
      [
        'shot.light.lat',
        () =>
          repository.changeShot(id, 'x', (shot) => ({
            ...shot,
            light: {
              kind: 'sun',
              lat: NaN,
              lon: 1,
              from: '2026-10-03T09:00:00Z',
              to: '2026-10-03T09:10:00Z',
            },
          })),
      ],
      [
        'thing.name',
        () => repository.addKit((own) => ({ ...newThing('card', own, 'Card'), name: '' }) as never, 'x'),
      ],
      [
        'thing.capacityGb',
        () =>
          repository.changeKit(
            kit,
            'x',
            (item) => ({ ...item, thing: { ...item.thing, capacityGb: 0 } }) as never,
          ),
      ],
      [
        'days[0].entries[0].at',
        () =>
          repository.changeOuting('demo-outing', 'x', (outing) => ({
            ...outing,
            days: outing.days.map((day) => ({
              ...day,
              entries: day.entries.map((entry) => ({ ...entry, at: '1:' })),
            })),
          })),
      ],
      [
        'zone',
        () => repository.changeOuting('demo-outing', 'x', (outing) => ({ ...outing, zone: 'Mars/Olympus' })),
      ],
      [
        'days[0].date',
        () =>
          repository.changeOuting('demo-outing', 'x', (outing) => ({
            ...outing,
            days: outing.days.map((day) => ({ ...day, date: '0002-05-10' })),
          })),
      ],
    ];
    for (const [path, action] of tries) {
      const refused = await action().then(
        () => null,
        (error: unknown) => error,
      );
      expect(refused, path).toBeInstanceOf(RefusedWrite);
      expect((refused as RefusedWrite).faults[0]!.path, path).toContain(path);
      expect(await everything(), path).toBe(before);
      expect(repository.history.state().undoLabel).toBe(undo);
    }
  });

  it('loses neither of two actions at once, in one window or in two', async () => {
    const [one, two] = [window('one'), window('two')];
    await merge(one, makeDemo());
    const entry = (await one.database.log.toCollection().first())!.id;
    await Promise.all([
      one.judge(entry, { verdicts: (before) => [...before.filter((v) => v !== 'tilted'), 'tilted'] }),
      two.judge(entry, { verdicts: (before) => [...before.filter((v) => v !== 'noisy'), 'noisy'] }),
      one.changeKit('demo-kit-pika', 'x', (item) => ({ ...item, note: 'good' })),
      two.changeKit('demo-kit-pika', 'x', (item) => ({ ...item, archived: true })),
      one.tick('demo-01', 'lens', true),
      two.tick('demo-01', 'clock', true),
    ]);
    expect((await database.log.get(entry))!.verdicts).toEqual(expect.arrayContaining(['tilted', 'noisy']));
    expect(await database.kit.get('demo-kit-pika')).toMatchObject({ note: 'good', archived: true });
    expect((await database.shots.get('demo-01'))!.ticked.sort()).toEqual(['clock', 'lens']);
  });

  it('names every kind it can hold', () => {
    expect(Object.keys(RECORD_KINDS)).toEqual(RECORD_TABLES);
    expect(RECORD_TABLES.every((table) => database.tables.some((one) => one.name === table))).toBe(true);
  });
});

describe('undo', () => {
  it('takes a step for each press, however fast they come', async () => {
    const repository = window();
    const ids: string[] = [];
    for (const name of ['one', 'two', 'three'])
      ids.push(await repository.addShot(emptyShot(name), `keep ${name}`));
    const left = async (): Promise<unknown[]> =>
      (await database.shots.bulkGet(ids)).map((record) => record?.shot.name);
    const pressed = await Promise.all([repository.history.undo(), repository.history.undo()]);
    expect(pressed).toEqual([
      { ok: true, label: 'keep three' },
      { ok: true, label: 'keep two' },
    ]);
    expect(await left()).toEqual(['one', undefined, undefined]);
    // Pressed while a change is being written, it takes back that change.
    const changed = repository.changeShot(ids[0]!, 'rename', (shot) => ({ ...shot, name: 'first' }));
    expect(await repository.history.undo()).toEqual({ ok: true, label: 'rename' });
    await changed;
    expect(await left()).toEqual(['one', undefined, undefined]);
    await Promise.all([repository.history.undo(), repository.history.redo()]);
    expect(await left()).toEqual(['one', undefined, undefined]);
  });

  it('outlives a reload, fifty steps back, and what was undone can be done again', async () => {
    const first = window();
    const id = await first.addShot(emptyShot('0'));
    for (let at = 1; at <= DEPTH + 5; at += 1)
      await first.changeShot(id, `step ${at}`, (shot) => ({ ...shot, name: String(at) }));
    await first.history.undo();
    await first.history.undo();
    const again = window();
    await again.history.load();
    expect(again.history.state()).toMatchObject({
      undoLabel: `step ${DEPTH + 3}`,
      redoLabel: `step ${DEPTH + 4}`,
      changes: 0,
    });
    await again.history.redo();
    expect((await database.shots.get(id))!.shot.name).toBe(String(DEPTH + 4));
    let steps = 0;
    while ((await again.history.undo()).ok) steps += 1;
    expect(steps).toBe(DEPTH - 1);
    expect((await database.shots.get(id))!.shot.name).toBe('5');
  });

  it('belongs to one window, and never goes over another', async () => {
    const [one, two] = [window('one'), window('two')];
    const id = await one.addShot(emptyShot('one'));
    await one.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'mine' }));
    await two.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'theirs' }));
    const reloaded = window('one');
    await reloaded.history.load();
    expect(await reloaded.history.undo()).toEqual({ ok: false, reason: 'changedElsewhere' });
    expect((await database.shots.get(id))!.shot.name).toBe('theirs');
    const third = window('three');
    await third.history.load();
    expect(await third.history.undo()).toEqual({ ok: false, reason: 'nothing' });
  });
});

describe('records that are not whole', () => {
  it('are found with their faults, and put aside can be brought back as they were', async () => {
    const repository = window();
    await merge(repository, makeDemo());
    const broken = { ...(await database.outings.get('demo-outing'))!, zone: 'Nowhere/Town' };
    await database.outings.put(broken);
    const [found, ...others] = await unsoundRecords(new Queries(database), new Set(['demo-01']));
    expect(others).toEqual([]);
    expect(found).toMatchObject({ table: 'outings', id: 'demo-outing', faults: [{ path: 'zone' }] });
    await repository.remove('outings', 'demo-outing', 'put aside');
    expect(await unsoundRecords(new Queries(database), new Set(['demo-01']))).toMatchObject([
      { id: 'demo-01', faults: [] },
    ]);
    await repository.history.undo();
    expect(await database.outings.get('demo-outing')).toEqual({ ...broken, edits: { one: 3 } });
  });
});
