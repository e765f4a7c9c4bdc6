import * as messages from '@/language/files';
import { RECORD_TABLES } from '@/core/records/kinds';
import type { Counts } from '@/store/repository';
import { recordCount } from '@/words/recordText';

/** Choice that counts the changes since everything was last exported. */
export const CHANGES_SINCE_EXPORT = 'changesSinceExport';

/** "13 shots, 1 outing, 3 log entries and 17 things of the kit" */
export function countsText(counts: Counts): string {
  const each = RECORD_TABLES.map((table) => recordCount(table, counts[table]));
  return messages.and({ each: each.slice(0, -1).join(', '), each2: each.at(-1) ?? '' });
}
