import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { newThing } from '@/core/records/kitItem';
import type { KitItem } from '@/core/records/kitItem';
import { openDatabase } from './database';
import type { Database } from './database';
import { DEPTH, History } from './history';
import { RefusedWrite } from './refusedWrite';
import type { RecordChange } from './step';
import { sampling } from '../../testing/samples';

const AT = '2026-10-01T09:00:00.000Z';
const DAY_MS = 86_400_000;

const kitItem = (id: string, note: string): KitItem => ({
  kind: 'lynxeye/kit-item',
  version: 3,
  id,
  createdAt: AT,
  updatedAt: AT,
  demo: false,
  archived: false,
  note,
  thing: newThing('card', id, 'Card'),
});

let database: Database;
let now: number;
beforeEach(() => {
  database = openDatabase(`history-${Math.random()}`);
  now = Date.parse(AT);
});
afterEach(() => database.delete());

const historyOf = (tab = 'this', of = database): History =>
  new History(of, { tab, newCounter: () => tab }, () => new Date(now));

/** Puts a note on an item, which is made where it is not there; `null` takes it away. */
const put =
  (id: string, note: string | null) =>
  async ({ kit }: Database): Promise<RecordChange[]> => {
    const before = (await kit.get(id)) ?? null;
    const after = note === null ? null : before ? { ...before, note } : kitItem(id, note);
    return before === null && after === null ? [] : [{ table: 'kit', before, after }];
  };
const notes = async (of = database): Promise<Record<string, string>> =>
  Object.fromEntries((await of.kit.toArray()).map(({ id, note }) => [id, note]));

describe('the history of changes', () => {
  it('goes back and forth as a list of states does, whatever is done', async () => {
    const deed = fc.oneof(
      {
        weight: 3,
        arbitrary: fc.tuple(
          fc.constantFrom('a', 'b', 'c'),
          fc.option(fc.string({ maxLength: 3 }), { nil: null }),
        ),
      },
      { weight: 2, arbitrary: fc.constantFrom('undo' as const, 'redo' as const, 'reload' as const) },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(deed, { minLength: 1, maxLength: 25 }), async (deeds) => {
        const own = openDatabase(`walk-${Math.random()}`);
        let history = historyOf('this', own);
        // The plain model: every state there was, and where in it one stands.
        let states: Record<string, string>[] = [{}];
        let here = 0;
        for (const one of deeds) {
          if (one === 'undo') {
            const { ok } = await history.undo();
            expect(ok).toBe(here > 0);
            here = Math.max(0, here - 1);
          } else if (one === 'redo') {
            const { ok } = await history.redo();
            expect(ok).toBe(here < states.length - 1);
            here = Math.min(states.length - 1, here + 1);
          } else if (one === 'reload') {
            history = historyOf('this', own);
            await history.load();
          } else {
            const [id, note] = one;
            const others = Object.entries(states[here]!).filter(([other]) => other !== id);
            const next = Object.fromEntries(note === null ? others : [...others, [id, note]]);
            await history.commit(`put ${id}`, put(id, note));
            if (
              JSON.stringify(Object.entries(next).sort()) !==
              JSON.stringify(Object.entries(states[here]!).sort())
            ) {
              states = [...states.slice(0, here + 1), next];
              here += 1;
            }
          }
          expect(await notes(own)).toEqual(states[here]);
        }
        await own.delete();
      }),
      sampling(25, 51),
    );
  });

  it('names the step that comes next, each way, and counts what it wrote', async () => {
    const history = historyOf();
    const told: number[] = [];
    const stop = history.subscribe(() => told.push(history.state().changes));
    await history.commit('first', put('a', '1'));
    await history.commit('second', put('a', '2'));
    expect(history.state()).toEqual({ undoLabel: 'second', redoLabel: null, changes: 2 });
    expect(await history.undo()).toEqual({ ok: true, label: 'second' });
    expect(history.state()).toEqual({ undoLabel: 'first', redoLabel: 'second', changes: 3 });
    stop();
    await history.redo();
    expect(told).toEqual([1, 2, 3]);
  });

  it('forgets what was undone once something new is done', async () => {
    const history = historyOf();
    await history.commit('one', put('a', '1'));
    await history.undo();
    await history.commit('two', put('b', '2'));
    expect(await history.redo()).toEqual({ ok: false, reason: 'nothing' });
    expect(await database.steps.count()).toBe(1);
    expect(await notes()).toEqual({ b: '2' });
  });

  it('has a screen write what it shows before it goes back; refused, nothing goes back', async () => {
    const history = historyOf();
    await history.commit('one', put('a', '1'));
    const stop = history.before(async () => {
      await history.commit('two', put('a', '2'));
    });
    expect(await history.undo()).toEqual({ ok: true, label: 'two' });
    stop();
    history.before(() => Promise.reject(new Error('full')));
    await expect(history.undo()).rejects.toThrow('full');
    await expect(history.redo()).rejects.toThrow('full');
    expect(await notes()).toEqual({ a: '1' });
  });

  it('is no step where nothing changes', async () => {
    const history = historyOf();
    await history.commit('one', put('a', '1'));
    expect(await history.commit('same', put('a', '1'))).toEqual([]);
    expect(await history.commit('nothing', () => Promise.resolve([]))).toEqual([]);
    expect(history.state()).toEqual({ undoLabel: 'one', redoLabel: null, changes: 1 });
  });

  it(`keeps ${DEPTH} steps and lets the oldest go`, async () => {
    const history = historyOf();
    for (let at = 0; at <= DEPTH + 2; at += 1) await history.commit(`${at}`, put('a', String(at)));
    expect(await database.steps.count()).toBe(DEPTH);
    let back = 0;
    while ((await history.undo()).ok) back += 1;
    expect(back).toBe(DEPTH);
    expect(await notes()).toEqual({ a: '2' });
  });

  it('written in one go is undone in one go, over several kinds and both ways', async () => {
    const history = historyOf();
    await history.commit('both', async (kept) => [
      ...(await put('a', '1')(kept)),
      ...(await put('b', '2')(kept)),
    ]);
    await history.commit('swap', async (kept) => [
      ...(await put('a', null)(kept)),
      ...(await put('c', '3')(kept)),
    ]);
    expect(await notes()).toEqual({ b: '2', c: '3' });
    await history.undo();
    expect(await notes()).toEqual({ a: '1', b: '2' });
    await history.undo();
    expect(await notes()).toEqual({});
  });

  it('refuses what does not fit its kind, and then nothing of the step is written', async () => {
    const history = historyOf();
    const wrong = { ...kitItem('b', 'x'), thing: { what: 'card', name: 'C', capacityGb: -1, writeMBps: 3 } };
    const both = async (kept: Database): Promise<RecordChange[]> => [
      ...(await put('a', '1')(kept)),
      { table: 'kit', before: null, after: wrong as KitItem },
    ];
    await expect(history.commit('wrong', both)).rejects.toThrow(RefusedWrite);
    expect(await notes()).toEqual({});
    expect(history.state()).toEqual({ undoLabel: null, redoLabel: null, changes: 0 });
    await history.commit('right', put('a', '1'));
    expect(await notes()).toEqual({ a: '1' });
  });

  it('goes on after a step that failed to be decided', async () => {
    const history = historyOf();
    const failed = history.commit('bad', () => Promise.reject(new Error('no')));
    const next = history.commit('good', put('a', '1'));
    await expect(failed).rejects.toThrow('no');
    await next;
    expect(await notes()).toEqual({ a: '1' });
  });

  it('does not go over what another window did; the steps before stay', async () => {
    const [mine, theirs] = [historyOf('mine'), historyOf('theirs')];
    await mine.commit('first', put('b', '1'));
    await mine.commit('second', put('a', '1'));
    await theirs.commit('over', put('a', '2'));
    expect(await mine.undo()).toEqual({ ok: false, reason: 'changedElsewhere' });
    expect(await notes()).toEqual({ a: '2', b: '1' });
    expect(mine.state().undoLabel).toBe('first');
    expect(await mine.undo()).toEqual({ ok: true, label: 'first' });
    expect(await notes()).toEqual({ a: '2' });
  });

  it('lets a step that is too large go, with all before it', async () => {
    const history = historyOf();
    await history.commit('small', put('a', '1'));
    const large = Array.from({ length: 1100 }, (_, at): RecordChange => ({
      table: 'kit',
      before: null,
      after: kitItem(`k${at}`, 'x'.repeat(1900)),
    }));
    await history.commit('large', () => Promise.resolve(large));
    const reloaded = historyOf();
    await reloaded.load();
    expect(reloaded.state().undoLabel).toBeNull();
    expect(await database.kit.count()).toBe(1101);
  });

  it('takes up its own steps after a reload, and clears those of windows that never came back', async () => {
    await historyOf('gone').commit('old', put('a', '1'));
    now += 8 * DAY_MS;
    const history = historyOf('this');
    await history.commit('new', put('b', '2'));
    await history.commit('newer', put('c', '3'));
    await history.undo();
    const reloaded = historyOf('this');
    await reloaded.load();
    expect(reloaded.state()).toMatchObject({ undoLabel: 'new', redoLabel: 'newer' });
    expect(await database.steps.where('tab').equals('gone').count()).toBe(0);
  });
});
