import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../demo/makeDemo';
import { noRecords, RECORD_TABLES } from '@/core/records/kinds';
import { emptyShot } from '@/core/records/emptyShot';
import { newThing, THING_KINDS } from '@/core/records/kitItem';
import { VERDICTS } from '@/core/vocabulary/verdicts';
import type { Settings } from '@/core/records/settings';
import { readBackup } from '@/core/records/backup';
import { openDatabase } from '@/store/database';
import type { Database } from '@/store/database';
import { merge } from '@/store/merging';
import { Repository } from '@/store/repository';
import { RefusedWrite } from '@/store/refusedWrite';
import { writeFaultText } from '@/screens/data/writeFault';
import { answerShot } from '@/words/answer';
import { samples, sampling } from '../testing/samples';

/**
 * Random walks over everything that can be done to the records, in two windows at once, with changes that do not fit and a
 * storage that is full at any moment. After every action that was refused all is as it was; at the end, everything exports
 * and comes back equal.
 */
const WALKS = 300;
const demo = makeDemo();
const small = {
  ...noRecords(),
  shots: demo.shots.slice(0, 3),
  outings: demo.outings,
  // Without their small pictures, which are most of what would be written and read at every step.
  clips: demo.clips.map((clip) => ({ ...clip, frames: [] })),
  log: demo.log.slice(0, 1),
  kit: demo.kit.slice(0, 4),
};
const settings: Settings = (() => {
  const answer = answerShot(emptyShot('x'));
  if (answer.kind !== 'lynxeye/answer') throw new Error('the empty shot has no answer');
  return answer.settings;
})();

interface Step {
  action: number;
  window: 0 | 1;
  pick: number;
  /** Changes to something that no schema takes. */
  unfit: boolean;
  /** The storage is full from this write of the action on; 0: it is not. */
  full: number;
}

const step: fc.Arbitrary<Step> = fc.record({
  action: fc.nat(13),
  window: fc.constantFrom<0 | 1>(0, 1),
  pick: fc.nat(1000),
  unfit: fc.integer({ min: 0, max: 4 }).map((one) => one === 0),
  full: fc.integer({ min: -8, max: 3 }).map((one) => Math.max(0, one)),
});

function deedOf(
  repository: Repository,
  database: Database,
  { action, pick, unfit }: Step,
): () => Promise<unknown> {
  const at = async (table: 'shots' | 'log' | 'kit' | 'outings'): Promise<string> => {
    const ids = await database.table<object, string>(table).toCollection().primaryKeys();
    return ids[pick % Math.max(1, ids.length)] ?? 'none';
  };
  const name = unfit ? 'n'.repeat(200) : `name ${pick}`;
  const actions: (() => Promise<unknown>)[] = [
    () => repository.addShot({ ...emptyShot(name), pins: { frameRate: 25 } }),
    async () => repository.changeShot(await at('shots'), 'rename', (shot) => ({ ...shot, name })),
    async () => repository.tick(await at('shots'), unfit ? '' : `check ${pick % 5}`, pick % 2 === 0),
    async () => repository.removeShot(await at('shots')),
    async () => repository.record(await at('shots'), unfit ? { ...settings, frameRate: NaN } : settings),
    async () =>
      repository.judge(await at('log'), {
        verdicts: (before) => [...new Set([...before, VERDICTS[pick % VERDICTS.length]!])],
        note: unfit ? 'x'.repeat(2001) : String(pick),
      }),
    () =>
      repository.addKit(
        (id) => newThing(THING_KINDS[pick % THING_KINDS.length]!, unfit ? '' : id, 'New'),
        'add',
      ),
    async () =>
      repository.changeKit(await at('kit'), 'note', (item) => ({
        ...item,
        note: unfit ? 'x'.repeat(2001) : name,
      })),
    async () => repository.removeKit(await at('kit')),
    async () =>
      repository.changeOuting(
        await at('outings'),
        'rename',
        (outing) => ({ ...outing, name, zone: pick % 7 === 0 && unfit ? 'Nowhere' : outing.zone }),
        new Map([[await at('shots'), (shot) => ({ ...shot, name: `with the outing ${pick}` })]]),
      ),
    async () =>
      repository.markEntry(await at('outings'), 'sat-01', pick % 3 === 0 ? null : 'recorded', [
        { part: 0, settings: unfit ? { ...settings, bitRateMbps: -1 } : settings },
      ]),
    () => merge(repository, small),
    () => repository.history.undo(),
    () => repository.history.redo(),
  ];
  return actions[action % actions.length]!;
}

type Write = (this: unknown, ...given: unknown[]) => unknown;

/** From the nth write on the storage is full; gives the way back. */
function filling(after: number): () => void {
  const store = IDBObjectStore.prototype as unknown as Record<'put' | 'add', Write>;
  const real = { put: store.put, add: store.add };
  let writes = 0;
  for (const how of ['put', 'add'] as const)
    store[how] = function (...given) {
      writes += 1;
      if (writes >= after) throw new DOMException('the storage is full', 'QuotaExceededError');
      return real[how].apply(this, given);
    };
  return () => Object.assign(store, real);
}

describe('the store', () => {
  it('is whole after any walk, in two windows, with refusals and a full storage', async () => {
    let walks = 0;
    let refused = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 12 }), async (steps) => {
        walks += 1;
        const database = openDatabase(`walk-${walks}`);
        let count = 0;
        const windows = ['one', 'two'].map(
          (tab) =>
            new Repository(database, {
              tab,
              device: tab,
              newCounter: () => tab,
              now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
              newId: () => `id-${++count}`,
            }),
        );
        try {
          await merge(windows[0]!, small);
          const everything = async (): Promise<string> =>
            JSON.stringify(await windows[0]!.queries.everything());
          for (const one of steps) {
            const repository = windows[one.window]!;
            const before = await everything();
            const stop = one.full > 0 ? filling(one.full) : () => undefined;
            const error: unknown = await deedOf(repository, database, one)().then(
              () => null,
              (why: unknown) => why,
            );
            stop();
            if (error === null) continue;
            refused += 1;
            // Refused by the schema, or by the storage: nothing else may go wrong.
            if (!(error instanceof RefusedWrite)) expect(writeFaultText(error)).toContain('storage is full');
            expect(await everything(), `action ${one.action} was refused and yet changed something`).toBe(
              before,
            );
          }
          const backup = await windows[0]!.backup();
          const read = await readBackup(JSON.parse(JSON.stringify(backup)));
          expect(read.ok ? [] : read.faults).toEqual([]);
          if (!read.ok) return;
          const empty = openDatabase(`walk-${walks}-back`);
          const back = new Repository(empty, {
            tab: 'back',
            device: 'back',
            newCounter: () => 'back',
            now: () => new Date(0),
            newId: () => 'x',
          });
          await merge(back, read.records);
          const [there, here] = [await back.queries.everything(), await windows[0]!.queries.everything()];
          for (const table of RECORD_TABLES)
            here[table].forEach((record, at) =>
              expect(JSON.stringify(there[table][at]), `${table} ${record.id}`).toBe(JSON.stringify(record)),
            );
          for (const table of RECORD_TABLES) expect(there[table].length).toBe(here[table].length);
          await empty.delete();
          // However they were interleaved, each window can be undone to its end without a crash.
          for (const repository of windows)
            for (let at = 0; at < 40; at += 1) await repository.history.undo();
          const after = await readBackup(JSON.parse(JSON.stringify(await windows[0]!.backup())));
          expect(after.ok ? [] : after.faults).toEqual([]);
        } finally {
          await database.delete();
        }
      }),
      sampling(WALKS),
    );
    expect(walks).toBeGreaterThanOrEqual(samples(WALKS));
    // Walks in which nothing is refused would show nothing.
    expect(refused).toBeGreaterThan(samples(WALKS) / 4);
  });
});
