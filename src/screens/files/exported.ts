import * as messages from '@/language/files';
import { RECORD_TABLES } from '@/core/records/kinds';
import type { Counts } from '@/store/wholeStore';
import { recordCount } from '@/words/recordText';

/** Choice that counts the changes since everything was last exported. */
export const CHANGES_SINCE_EXPORT = 'changesSinceExport';

/** "13 shots, 1 outing, 3 log entries and 17 things of the kit": what there is none of is not told. */
export function countsText(counts: Counts): string {
  const each = RECORD_TABLES.filter((table) => counts[table] > 0).map((table) =>
    recordCount(table, counts[table]),
  );
  const last = each.at(-1) ?? recordCount('shots', 0);
  return each.length < 2 ? last : messages.and({ each: each.slice(0, -1).join(', '), each2: last });
}
