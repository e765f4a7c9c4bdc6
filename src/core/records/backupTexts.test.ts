import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { readBackup } from './backup';
import { backupOf, backupTexts } from './backupTexts';
import { noRecords, RECORD_TABLES } from './kinds';

describe('everything kept, as files', () => {
  it('stands in one, or in several that are each read and together the whole', async () => {
    const backup = backupOf(makeDemo(), '2026-10-01T08:00:00Z');
    expect(backupTexts(backup)).toEqual([JSON.stringify(backup, null, 2)]);
    const most = Buffer.byteLength(JSON.stringify(backup)) / 7;
    const texts = backupTexts(backup, most);
    expect(texts.length).toBeGreaterThan(6);
    const together = noRecords();
    for (const text of texts) {
      expect(Buffer.byteLength(text)).toBeLessThan(most);
      const read = await readBackup(JSON.parse(text));
      if (!read.ok) throw new Error(JSON.stringify(read.faults));
      for (const table of RECORD_TABLES) (together[table] as unknown[]).push(...read.records[table]);
    }
    const whole = await readBackup(JSON.parse(JSON.stringify(backup)));
    expect(together).toEqual(whole.ok && whole.records);
  });
});
