import { joined, raised, withEdits } from '@/core/records/edits';
import { removedId } from '@/core/records/edits';
import type { Removed } from '@/core/records/removed';
import type { KeptRecord, RecordTable } from '@/core/records/kinds';
import { FILE_VERSION } from '@/core/schema/versions';
import { omit } from '@/core/units/omit';
import type { Database } from './database';
import type { RecordChange } from './step';

/** Who changes, and when. */
interface Stamp {
  device: string;
  at: Date;
}

/**
 * Changes as they are written: what is changed has seen one edit more of this device, and what is removed leaves a note of
 * it, so that another copy does not bring it back unasked.
 */
export async function stamped(
  kept: Database,
  changes: readonly RecordChange[],
  { device, at }: Stamp,
): Promise<{ changes: RecordChange[]; notes: RecordChange[] }> {
  const ids = changes.map((change) => removedId(change.table, idOf(change)));
  const old = await kept.removed.bulkGet(ids);
  const notes: RecordChange[] = [];
  const written = changes.map((change, index): RecordChange => {
    const { table } = change;
    const [before, after]: (KeptRecord | null)[] = [change.before, change.after];
    const note = old[index] ?? null;
    const seen = raised(joined(before?.edits, after?.edits, note?.edits), device);
    if (after) {
      if (note) notes.push({ table: 'removed', before: note, after: null });
      return { ...change, after: withEdits(after, seen) } as RecordChange;
    }
    const own = before ? ownerOf(table, before) : undefined;
    const gone: Removed = {
      kind: 'lynxeye/removed',
      version: FILE_VERSION,
      id: ids[index] ?? '',
      at: at.toISOString(),
      ...(own === undefined ? {} : { of: own }),
      edits: seen,
    };
    notes.push({ table: 'removed', before: note, after: gone });
    return change;
  });
  return { changes: written, notes };
}

/** The record that a recording or a clip belongs to. */
function ownerOf(table: RecordTable, record: object): string | undefined {
  const key = table === 'log' ? 'shotId' : table === 'clips' ? 'outingId' : null;
  if (key === null) return undefined;
  const owner: unknown = Reflect.get(record, key);
  return typeof owner === 'string' ? owner : undefined;
}

/** Whether two records say the same, whoever changed them how often. */
export function saysTheSame(one: object | null, other: object | null): boolean {
  const bare = (record: object | null): string =>
    JSON.stringify(record && omit(record as KeptRecord, 'edits'));
  return bare(one) === bare(other);
}

export function idOf(change: RecordChange): string {
  return (change.before ?? change.after)?.id ?? '';
}
