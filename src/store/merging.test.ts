import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { openDatabase } from './database';
import { merge, mergePlan } from './merging';
import { Repository } from './repository';

let count = 0;
const device = (name: string): Repository =>
  new Repository(openDatabase(`merging-${name}-${Math.random()}`), {
    tab: 'this',
    device: name,
    newCounter: () => name,
    now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
    newId: () => `${name}-${++count}`,
  });
const demo = makeDemo();
const START: Records = { ...noRecords(), shots: demo.shots.slice(0, 3), log: demo.log.slice(0, 1) };

let laptop: Repository;
let phone: Repository;
beforeEach(async () => {
  laptop = device('laptop');
  phone = device('phone');
  await merge(laptop, START);
  await merge(phone, START);
});
afterEach(async () => {
  await laptop.database.delete();
  await phone.database.delete();
});

const rename = (on: Repository, name: string, id = 'demo-02'): Promise<unknown> =>
  on.changeShot(id, 'rename', (shot) => ({ ...shot, name }));
const names = async (on: Repository): Promise<(string | undefined)[]> =>
  (await on.database.shots.toArray()).map(({ shot }) => shot.name).sort();
const outcomes = async (on: Repository, from: Repository): Promise<string[]> =>
  (await mergePlan(on, await from.queries.everything()))
    .filter(({ outcome }) => outcome !== 'alike')
    .map(({ id, outcome }) => `${id} ${outcome}`);
const over = async (from: Repository, to: Repository): Promise<unknown> =>
  merge(to, await from.queries.everything());

describe('two devices of one person', () => {
  it('see each change once, whichever way it goes over', async () => {
    await rename(laptop, 'By the laptop');
    expect(await outcomes(phone, laptop)).toEqual(['demo-02 theirs']);
    await over(laptop, phone);
    expect(await names(phone)).toContain('By the laptop');
    expect(await outcomes(phone, laptop)).toEqual([]);
    await rename(phone, 'By the phone');
    expect(await outcomes(phone, laptop)).toEqual(['demo-02 ours']);
    await over(phone, laptop);
    expect(await names(laptop)).toEqual(await names(phone));
  });

  it('keep both where each changed it, the same on both', async () => {
    await rename(laptop, 'By the laptop');
    await rename(phone, 'By the phone');
    expect(await outcomes(phone, laptop)).toEqual(['demo-02 both']);
    await over(laptop, phone);
    await over(phone, laptop);
    for (const one of [laptop, phone])
      expect(await names(one)).toEqual(
        expect.arrayContaining(['By the phone', 'By the laptop, other version']),
      );
    expect(await outcomes(laptop, phone)).toEqual([]);
    expect(await laptop.database.shots.count()).toBe(4);
  });

  it('take a removal over, and keep what was changed by one who did not know', async () => {
    const [entry] = START.log;
    await laptop.removeEntry(entry!.id);
    expect(await outcomes(phone, laptop)).toEqual([`${entry!.id} goneThere`]);
    await over(laptop, phone);
    expect(await phone.database.log.count()).toBe(0);
    await laptop.removeShot('demo-02');
    await rename(phone, 'Still wanted');
    expect(await outcomes(laptop, phone)).toEqual(['demo-02 comesBack']);
    await over(phone, laptop);
    expect(await names(laptop)).toContain('Still wanted');
    expect((await laptop.database.removed.toArray()).map(({ id }) => id)).toEqual([`log/${entry!.id}`]);
  });

  it('keep a verdict away that was taken back, and undo brings it again', async () => {
    const [entry] = START.log;
    const said = async (on: Repository): Promise<readonly string[]> =>
      (await on.queries.one('log', entry!.id))!.verdicts;
    await laptop.judge(entry!.id, { verdicts: () => ['noisy', 'smear'] });
    await over(laptop, phone);
    await laptop.judge(entry!.id, { verdicts: () => ['smear'] });
    await phone.judge(entry!.id, { note: 'wind' });
    for (let round = 0; round < 2; round += 1) {
      await over(laptop, phone);
      await over(phone, laptop);
    }
    expect([await said(laptop), await said(phone)]).toEqual([['smear'], ['smear']]);
    await laptop.judge(entry!.id, { verdicts: (before) => [...before, 'noisy'] });
    await laptop.history.undo();
    await laptop.history.redo();
    await over(phone, laptop);
    expect(await said(laptop)).toContain('noisy');
  });

  it('hold to what a person chose against the merge', async () => {
    await rename(laptop, 'By the laptop');
    await rename(phone, 'By the phone');
    await merge(phone, await laptop.queries.everything(), () => 'there');
    expect(await names(phone)).toEqual(await names(laptop));
    expect(await outcomes(laptop, phone)).toEqual([]);
    await laptop.removeShot('demo-01');
    await merge(phone, await laptop.queries.everything(), () => 'here');
    expect(await phone.database.shots.count()).toBe(3);
    expect(await outcomes(laptop, phone)).toEqual(['demo-01 theirs']);
  });

  it('count an undo as a change of its own, but a merge taken back as if it had not been', async () => {
    await rename(laptop, 'By the laptop');
    await over(laptop, phone);
    await laptop.history.undo();
    expect(await outcomes(phone, laptop)).toEqual(['demo-02 theirs']);
    await phone.history.undo();
    expect(await names(phone)).not.toContain('By the laptop');
    expect((await phone.database.shots.get('demo-02'))?.edits).toBeUndefined();
    await laptop.history.redo();
    expect(await names(laptop)).toContain('By the laptop');
  });

  it('give back what was removed when that is undone, and nothing after a clean slate', async () => {
    await laptop.removeShot('demo-02');
    expect(await laptop.database.removed.count()).toBe(1);
    await laptop.history.undo();
    expect(await laptop.database.removed.count()).toBe(0);
    expect(await outcomes(phone, laptop)).toEqual([]);
    await laptop.removeShot('demo-02');
    await laptop.eraseEverything();
    expect(await laptop.database.removed.count()).toBe(0);
    expect(await outcomes(laptop, phone)).toHaveLength(4);
    await over(phone, laptop);
    expect(await laptop.database.shots.count()).toBe(3);
  });
});
