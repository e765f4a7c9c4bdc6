import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { readBackup } from '@/core/records/backup';
import { newThing } from '@/core/records/kitItem';
import { emptyShot } from '@/core/records/emptyShot';
import { answerShot } from '@/words/answer';
import type { Settings } from '@/core/records/settings';
import { openDatabase } from './database';
import type { Database } from './database';
import { Keeper } from './keeper';
import type { World } from './keeper';

let database: Database;
let keeper: Keeper;

let world: World;
beforeEach(() => {
  let count = 0;
  database = openDatabase(`test-${Math.random()}`);
  world = {
    tab: 'this',
    now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
    newId: () => `id-${++count}`,
  };
  keeper = new Keeper(database, world);
});
afterEach(() => database.delete());

/** The same data in another window. */
const another = (): Keeper => new Keeper(database, { ...world, tab: 'other' });

const settings = (): Settings => {
  const answer = answerShot(emptyShot('x'));
  if (answer.kind !== 'lynxeye/answer') throw new Error('the empty shot has no answer');
  return answer.settings;
};
const names = async (): Promise<(string | undefined)[]> =>
  (await database.shots.toArray()).map(({ shot }) => shot.name).sort();

describe('the keeper', () => {
  it('adds, changes and removes a shot, each undone and done again', async () => {
    const id = await keeper.addShot(emptyShot('one'));
    await keeper.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'two' }));
    await keeper.removeShot(id);
    expect(await names()).toEqual([]);
    expect(await keeper.history.undo()).toEqual({ ok: true, label: 'remove a shot' });
    expect(await names()).toEqual(['two']);
    await keeper.history.undo();
    expect(await names()).toEqual(['one']);
    await keeper.history.undo();
    expect(await names()).toEqual([]);
    expect(await keeper.history.undo()).toEqual({ ok: false, reason: 'nothing' });
    for (let step = 0; step < 2; step++) await keeper.history.redo();
    expect(await names()).toEqual(['two']);
  });

  it('writes nothing for a change that changes nothing', async () => {
    const id = await keeper.addShot(emptyShot('one'));
    await keeper.changeShot(id, 'touch', (shot) => ({ ...shot }));
    expect(keeper.history.state().undoLabel).toBe('keep a shot');
  });

  it('does not undo over what another window did', async () => {
    const id = await keeper.addShot(emptyShot('one'));
    await keeper.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'mine' }));
    const other = another();
    await other.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'theirs' }));
    expect(await keeper.history.undo()).toEqual({ ok: false, reason: 'changedElsewhere' });
    expect(await names()).toEqual(['theirs']);
  });

  it('records the settings as they were, and lets go of the reason when it was not cut off', async () => {
    const id = await keeper.addShot(emptyShot('one'));
    const entry = (await keeper.record(id, settings()))!;
    await keeper.judge(entry, { verdicts: () => ['cutOff', 'noisy'] });
    await keeper.judge(entry, { cutReason: 'tooHot' });
    expect(await database.log.get(entry)).toMatchObject({
      verdicts: ['cutOff', 'noisy'],
      cutReason: 'tooHot',
    });
    await keeper.judge(entry, { verdicts: () => ['noisy'], note: 'dusk' });
    expect(await database.log.get(entry)).not.toHaveProperty('cutReason');
    await keeper.removeShot(id);
    expect(await database.log.count()).toBe(1);
    expect(await keeper.record('nowhere', settings())).toBeNull();
  });

  it('seeds an empty database once, and resets the demo without touching own shots', async () => {
    const demo = makeDemo();
    expect(await keeper.seed(() => Promise.resolve(demo))).toBe(true);
    expect(await keeper.seed(() => Promise.resolve(demo))).toBe(false);
    expect(keeper.history.state().undoLabel).toBeNull();
    const own = await keeper.addShot(emptyShot('own'));
    await keeper.changeShot('demo-01', 'rename', (shot) => ({ ...shot, name: 'spoilt' }));
    await keeper.removeShot('demo-02');
    await keeper.resetDemo(demo);
    expect(await names()).toEqual([...demo.shots.map(({ shot }) => shot.name), 'own'].sort());
    expect(await database.shots.get(own)).toBeDefined();
  });

  it('changes a kit camera in every shot and angle that uses it, in one step of undo', async () => {
    await keeper.seed(() => Promise.resolve(makeDemo()));
    const fNumberOf = async (id: string): Promise<(number | undefined)[]> => {
      const { shot } = (await database.shots.get(id))!;
      return [shot, ...(shot.secondAngles ?? [])].map(({ camera }) =>
        camera && 'profile' in camera ? camera.profile.fNumber : undefined,
      );
    };
    await keeper.changeKit('demo-kit-shrew', 'change the f-number', (item) =>
      item.thing.what === 'camera'
        ? { ...item, thing: { what: 'camera', profile: { ...item.thing.profile, fNumber: 2 } } }
        : item,
    );
    expect(await fNumberOf('demo-03')).toEqual([2]);
    expect(await fNumberOf('demo-10')).toEqual([2.8, 2]);
    expect(await fNumberOf('demo-01')).toEqual([2.8]);
    await keeper.history.undo();
    expect(await fNumberOf('demo-10')).toEqual([2.8, 2.5]);
    const id = await keeper.addKit((own) => newThing('card', own), 'add a card');
    await keeper.removeKit(id);
    await keeper.history.undo();
    expect(await database.kit.get(id)).toMatchObject({ thing: { what: 'card' }, archived: false });
  });

  it('records one camera of several under its own name', async () => {
    await keeper.seed(() => Promise.resolve(makeDemo()));
    const entry = (await keeper.record('demo-10', settings(), 1))!;
    expect(await database.log.get(entry)).toMatchObject({
      shotName: 'Iron rungs, Chest',
      shot: { mount: { kind: 'chest' } },
    });
  });

  it('writes a backup that it reads back whole into an empty database', async () => {
    await keeper.seed(() => Promise.resolve(makeDemo()));
    const id = await keeper.addShot({ ...emptyShot('own'), pins: { frameRate: 50 } });
    await keeper.tick(id, 'lens', true);
    const written = await readBackup(JSON.parse(JSON.stringify(await keeper.backup())));
    if (!written.ok) throw new Error(JSON.stringify(written.faults));
    const empty = openDatabase(`test-${Math.random()}`);
    const other = new Keeper(empty, { ...world, tab: 'other' });
    await other.restore(written.records);
    expect(await empty.shots.toArray()).toEqual(await database.shots.toArray());
    expect(await empty.log.toArray()).toEqual(await database.log.toArray());
    expect(await empty.kit.toArray()).toEqual(await database.kit.toArray());
    await other.history.undo();
    expect(await empty.shots.count()).toBe(0);
    await empty.delete();
  });
});

describe('outings kept', () => {
  const demo = makeDemo();
  beforeEach(() => keeper.seed(() => Promise.resolve(demo)));
  const outing = async () => (await database.outings.get('demo-outing'))!;

  it('changes an outing and the shots that go with it in one step of undo', async () => {
    await keeper.changeOuting(
      'demo-outing',
      'move in time',
      (before) => ({ ...before, name: 'Moved' }),
      new Map([['demo-05', (shot) => ({ ...shot, name: 'Sun gate, later' })]]),
    );
    expect((await outing()).name).toBe('Moved');
    expect(await names()).toContain('Sun gate, later');
    expect(await keeper.history.undo()).toEqual({ ok: true, label: 'move in time' });
    expect(await outing()).toEqual(demo.outings[0]);
    expect(await names()).toContain('Sun gate');
  });

  it('loses neither of two changes made at once', async () => {
    await Promise.all([
      keeper.changeOuting('demo-outing', 'note something', (before) => ({ ...before, note: 'wet' })),
      keeper.markEntry('demo-outing', 'sat-01', 'recorded', [{ part: 0, settings: settings() }]),
      keeper.changeOuting('demo-outing', 'tick a line', (before) => ({ ...before, ticked: ['cloth'] })),
    ]);
    const after = await outing();
    expect(after).toMatchObject({ note: 'wet', ticked: ['cloth'] });
    expect(after.days[0]!.entries[0]).toMatchObject({ done: { how: 'recorded' } });
  });

  it('marks an entry with a line in the log for each camera, and takes the mark back', async () => {
    const entry = (await outing()).days[1]!.entries.find(
      (one) => one.what === 'shot' && one.shotId === 'demo-10',
    )!;
    const before = await database.log.count();
    await keeper.markEntry('demo-outing', entry.id, 'recorded', [
      { part: 0, settings: settings() },
      { part: 1, settings: settings() },
    ]);
    const log = (await database.log.toArray()).filter(({ shotId }) => shotId === 'demo-10');
    expect(log.map(({ shotName }) => shotName).sort()).toEqual(['Iron rungs', 'Iron rungs, Chest']);
    await keeper.markEntry('demo-outing', entry.id, 'skipped');
    expect(await database.log.count()).toBe(before + 2);
    await keeper.markEntry('demo-outing', entry.id, null);
    expect((await outing()).days[1]!.entries.find(({ id }) => id === entry.id)).toEqual(entry);
  });

  it('goes into the backup and comes back to the byte', async () => {
    const backup = await keeper.backup();
    await keeper.removeOuting('demo-outing');
    expect(await database.outings.count()).toBe(0);
    const read = await readBackup(JSON.parse(JSON.stringify(backup)));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(await keeper.restore(read.records)).toMatchObject({ shots: 13, outings: 1 });
    expect({ ...(await keeper.backup()), exportedAt: '' }).toEqual({ ...backup, exportedAt: '' });
  });

  it('keeps what the camera itself wrote with a recording, and why it ended', async () => {
    const clip = { file: 'OTTER_0001.mp4', cameraId: 'otter', seconds: 90, gigabytes: 0.7, chapters: 1 };
    const id = await keeper.record('demo-02', settings(), 0, { clip, cutReason: 'tooHot' });
    expect(await database.log.get(id!)).toMatchObject({ clip, cutReason: 'tooHot', verdicts: ['cutOff'] });
  });
});
