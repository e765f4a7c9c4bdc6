import { FILE_VERSION } from '../schema/versions';
import type { Backup } from './backup';
import { noRecords, RECORD_TABLES } from './kinds';
import type { KeptRecord, Records } from './kinds';

export function backupOf(records: Records, exportedAt: string): Backup {
  return { kind: 'lynxeye/backup', version: FILE_VERSION, exportedAt, ...records };
}

/** Larger files are not read, bytes. */
export const MOST_BYTES = 100_000_000;

/**
 * A backup as the texts of files that can each be read: one, or several where one would be too large, each with some of the
 * records. Taken in one after the other, in whatever order, they are the whole.
 */
export function backupTexts(backup: Backup, most = MOST_BYTES): string[] {
  const { kind, version, exportedAt } = backup;
  const parts: Records[] = [noRecords()];
  let bytes = 0;
  for (const table of RECORD_TABLES)
    for (const record of backup[table]) {
      // Indented by two, and by four within its list.
      const own = utf8Bytes(JSON.stringify([[record]], null, 2));
      if (bytes > 0 && bytes + own > most * WITHIN) {
        parts.push(noRecords());
        bytes = 0;
      }
      bytes += own;
      (parts.at(-1)?.[table] as KeptRecord[]).push(record);
    }
  return parts.map((records) => JSON.stringify({ kind, version, exportedAt, ...records }, null, 2));
}

/** Head and lists around the records take little. */
const WITHIN = 0.99;

/** Bytes of a text as UTF-8 (RFC 3629): half of a pair counts two of its four. */
function utf8Bytes(text: string): number {
  let bytes = 0;
  for (let at = 0; at < text.length; at += 1) {
    const unit = text.charCodeAt(at);
    bytes += unit < 0x80 ? 1 : unit < 0x800 || (unit >= 0xd800 && unit < 0xe000) ? 2 : 3;
  }
  return bytes;
}
