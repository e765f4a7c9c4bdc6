import { recordName } from '@/core/records/kinds';
import type { RecordTable } from '@/core/records/kinds';
import * as messages from '@/language/words/record';

/** What one record of a kind is called in a sentence. */
export const RECORD_LABEL: Record<RecordTable, string> = messages.one;

/** "13 shots" */
export function recordCount(table: RecordTable, count: number): string {
  return messages.counted[table]({ count });
}

/** "a shot without a name" */
export function unnamedText(table: RecordTable): string {
  return messages.withoutAName[table];
}

/** What a person calls this record, or that it is one without a name. */
export function recordText(table: RecordTable, record: unknown): string {
  return recordName(table, record) ?? unnamedText(table);
}
