import { covers, joined, raised, removedId, withEdits } from '../records/edits';
import type { EditStamp } from '../records/edits';
import { RECORD_TABLES } from '../records/kinds';
import type { KeptRecord, RecordOf, Records, RecordTable } from '../records/kinds';
import type { Removed } from '../records/removed';
import type { NameCopy } from './conflicts';
import { settled } from './settle';
import type { MergedTable, Settled, MergeSide } from './settle';

/** What becomes of a record that a file holds. */
export type MergeOutcome =
  | 'alike'
  /** Not here before. */
  | 'added'
  /** The file's rests on the one here, and takes its place; or the other way round. */
  | 'theirs'
  | 'ours'
  /** Each was changed without the other. */
  | 'both'
  | 'united'
  | 'newestTheirs'
  | 'newestOurs'
  /** Removed there, and so here; removed here, and so it does not come back. */
  | 'goneThere'
  | 'goneHere'
  /** Removed on one side, changed on the other: it stays. */
  | 'stays'
  | 'comesBack';

/** What a person may want instead. */
export type MergeChoice = 'merge' | 'here' | 'there';

export interface MergeRow {
  table: MergedTable;
  id: string;
  outcome: MergeOutcome;
  here: MergeSide;
  there: MergeSide;
  settled: Settled;
}

/** One record as it was here and as it will be; `null` where there was, or will be, none. */
export type MergedRecord = {
  [T in RecordTable]: { table: T; before: RecordOf<T> | null; after: RecordOf<T> | null };
}[RecordTable];

const MERGED = RECORD_TABLES.filter((table): table is MergedTable => table !== 'removed');

/** What becomes of every record that a file holds or knows to be removed, held against those here. */
export function compared(here: Records, there: Records, name: NameCopy): MergeRow[] {
  const [goneHere, goneThere] = [byId(here.removed), byId(there.removed)];
  return MERGED.flatMap((table) => rowsOf(table, here, there, goneHere, goneThere, name));
}

function rowsOf(
  table: MergedTable,
  here: Records,
  there: Records,
  goneHere: ReadonlyMap<string, Removed>,
  goneThere: ReadonlyMap<string, Removed>,
  name: NameCopy,
): MergeRow[] {
  const [ownHere, ownThere] = [byId<KeptRecord>(here[table]), byId<KeptRecord>(there[table])];
  const start = removedId(table, '');
  const ids = new Set([
    ...ownThere.keys(),
    ...[...goneThere.keys()].flatMap((id) => (id.startsWith(start) ? [id.slice(start.length)] : [])),
  ]);
  const sideOf = (
    own: ReadonlyMap<string, KeptRecord>,
    gone: ReadonlyMap<string, Removed>,
    id: string,
  ): MergeSide => {
    const record = own.get(id) ?? null;
    return { record, gone: record ? null : (gone.get(removedId(table, id)) ?? null) };
  };
  return [...ids].map((id) => {
    const [one, other] = [sideOf(ownHere, goneHere, id), sideOf(ownThere, goneThere, id)];
    const done = settled(table, one, other, name);
    return { table, id, outcome: outcomeOf(one, other, done), here: one, there: other, settled: done };
  });
}

function outcomeOf(here: MergeSide, there: MergeSide, { how }: Settled): MergeOutcome {
  if (how === 'newestFirst') return 'newestOurs';
  if (how === 'newestSecond') return 'newestTheirs';
  if (how !== 'first' && how !== 'second') return how;
  if (here.record && there.record) return how === 'first' ? 'ours' : 'theirs';
  if (here.record) {
    if (how === 'second') return 'goneThere';
    return covers(here.record.edits, there.gone?.edits) ? 'ours' : 'stays';
  }
  if (!there.record) return 'alike';
  if (how === 'first') return 'goneHere';
  if (!here.gone) return 'added';
  return covers(there.record.edits, here.gone.edits) ? 'theirs' : 'comesBack';
}

/**
 * What is written when rows are merged as they are chosen. A choice against the merge is an edit of this device, so that
 * it holds when the two meet again.
 */
export function placed(
  rows: readonly MergeRow[],
  here: Records,
  choiceOf: (row: MergeRow) => MergeChoice,
  stamp: EditStamp,
): MergedRecord[] {
  const there = new Map(
    MERGED.map((table) => [table, new Set<string>(here[table].map(({ id }: KeptRecord) => id))]),
  );
  for (const { table, id } of rows) there.get(table)?.add(id);
  const gone = byId(here.removed);
  return rows.flatMap((row) => {
    const choice = choiceOf(row);
    const { table, id } = row;
    const stands = choice === 'merge' ? row.settled.stands : decided(row, choice, stamp);
    const { beside } = row.settled;
    const taken = beside ? there.get(table)?.has(beside.id) || gone.has(removedId(table, beside.id)) : true;
    return [
      change(table, row.here.record, stands.record),
      change('removed', gone.get(removedId(table, id)) ?? null, stands.gone),
      ...(choice === 'merge' && beside && !taken ? [change(table, null, beside)] : []),
    ].filter(({ before, after }) => JSON.stringify(before) !== JSON.stringify(after));
  });
}

/** One side as the person wants it: what they leave out that was never here is not thought of again. */
function decided(row: MergeRow, choice: 'here' | 'there', stamp: EditStamp): MergeSide {
  const wanted = row[choice];
  const other = row[choice === 'here' ? 'there' : 'here'];
  if (!wanted.record && !wanted.gone) return wanted;
  const seen = raised(
    joined((wanted.record ?? wanted.gone)?.edits, (other.record ?? other.gone)?.edits),
    stamp,
  );
  return {
    record: wanted.record && withEdits(wanted.record, seen),
    gone: wanted.gone && withEdits(wanted.gone, seen),
  };
}

function change(table: RecordTable, before: KeptRecord | null, after: KeptRecord | null): MergedRecord {
  return { table, before, after } as MergedRecord;
}

/** Without a choice against the merge nothing is stamped. */
const NO_STAMP: EditStamp = { device: '', count: 0 };

/** Everything of both, changed apart or not: what two devices come to that hand over to each other. */
export function merged(here: Records, there: Records, name: NameCopy): Records {
  const result = Object.fromEntries(
    RECORD_TABLES.map((table) => [table, byId<KeptRecord>(here[table])]),
  ) as Record<RecordTable, Map<string, KeptRecord>>;
  for (const { table, before, after } of placed(compared(here, there, name), here, () => 'merge', NO_STAMP)) {
    if (after) result[table].set(after.id, after);
    else if (before) result[table].delete(before.id);
  }
  return Object.fromEntries(
    RECORD_TABLES.map((table) => [table, [...result[table].values()]]),
  ) as unknown as Records;
}

function byId<R extends KeptRecord>(records: readonly R[]): Map<string, R> {
  return new Map(records.map((record) => [record.id, record]));
}
