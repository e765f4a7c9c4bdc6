import { joined, raised, removedId, withEdits } from '@/core/records/edits';
import type { Removed } from '@/core/records/removed';
import type { KeptRecord, RecordTable } from '@/core/records/kinds';
import { FILE_VERSION } from '@/core/schema/versions';
import { omit } from '@/core/units/omit';
import { contentOf } from '@/core/records/content';
import { countedOn } from '@/core/records/verdictTurns';
import type { Judged } from '@/core/records/verdictTurns';
import { nextStamp } from './counting';
import type { Database } from './database';
import { idOf } from './step';
import type { RecordChange } from './step';

/** When, and what a device that counts its edits anew calls itself. */
interface Stamping {
  at: Date;
  newName: () => string;
}

/**
 * Changes as they are written: what is changed has seen one edit more of this device, and what is removed leaves a note of
 * it, so that another copy does not bring it back unasked.
 */
export async function stamped(
  kept: Database,
  changes: readonly RecordChange[],
  { at, newName }: Stamping,
): Promise<{ changes: RecordChange[]; notes: RecordChange[] }> {
  const ids = changes.map((change) => removedId(change.table, idOf(change)));
  const old = await kept.removed.bulkGet(ids);
  const seenOf = changes.map(({ before, after }: Sides, index) =>
    joined(before?.edits, after?.edits, old[index]?.edits),
  );
  const stamp = await nextStamp(kept, seenOf, newName);
  const notes: RecordChange[] = [];
  const written = changes.map((change, index): RecordChange => {
    const { table, derived } = change;
    const { before, after }: Sides = change;
    const note = old[index] ?? null;
    const seen = derived ? seenOf[index] : raised(seenOf[index], stamp);
    if (after) {
      if (note) notes.push({ table: 'removed', before: note, after: null });
      return { ...change, after: withEdits(later(before, countedOn(before, after)), seen) } as RecordChange;
    }
    const own = before ? ownerOf(table, before) : undefined;
    const gone: Removed = {
      kind: 'lynxeye/removed',
      version: FILE_VERSION,
      id: ids[index] ?? '',
      at: at.toISOString(),
      ...(own === undefined ? {} : { of: own }),
      edits: seen ?? {},
    };
    notes.push({ table: 'removed', before: note, after: gone });
    return change;
  });
  return { changes: written, notes };
}

/** The last instant that a record can carry, milliseconds since 1970. */
const LAST_MS = Date.UTC(2199, 11, 31);

interface Sides {
  before: KeptRecord | null;
  after: KeptRecord | null;
}

/** What rests on a record is later than it, even by a clock that was set back: the later of two copies then never rests on the other. */
function later(before: KeptRecord | null, after: KeptRecord): KeptRecord {
  if (!before || !('updatedAt' in before) || !('updatedAt' in after)) return after;
  const [was, is] = [Date.parse(String(before.updatedAt)), Date.parse(String(after.updatedAt))];
  const at = Math.min(was + 1, LAST_MS);
  return is > was ? after : ({ ...after, updatedAt: new Date(at).toISOString() } as KeptRecord);
}

/** The record that a recording or a clip belongs to. */
function ownerOf(table: RecordTable, record: object): string | undefined {
  const key = table === 'log' ? 'shotId' : table === 'clips' ? 'outingId' : null;
  if (key === null) return undefined;
  const owner: unknown = Reflect.get(record, key);
  return typeof owner === 'string' ? owner : undefined;
}

/** Whether two records say the same, whoever changed them when and how often. */
export function saysTheSame(one: object | null, other: object | null): boolean {
  const bare = (record: object | null): string => (record ? contentOf(omit(record as Judged, 'turns')) : '');
  return bare(one) === bare(other);
}
