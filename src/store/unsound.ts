import type { Fault } from '@/core/schema/fault';
import { RECORD_TABLES, recordChecks } from '@/core/records/kinds';
import type { RecordTable } from '@/core/records/kinds';
import type { Queries } from './queries';
import { recordText } from '@/words/recordText';

/** A kept record that its schema does not take, or one that is asked for by its id. */
export interface Unsound {
  table: RecordTable;
  id: string;
  name: string;
  record: unknown;
  /** Empty when it is whole and only asked for. */
  faults: readonly Fault[];
}

/** Every kept record that is not whole; where all are, those of the ids given. */
export async function unsoundRecords(queries: Queries, ids: ReadonlySet<string>): Promise<Unsound[]> {
  const checks = await recordChecks();
  const found: Unsound[] = [];
  const asked: Unsound[] = [];
  for (const table of RECORD_TABLES)
    for (const record of await queries.all(table)) {
      const read = checks[table](record);
      const one = { table, id: record.id, name: recordText(table, record), record };
      if (!read.ok) found.push({ ...one, faults: read.faults });
      else if (ids.has(record.id)) asked.push({ ...one, faults: [] });
    }
  return found.length > 0 ? found : asked;
}
