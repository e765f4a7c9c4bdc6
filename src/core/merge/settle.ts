import { covers, joined, withEdits } from '../records/edits';
import type { Edits } from '../records/edits';
import type { KeptRecord, RecordTable } from '../records/kinds';
import type { Removed } from '../records/removed';
import { CONFLICT_RULES } from './conflicts';
import type { ConflictRule, NameCopy } from './conflicts';
import { contentOf, fingerprint } from '../records/content';

export type MergedTable = Exclude<RecordTable, 'removed'>;

/** A record as one of two copies has it: there, removed, or never seen. */
export interface MergeSide {
  record: KeptRecord | null;
  gone: Removed | null;
}

/** How two copies are brought together. */
export type How =
  /** Both say the same, or neither has it. */
  | 'alike'
  /** One rests on the other, or the other never had it. */
  | 'first'
  | 'second'
  /** Changed apart: both are kept, */
  | 'both'
  /** or one says what both say, */
  | 'united'
  /** or the newest decision stands. */
  | 'newestFirst'
  | 'newestSecond';

export interface Settled {
  how: How;
  /** What stands under the id afterwards, */
  stands: MergeSide;
  /** and what is kept beside it. */
  beside: KeptRecord | null;
}

/** Brings two copies of one record together; the same whichever comes first, but for its name. Never loses an edit unsaid. */
export function settled(table: MergedTable, first: MergeSide, second: MergeSide, name: NameCopy): Settled {
  const seen = joined(editsOf(first), editsOf(second));
  const bySide = (side: MergeSide, how: How): Settled => ({ how, stands: stamped(side, seen), beside: null });
  if (isEmpty(first)) return bySide(second, isEmpty(second) ? 'alike' : 'second');
  if (isEmpty(second)) return bySide(first, 'first');
  if (!first.record || !second.record) {
    // What was changed by one who did not know that it was removed stays.
    if (!first.record && !second.record) return bySide(latestGone(first, second), 'alike');
    const [record, gone] = first.record ? [first, second] : [second, first];
    const winner = covers(editsOf(gone), editsOf(record)) ? gone : record;
    return bySide(winner, winner === first ? 'first' : 'second');
  }
  return ofTwo(table, first.record, second.record, seen, name);
}

function ofTwo(
  table: MergedTable,
  first: KeptRecord,
  second: KeptRecord,
  seen: Edits | undefined,
  name: NameCopy,
): Settled {
  const one = (record: KeptRecord, how: How, beside: KeptRecord | null = null): Settled => ({
    how,
    stands: { record: withEdits(record, seen), gone: null },
    beside,
  });
  const [contentA, contentB] = [contentOf(first), contentOf(second)];
  const firstIsNewer = isNewer(first, contentA, second, contentB);
  const [newer, older] = firstIsNewer ? [first, second] : [second, first];
  if (contentA === contentB) return one(newer, 'alike');
  const [firstKnows, secondKnows] = [covers(first.edits, second.edits), covers(second.edits, first.edits)];
  if (firstKnows !== secondKnows) return firstKnows ? one(first, 'first') : one(second, 'second');
  const { combined, asCopy } = CONFLICT_RULES[table] as unknown as ConflictRule;
  const both = combined?.(newer, older) ?? null;
  if (both) return one(both, 'united');
  if (!asCopy) return one(newer, firstIsNewer ? 'newestFirst' : 'newestSecond');
  // It follows from what it says alone, so that whoever brings the same two together keeps the same.
  const id = fingerprint(firstIsNewer ? contentB : contentA);
  return one(newer, 'both', withEdits(asCopy(older, id, name), undefined));
}

function isNewer(one: KeptRecord, contentOne: string, other: KeptRecord, contentOther: string): boolean {
  const [at, otherAt] = [changedAt(one), changedAt(other)];
  return at === otherAt ? contentOne >= contentOther : at > otherAt;
}

function changedAt(record: object): number {
  return 'updatedAt' in record && typeof record.updatedAt === 'string' ? Date.parse(record.updatedAt) : 0;
}

function isEmpty({ record, gone }: MergeSide): boolean {
  return record === null && gone === null;
}

function editsOf({ record, gone }: MergeSide): Edits | undefined {
  return (record ?? gone)?.edits;
}

function latestGone(first: MergeSide, second: MergeSide): MergeSide {
  const text = ({ gone }: MergeSide): string => `${gone?.at ?? ''} ${gone?.of ?? ''}`;
  return text(first) >= text(second) ? first : second;
}

/** As one who has seen both copies has it. */
function stamped({ record, gone }: MergeSide, seen: Edits | undefined): MergeSide {
  return { record: record && withEdits(record, seen), gone: gone && withEdits(gone, seen) };
}
