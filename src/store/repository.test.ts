import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { readBackup } from '@/core/records/backup';
import { newThing } from '@/core/records/kitItem';
import { emptyShot } from '@/core/records/emptyShot';
import { answerShot } from '@/words/answer';
import type { Settings } from '@/core/records/settings';
import { openDatabase } from './database';
import type { Database } from './database';
import { merge } from './merging';
import { Repository } from './repository';
import type { World } from './world';

let database: Database;
let repository: Repository;

let world: World;
beforeEach(() => {
  let count = 0;
  database = openDatabase(`test-${Math.random()}`);
  world = {
    tab: 'this',
    device: 'this',
    newCounter: () => 'this',
    now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
    newId: () => `id-${++count}`,
  };
  repository = new Repository(database, world);
});
afterEach(() => database.delete());

/** The same data in another window. */
const another = (): Repository => new Repository(database, { ...world, tab: 'other', device: 'other' });

const settings = (): Settings => {
  const answer = answerShot(emptyShot('x'));
  if (answer.kind !== 'lynxeye/answer') throw new Error('the empty shot has no answer');
  return answer.settings;
};
const names = async (): Promise<(string | undefined)[]> =>
  (await database.shots.toArray()).map(({ shot }) => shot.name).sort();

describe('the repository', () => {
  it('adds, changes and removes a shot, each undone and done again', async () => {
    const id = await repository.addShot(emptyShot('one'));
    await repository.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'two' }));
    await repository.removeShot(id);
    expect(await names()).toEqual([]);
    expect(await repository.history.undo()).toEqual({ ok: true, label: 'remove a shot' });
    expect(await names()).toEqual(['two']);
    await repository.history.undo();
    expect(await names()).toEqual(['one']);
    await repository.history.undo();
    expect(await names()).toEqual([]);
    expect(await repository.history.undo()).toEqual({ ok: false, reason: 'nothing' });
    for (let step = 0; step < 2; step++) await repository.history.redo();
    expect(await names()).toEqual(['two']);
  });

  it('writes nothing for a change that changes nothing', async () => {
    const id = await repository.addShot(emptyShot('one'));
    await repository.changeShot(id, 'touch', (shot) => ({ ...shot }));
    expect(repository.history.state().undoLabel).toBe('keep a shot');
  });

  it('does not undo over what another window did', async () => {
    const id = await repository.addShot(emptyShot('one'));
    await repository.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'mine' }));
    const other = another();
    await other.changeShot(id, 'rename', (shot) => ({ ...shot, name: 'theirs' }));
    expect(await repository.history.undo()).toEqual({ ok: false, reason: 'changedElsewhere' });
    expect(await names()).toEqual(['theirs']);
  });

  it('records the settings as they were, and lets go of the reason when it was not cut off', async () => {
    const id = await repository.addShot(emptyShot('one'));
    const entry = (await repository.record(id, settings()))!;
    await repository.judge(entry, { verdicts: () => ['cutOff', 'noisy'] });
    await repository.judge(entry, { cutReason: 'tooHot' });
    expect(await database.log.get(entry)).toMatchObject({
      verdicts: ['cutOff', 'noisy'],
      cutReason: 'tooHot',
    });
    await repository.judge(entry, { verdicts: () => ['noisy'], note: 'dusk' });
    expect(await database.log.get(entry)).not.toHaveProperty('cutReason');
    await repository.removeShot(id);
    expect(await database.log.count()).toBe(1);
    expect(await repository.record('nowhere', settings())).toBeNull();
  });

  it('comes up empty where the demo cannot be had, and seeds at the next open', async () => {
    expect(await repository.seed(() => Promise.reject(new Error('404')))).toBe(false);
    expect(await names()).toEqual([]);
    expect(await repository.seed(() => Promise.resolve(makeDemo()))).toBe(true);
    expect((await names()).length).toBeGreaterThan(10);
  });

  it('seeds an empty database once, and resets the demo without touching own shots', async () => {
    const demo = makeDemo();
    expect(await repository.seed(() => Promise.resolve(demo))).toBe(true);
    expect(await repository.seed(() => Promise.resolve(demo))).toBe(false);
    expect(repository.history.state().undoLabel).toBeNull();
    const own = await repository.addShot(emptyShot('own'));
    await repository.changeShot('demo-01', 'rename', (shot) => ({ ...shot, name: 'spoilt' }));
    await repository.removeShot('demo-02');
    await repository.resetDemo(demo);
    expect(await names()).toEqual([...demo.shots.map(({ shot }) => shot.name), 'own'].sort());
    expect(await database.shots.get(own)).toBeDefined();
  });

  it('changes a kit camera in every shot and angle that uses it, in one step of undo', async () => {
    await repository.seed(() => Promise.resolve(makeDemo()));
    const fNumberOf = async (id: string): Promise<(number | undefined)[]> => {
      const { shot } = (await database.shots.get(id))!;
      return [shot, ...(shot.secondAngles ?? [])].map(({ camera }) =>
        camera && 'profile' in camera ? camera.profile.fNumber : undefined,
      );
    };
    await repository.changeKit('demo-kit-shrew', 'change the f-number', (item) =>
      item.thing.what === 'camera'
        ? { ...item, thing: { what: 'camera', profile: { ...item.thing.profile, fNumber: 2 } } }
        : item,
    );
    expect(await fNumberOf('demo-03')).toEqual([2]);
    expect(await fNumberOf('demo-10')).toEqual([2.8, 2]);
    expect(await fNumberOf('demo-01')).toEqual([2.8]);
    await repository.history.undo();
    expect(await fNumberOf('demo-10')).toEqual([2.8, 2.5]);
    const id = await repository.addKit((own) => newThing('card', own, 'Card'), 'add a card');
    await repository.removeKit(id);
    await repository.history.undo();
    expect(await database.kit.get(id)).toMatchObject({ thing: { what: 'card' }, archived: false });
  });

  it('records one camera of several under its own name', async () => {
    await repository.seed(() => Promise.resolve(makeDemo()));
    const entry = (await repository.record('demo-10', settings(), 1))!;
    expect(await database.log.get(entry)).toMatchObject({
      shotName: 'Iron rungs, Chest',
      shot: { mount: { kind: 'chest' } },
    });
  });

  it('writes a backup that it reads back whole into an empty database', async () => {
    await repository.seed(() => Promise.resolve(makeDemo()));
    const id = await repository.addShot({ ...emptyShot('own'), pins: { frameRate: 50 } });
    await repository.tick(id, 'lens', true);
    const written = await readBackup(JSON.parse(JSON.stringify(await repository.backup())));
    if (!written.ok) throw new Error(JSON.stringify(written.faults));
    const empty = openDatabase(`test-${Math.random()}`);
    const other = new Repository(empty, { ...world, tab: 'other', device: 'other' });
    await merge(other, written.records);
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
  beforeEach(() => repository.seed(() => Promise.resolve(demo)));
  const outing = async () => (await database.outings.get('demo-outing'))!;

  it('removes a shot with what is planned of it, but for what was filmed, in one step of undo', async () => {
    const entries = async (): Promise<string[]> =>
      (await database.outings.get('demo-outing'))!.days.flatMap((day) =>
        day.entries.flatMap((one) => (one.what === 'shot' && one.shotId === 'demo-02' ? [one.id] : [])),
      );
    const [planned, ...more] = await entries();
    expect(planned).toBeDefined();
    expect(await repository.removeShot('demo-02')).toEqual([demo.outings[0]!.name]);
    expect(await entries()).toEqual([]);
    await repository.history.undo();
    expect(await entries()).toEqual([planned, ...more]);
    for (const one of more) await repository.markEntry('demo-outing', one, 'skipped');
    await repository.markEntry('demo-outing', planned!, 'skipped');
    expect(await repository.removeShot('demo-02')).toEqual([]);
    expect(await entries()).toEqual([planned, ...more]);
  });

  it('changes an outing and the shots that go with it in one step of undo', async () => {
    await repository.changeOuting(
      'demo-outing',
      'move in time',
      (before) => ({ ...before, name: 'Moved' }),
      new Map([['demo-05', (shot) => ({ ...shot, name: 'Sun gate, later' })]]),
    );
    expect((await outing()).name).toBe('Moved');
    expect(await names()).toContain('Sun gate, later');
    expect(await repository.history.undo()).toEqual({ ok: true, label: 'move in time' });
    // Undone is changed once more, for another copy that has seen the change.
    expect(await outing()).toEqual({
      ...demo.outings[0],
      edits: { this: 2 },
      updatedAt: expect.any(String) as unknown,
    });
    expect(await names()).toContain('Sun gate');
  });

  it('loses neither of two changes made at once', async () => {
    await Promise.all([
      repository.changeOuting('demo-outing', 'note something', (before) => ({ ...before, note: 'wet' })),
      repository.markEntry('demo-outing', 'sat-01', 'recorded', [{ part: 0, settings: settings() }]),
      repository.changeOuting('demo-outing', 'tick a line', (before) => ({ ...before, ticked: ['cloth'] })),
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
    await repository.markEntry('demo-outing', entry.id, 'recorded', [
      { part: 0, settings: settings() },
      { part: 1, settings: settings() },
    ]);
    const log = (await database.log.toArray()).filter(({ shotId }) => shotId === 'demo-10');
    expect(log.map(({ shotName }) => shotName).sort()).toEqual(['Iron rungs', 'Iron rungs, Chest']);
    await repository.markEntry('demo-outing', entry.id, null);
    expect(await database.log.count()).toBe(before);
    expect((await outing()).days[1]!.entries.find(({ id }) => id === entry.id)).toEqual(entry);
    await repository.history.undo();
    expect(await database.log.count()).toBe(before + 2);
  });

  it('keeps a recording that something was said of, when the tap is taken back', async () => {
    const entry = (await outing()).days[0]!.entries[0]!;
    const before = await database.log.count();
    await repository.markEntry('demo-outing', entry.id, 'recorded', [{ part: 0, settings: settings() }]);
    const [noted] = (await database.log.toArray()).filter(({ shotId }) => shotId === 'demo-01');
    await repository.judge(noted!.id, { note: 'wind' });
    await repository.markEntry('demo-outing', entry.id, 'skipped');
    expect(await database.log.count()).toBe(before + 1);
    expect(await database.log.get(noted!.id)).toMatchObject({ note: 'wind' });
  });

  it('goes into the backup and comes back to the byte', async () => {
    const backup = await repository.backup();
    await repository.eraseEverything();
    expect(await database.outings.count()).toBe(0);
    const read = await readBackup(JSON.parse(JSON.stringify(backup)));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const rows = await merge(repository, read.records);
    expect(new Set(rows.map(({ outcome }) => outcome))).toEqual(new Set(['added']));
    expect({ ...(await repository.backup()), exportedAt: '' }).toEqual({ ...backup, exportedAt: '' });
  });

  it('keeps what the camera itself wrote with a recording, and why it ended', async () => {
    const clip = { file: 'OTTER_0001.mp4', cameraId: 'otter', seconds: 90, gigabytes: 0.7, chapters: 1 };
    const id = await repository.record('demo-02', settings(), 0, { clip, cutReason: 'tooHot' });
    expect(await database.log.get(id!)).toMatchObject({ clip, cutReason: 'tooHot', verdicts: ['cutOff'] });
  });
});
