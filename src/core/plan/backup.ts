import * as z from 'zod';
import { checkAgainst } from './faults';
import type { Checked } from './faults';
import { KitItemSchema } from './kitItem';
import { LogEntrySchema } from './logEntry';
import { OutingSchema } from './outing';
import { ShotRecordSchema } from './shotRecord';

/** Everything a person keeps, in one file, version 1. */
export const BackupSchema = z.strictObject({
  kind: z.literal('lynxeye/backup'),
  version: z.literal(1),
  exportedAt: z.iso.datetime({ offset: true }),
  shots: z.array(ShotRecordSchema).max(20_000),
  log: z.array(LogEntrySchema).max(100_000),
  /** Files written before the kit was kept have none. */
  kit: z.array(KitItemSchema).max(5000).default([]),
  /** Nor had the first files any outings. */
  outings: z.array(OutingSchema).max(2000).default([]),
});

export type Backup = z.output<typeof BackupSchema>;

/** Checks a whole backup: the schema, and that no id stands twice. Nothing is written before this says yes. */
export function readBackup(input: unknown): Checked<Backup> {
  const checked = checkAgainst(BackupSchema, input);
  if (!checked.ok) return checked;
  const faults = [
    ...twice('shots', checked.value.shots),
    ...twice('log', checked.value.log),
    ...twice('kit', checked.value.kit),
    ...twice('outings', checked.value.outings),
  ];
  return faults.length > 0 ? { ok: false, faults } : checked;
}

function twice(list: string, records: readonly { id: string }[]): { path: string; text: string }[] {
  const seen = new Set<string>();
  return records.flatMap(({ id }, index) => {
    if (!seen.has(id)) {
      seen.add(id);
      return [];
    }
    return [{ path: `${list}[${index}].id`, text: `"${id}" stands twice` }];
  });
}
