import type { NameCopy } from '@/core/merge/conflicts';
import { compared, placed } from '@/core/merge/merge';
import type { MergeChoice, MergedRecord, MergeRow } from '@/core/merge/merge';
import { noRecords, RECORD_TABLES, recordChecks } from '@/core/records/kinds';
import type { KeptRecord, Records, RecordTable } from '@/core/records/kinds';
import { removedId } from '@/core/records/edits';
import { asInKit } from '@/core/records/kitCamera';
import type { Thing } from '@/core/records/kitItem';
import * as messages from '@/language/store';
import { besideName } from '@/words/newNames';
import { nextStamp } from './counting';
import type { Database } from './database';
import type { Repository } from './repository';
import { idOf } from './step';
import type { RecordChange } from './step';

type Checks = Awaited<ReturnType<typeof recordChecks>>;

/** Record ids by table. */
type Ids = Record<RecordTable, string[]>;

const NAME: NameCopy = besideName;

/** What would become of each record of a file, held against what is kept here; nothing is written. */
export async function mergePlan({ database }: Repository, there: Records): Promise<MergeRow[]> {
  const checks = await recordChecks();
  return database.transaction('r', RECORD_TABLES, async () =>
    compared(await keptOf(database, idsOf(there), checks), there, NAME),
  );
}

/**
 * Takes checked records in, each as the merge or the person has it; what is kept meanwhile is read anew. One step of undo.
 * Gives what became of each.
 */
export async function merge(
  repository: Repository,
  there: Records,
  choiceOf: (row: MergeRow) => MergeChoice = () => 'merge',
  label: string = messages.importAFile,
): Promise<MergeRow[]> {
  const checks = await recordChecks();
  let rows: MergeRow[] = [];
  await repository.history.commitExactly(label, async (kept) => {
    const here = await keptOf(kept, idsOf(there), checks);
    rows = compared(here, there, NAME);
    const copies = await keptOf(kept, besides(rows), checks);
    for (const table of RECORD_TABLES) (here[table] as KeptRecord[]).push(...copies[table]);
    const seen = rows.flatMap(({ here: one, there: other }) =>
      [one, other].map(({ record, gone }) => (record ?? gone)?.edits),
    );
    const stamp = await nextStamp(kept, seen, repository.newCounter);
    return followed(kept, rows, placed(rows, here, choiceOf, stamp));
  });
  return rows;
}

/** What is placed; where the file and what is kept here had a thing of the kit each its own way, shots carry it as it then stands. */
async function followed(
  kept: Database,
  rows: readonly MergeRow[],
  placing: readonly MergedRecord[],
): Promise<RecordChange[]> {
  const apart = new Set(
    rows.flatMap(({ table, id, outcome, here, there }) =>
      table === 'kit' && outcome !== 'alike' && here.record && there.record ? [id] : [],
    ),
  );
  if (apart.size === 0) return [...placing];
  const placed = new Map(placing.map((one) => [removedId(one.table, idOf(one)), one]));
  const things = (await kept.kit.bulkGet([...apart])).flatMap((item): Thing[] => {
    const change = item && placed.get(removedId('kit', item.id));
    const stands = change?.table === 'kit' ? change.after : item;
    return stands ? [stands.thing] : [];
  });
  const following = (await kept.shots.toArray()).flatMap((before): RecordChange[] => {
    const shot = asInKit(before.shot, things);
    return shot === before.shot || placed.has(removedId('shots', before.id))
      ? []
      : [{ table: 'shots', before, after: { ...before, shot }, derived: true }];
  });
  return [
    ...placing.map((one) =>
      one.table === 'shots' && one.after
        ? { ...one, after: { ...one.after, shot: asInKit(one.after.shot, things) } }
        : one,
    ),
    ...following,
  ];
}

/** The ids that a file speaks of, and those under which it would be noted that they were removed. */
function idsOf(there: Records): Ids {
  const ids = Object.fromEntries(
    RECORD_TABLES.map((table) => [table, there[table].map(({ id }: KeptRecord) => id)]),
  ) as Ids;
  for (const { id } of there.removed) {
    const table = RECORD_TABLES.find((one) => id.startsWith(`${one}/`));
    if (table) ids[table].push(id.slice(table.length + 1));
  }
  for (const table of RECORD_TABLES)
    if (table !== 'removed') ids.removed.push(...ids[table].map((id) => removedId(table, id)));
  return ids;
}

/** Ids of the copies that would be kept beside. */
function besides(rows: readonly MergeRow[]): Ids {
  const ids = Object.fromEntries(RECORD_TABLES.map((table) => [table, [] as string[]])) as Ids;
  for (const { table, settled } of rows)
    if (settled.beside) {
      ids[table].push(settled.beside.id);
      ids.removed.push(removedId(table, settled.beside.id));
    }
  return ids;
}

/** Records kept under these ids, as their schemas have them today: a default that came later is no difference. */
async function keptOf(kept: Database, ids: Ids, checks: Checks): Promise<Records> {
  const here: Record<RecordTable, KeptRecord[]> = noRecords();
  for (const table of RECORD_TABLES) {
    const found = await kept.table<KeptRecord, string>(table).bulkGet([...new Set(ids[table])]);
    here[table] = found.flatMap((record) => {
      if (!record) return [];
      const read = checks[table](record);
      return [read.ok ? read.value : record];
    });
  }
  return here as Records;
}
