import * as z from 'zod';
import { checkFile } from '../schema/checkFile';
import { checkAgainst } from '../schema/faults';
import { faultsUnder } from '../schema/fault';
import type { Fault } from '../schema/fault';
import { FileVersion } from '../schema/fileVersion';
import { upToDate } from '../schema/versions';
import type { FILE_VERSION } from '../schema/versions';
import { noRecords, RECORD_KINDS, RECORD_TABLES, recordName, recordSchemas } from './kinds';
import type { KeptRecord, Records, RecordTable } from './kinds';
import { notesThatStay } from './removalNotes';
import { InstantSchema } from '../schema/times';

/** Everything a person keeps, in one file: a list for each kind of record. A kind that a file does not name has none. */
export type Backup = {
  kind: 'lynxeye/backup';
  version: typeof FILE_VERSION;
  exportedAt: string;
} & Records;

const head = {
  kind: z.literal('lynxeye/backup'),
  version: FileVersion,
  exportedAt: InstantSchema,
};

function listsOf(itemOf: (table: keyof Records) => z.ZodType): Record<string, z.ZodType> {
  return Object.fromEntries(
    RECORD_TABLES.map((table) => [table, z.array(itemOf(table)).max(RECORD_KINDS[table].most).default([])]),
  );
}

/** The whole file as a schema, for those who write it elsewhere. */
export async function backupSchema(): Promise<z.ZodType> {
  const schemas = await recordSchemas();
  return z.strictObject({ ...head, ...listsOf((table) => schemas[table]) });
}

/** Of a list that is too long, what there is room for is sound: it is counted record by record. */
const Frame = z.strictObject({
  ...head,
  ...Object.fromEntries(RECORD_TABLES.map((table) => [table, z.array(z.unknown()).default([])])),
});

/** How many records were looked at, of how many. */
export interface ReadProgress {
  done: number;
  total: number;
}
type OnProgress = (progress: ReadProgress) => void;
const TELL_EVERY = 500;

/** A record that is not whole; `null` where nobody named it. */
interface Faulty {
  table: RecordTable;
  name: string | null;
}

/** Records read one by one: those that are whole, and the faults of the others. */
export type RecordsRead =
  | { ok: true; records: Records }
  | {
      ok: false;
      faults: Fault[];
      /** What can be taken all the same; `null` when the file as a whole is not understood, or nothing in it is whole. */
      sound: Records | null;
      /** What is not whole, by table and name. */
      faulty: Faulty[];
    };

/** Checks a whole backup, record by record, and that no id stands twice. Never throws. */
export async function readBackup(input: unknown, onProgress?: OnProgress): Promise<RecordsRead> {
  const frame = checkFile(Frame, input);
  if (!frame.ok) return { ok: false, faults: frame.faults, sound: null, faulty: [] };
  return readRecords(frame.value as unknown as Record<keyof Records, readonly unknown[]>, onProgress);
}

/** Checks lists of records; an id that stands twice is a fault of the second. */
export async function readRecords(
  lists: Partial<Record<keyof Records, readonly unknown[]>>,
  onProgress: OnProgress = () => undefined,
): Promise<RecordsRead> {
  const total = RECORD_TABLES.reduce((sum, table) => sum + (lists[table]?.length ?? 0), 0);
  let done = 0;
  const schemas = await recordSchemas();
  const records: Record<keyof Records, KeptRecord[]> = noRecords();
  const faults: Fault[] = [];
  const faulty: Faulty[] = [];
  for (const table of RECORD_TABLES) {
    const seen = new Set<string>();
    // Notes of removals that are too many let the oldest go, as in the store.
    const most = table === 'removed' ? Infinity : RECORD_KINDS[table].most;
    const list = lists[table] ?? [];
    if (list.length > most)
      faults.push({ path: table, problem: { code: 'bound', is: 'atMost', bound: most, of: 'entries' } });
    list.forEach((item, index) => {
      done += 1;
      if (done % TELL_EVERY === 0) onProgress({ done, total });
      if (index >= most) {
        faulty.push({ table, name: recordName(table, item) });
        return;
      }
      const read = checkAgainst<z.ZodType<KeptRecord>>(schemas[table], upToDate(item));
      const own: Fault[] = !read.ok
        ? read.faults
        : seen.has(read.value.id)
          ? [{ path: 'id', problem: { code: 'standsTwice', id: read.value.id } }]
          : [];
      if (read.ok && own.length === 0) {
        seen.add(read.value.id);
        records[table].push(read.value);
      } else {
        faults.push(...faultsUnder(`${table}[${index}]`, own));
        faulty.push({ table, name: recordName(table, item) });
      }
    });
  }
  const removed = notesThatStay((records as Records).removed, RECORD_KINDS.removed.most);
  records.removed = [...removed];
  if (faults.length === 0) return { ok: true, records: records as Records };
  const some = RECORD_TABLES.some((table) => records[table].length > 0);
  return { ok: false, faults, sound: some ? (records as Records) : null, faulty };
}
