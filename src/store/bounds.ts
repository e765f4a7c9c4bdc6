import { RECORD_KINDS, RECORD_TABLES } from '@/core/records/kinds';
import { notesThatStay } from '@/core/records/removalNotes';
import { recordText } from '@/words/recordText';
import type { Database } from './database';
import { RefusedWrite } from './refusedWrite';
import type { RecordChange } from './step';

/**
 * Holds the tables that changes have written to what one file may hold of each kind, so that everything kept can be read
 * back: notes of removals make room for themselves, of everything else no more is taken. Gives the notes that go.
 * @throws {RefusedWrite} when there is no room
 */
export async function withinBounds(
  kept: Database,
  changes: readonly RecordChange[],
): Promise<RecordChange[]> {
  const added = changes.filter(({ before, after }) => before === null && after !== null);
  const gone: RecordChange[] = [];
  for (const table of RECORD_TABLES) {
    const last = added.findLast((change) => change.table === table);
    const { most } = RECORD_KINDS[table];
    if (!last || (await kept.table(table).count()) <= most) continue;
    if (table !== 'removed')
      throw new RefusedWrite(table, recordText(table, last.after), [
        { path: '', problem: { code: 'full', table, most } },
      ]);
    const notes = await kept.removed.toArray();
    const stay = new Set(notesThatStay(notes, most));
    for (const before of notes) if (!stay.has(before)) gone.push({ table, before, after: null });
  }
  return gone;
}
