import * as messages from '@/language/files';
import { RECORD_KINDS, RECORD_TABLES } from '@/core/records/kinds';
import type { Counts } from '@/store/repository';

/** Choice that counts the changes since everything was last exported. */
export const CHANGES_SINCE_EXPORT = 'changesSinceExport';

/** "13 shots, 1 outing, 3 log entries and 17 things of the kit" */
export function countsText(counts: Counts): string {
  const each = RECORD_TABLES.map((table) => {
    const { one, many } = RECORD_KINDS[table];
    return `${counts[table]} ${counts[table] === 1 ? one : many}`;
  });
  return messages.and({ each: each.slice(0, -1).join(', '), each2: each.at(-1) ?? '' });
}
