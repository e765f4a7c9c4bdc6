import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { readBackup } from '@/core/records/backup';
import { backupTexts } from '@/core/records/backupTexts';
import { noRecords, RECORD_KINDS, RECORD_TABLES } from '@/core/records/kinds';
import type { KeptRecord, RecordTable, Records } from '@/core/records/kinds';
import { MOST_ANSWERS, withNewest } from '@/core/records/newest';
import { FILE_VERSION } from '@/core/schema/versions';
import { openDatabase } from './database';
import { merge } from './merging';
import { RefusedWrite } from './refusedWrite';
import { Repository } from './repository';
import { sampling } from '../../testing/samples';

const AT = '2026-10-01T08:00:00Z';
const demo = makeDemo();
const stamps = { version: FILE_VERSION, createdAt: AT, updatedAt: AT, demo: false };
const first: { [T in RecordTable]: (id: string) => object } = {
  shots: (id) => ({ ...demo.shots[0], id }),
  outings: (id) => ({ ...demo.outings[0], id }),
  log: (id) => ({ ...demo.log[0], id }),
  kit: (id) => ({ ...demo.kit[0], id }),
  clips: (id) => ({ ...demo.clips[0], frames: [], curves: null, id }),
  prices: (id) => ({ ...stamps, kind: 'lynxeye/price', id, price: 1 }),
  learned: (id) => ({
    ...stamps,
    kind: 'lynxeye/learned-figure',
    id,
    decided: 'taken',
    learned: { figure: { of: 'lateness' }, usual: 0, off: 1, spread: 1, from: 3 },
  }),
  eye: () => ({ ...stamps, kind: 'lynxeye/own-eye', id: 'mine', answers: [], weights: null }),
  practised: () => ({ ...stamps, kind: 'lynxeye/practised', id: 'mine', tried: [] }),
  measured: (id) => ({
    ...stamps,
    kind: 'lynxeye/measured',
    id,
    of: { shotId: 'demo-01' },
    by: 'phone',
    figure: { is: 'level', tiltDeg: 1, pitchDeg: 0, unsteadyDeg: 0.1 },
  }),
  removed: (id) => ({
    kind: 'lynxeye/removed',
    version: FILE_VERSION,
    id: `shots/${id}`,
    at: new Date(Date.parse(AT) + Number(id.slice(1)) * 1000).toISOString(),
    edits: { other: 1 },
  }),
};
const some = (table: RecordTable, from: number, count: number): Records => ({
  ...noRecords(),
  [table]: Array.from({ length: count }, (_, at) => first[table](`n${from + at}`) as KeptRecord),
});

const BOUND = 6;
const real = new Map(RECORD_TABLES.map((table) => [table, RECORD_KINDS[table].most]));
const bound = (most: (table: RecordTable) => number): void => {
  for (const table of RECORD_TABLES) (RECORD_KINDS[table] as { most: number }).most = most(table);
};
beforeEach(() => bound((table) => Math.min(BOUND, real.get(table)!)));
afterEach(() => bound((table) => real.get(table)!));

let count = 0;
const opened = (): Repository => {
  const at = ++count;
  return new Repository(openDatabase(`bounds-${at}`), {
    tab: 'this',
    device: 'this',
    newCounter: () => `this${++count}`,
    now: () => new Date(Date.parse(AT) + ++count * 1000),
    newId: () => `id-${++count}`,
  });
};
/** What is kept goes out and comes back whole. */
async function readBack(repository: Repository): Promise<Records> {
  const [text, ...more] = backupTexts(await repository.backup());
  expect(more).toEqual([]);
  const read = await readBackup(JSON.parse(text!));
  if (!read.ok) throw new Error(JSON.stringify(read.faults.slice(0, 3)));
  return read.records;
}
const refusedOr = (done: Promise<unknown>): Promise<unknown> =>
  done.catch((error: unknown) => {
    if (!(error instanceof RefusedWrite)) throw error;
  });

describe('a store as full as a file may be', () => {
  it('can be read back, whatever came in by whichever way', async () => {
    const way = fc.record({
      table: fc.constantFrom(...RECORD_TABLES),
      how: fc.constantFrom(
        'file' as const,
        'made' as const,
        'removed' as const,
        'undo' as const,
        'redo' as const,
      ),
      from: fc.nat(20),
      number: fc.integer({ min: 1, max: BOUND }),
    });
    let full = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(way, { minLength: 4, maxLength: 14 }), async (ways) => {
        const repository = opened();
        for (const { table, how, from, number } of ways) {
          const records = some(table, from, number);
          const own = (records[table] as KeptRecord[]).slice(0, real.get(table));
          if (how === 'file') await refusedOr(merge(repository, { ...records, [table]: own }));
          else if (how === 'undo') await refusedOr(repository.history.undo());
          else if (how === 'redo') await refusedOr(repository.history.redo());
          else if (table !== 'removed')
            for (const one of own) {
              if (how === 'removed') await repository.remove(table, one.id, 'remove');
              else await refusedOr(repository.keep(table, one.id, 'keep', () => one as never));
            }
        }
        const kept = await repository.queries.everything();
        for (const table of RECORD_TABLES) {
          expect(kept[table].length, table).toBeLessThanOrEqual(RECORD_KINDS[table].most);
          if (kept[table].length === RECORD_KINDS[table].most) full += 1;
        }
        expect(await readBack(repository)).toEqual(kept);
        await repository.database.delete();
      }),
      sampling(200, 11),
    );
    expect(full).toBeGreaterThan(10);
  });

  it('takes no more of a kind, says so, and keeps what it had', async () => {
    bound((table) => real.get(table)!);
    const repository = opened();
    await merge(repository, some('prices', 0, 300));
    const more = merge(repository, some('prices', 300, 300));
    await expect(more).rejects.toMatchObject({
      faults: [{ problem: { code: 'full', table: 'prices', most: 500 } }],
    });
    expect((await readBack(repository)).prices).toHaveLength(300);
    await merge(repository, some('prices', 300, 200));
    expect((await readBack(repository)).prices).toHaveLength(500);
    await repository.database.delete();
  });

  it('lets the oldest notes of removals go, and undo brings them back', async () => {
    const repository = opened();
    await merge(repository, some('removed', 0, BOUND));
    await merge(repository, some('removed', 100, 3));
    const ids = async (): Promise<string[]> =>
      (await readBack(repository)).removed.map(({ id }) => id).sort();
    expect(await ids()).toEqual(['shots/n100', 'shots/n101', 'shots/n102', 'shots/n4', 'shots/n5']);
    await repository.history.undo();
    expect(await ids()).toEqual(Array.from({ length: BOUND }, (_, at) => `shots/n${at}`));
    await repository.database.delete();
  });

  it('offers what there is room for of a file that holds more', async () => {
    const all = { ...noRecords(), ...some('prices', 0, BOUND + 2), removed: some('removed', 0, 9).removed };
    const read = await readBackup({ kind: 'lynxeye/backup', version: FILE_VERSION, exportedAt: AT, ...all });
    if (read.ok) throw new Error('it was taken');
    expect(read.faults).toEqual([
      { path: 'prices', problem: { code: 'bound', is: 'atMost', bound: BOUND, of: 'entries' } },
    ]);
    expect([read.sound?.prices.length, read.sound?.removed.length, read.faulty.length]).toEqual([
      BOUND,
      5,
      2,
    ]);
  });
});

describe('own eye and practice', () => {
  it('go on at their bound, the newest kept', () => {
    const more = withNewest(
      Array.from({ length: MOST_ANSWERS }, (_, at) => at),
      MOST_ANSWERS,
      MOST_ANSWERS,
    );
    expect([more.length, more[0], more.at(-1)]).toEqual([MOST_ANSWERS, 1, MOST_ANSWERS]);
  });
});
