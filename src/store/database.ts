import Dexie from 'dexie';
import type { EntityTable, Table } from 'dexie';
import { upToDate } from '@/core/schema/versions';
import { RECORD_KINDS, RECORD_TABLES } from '@/core/records/kinds';
import type { RecordOf, RecordTable } from '@/core/records/kinds';
import type { Step } from './step';

/** One remembered choice of the person or of the app: theme, notation, whether the demo was ever loaded. */
export interface KeptChoice {
  key: string;
  value: string;
}

/** A folder the person picked, as the browser lets a page keep it. */
interface KeptHandle {
  key: string;
  folder: FileSystemDirectoryHandle;
}

export type Database = Dexie & { [T in RecordTable]: EntityTable<RecordOf<T>, 'id'> } & {
  choices: EntityTable<KeptChoice, 'key'>;
  handles: EntityTable<KeptHandle, 'key'>;
  steps: Table<Step, number, Step>;
};

/** Tables that are not the person's records: they are not exported. */
const OWN_TABLES = {
  choices: { indexes: 'key', since: 1 },
  handles: { indexes: 'key', since: 4 },
  // oxlint-disable-next-line catalogue/no-sentence -- Indexes.
  steps: { indexes: '++at, tab', since: 5 },
} as const;

/** Version of the database. Each that was released stands by the tables it brought; those are never edited. */
export const DATABASE_VERSION = 10;

/** Versions from which on records are as a later version of the files has them: the second, the third. */
const RECORDS_UP_TO_DATE: readonly number[] = [5, 10];

export function openDatabase(name = 'lynxeye'): Database {
  const database = new Dexie(name) as Database;
  const tables = Object.entries({ ...RECORD_KINDS, ...OWN_TABLES });
  for (let version = 1; version <= DATABASE_VERSION; version++) {
    const brought = tables.filter(([, { since }]) => since === version);
    const declared = database
      .version(version)
      .stores(Object.fromEntries(brought.map(([table, { indexes }]) => [table, indexes])));
    if (RECORDS_UP_TO_DATE.includes(version))
      declared.upgrade(async (transaction) => {
        // Tables that came later had nothing in them to bring up to date; what undo brings back is kept in steps.
        const since = { ...RECORD_KINDS, steps: OWN_TABLES.steps };
        for (const table of [...RECORD_TABLES, 'steps' as const].filter((one) => since[one].since < version))
          await transaction
            .table(table)
            .toCollection()
            .modify((record, place) => {
              place.value = upToDate(record);
            });
      });
  }
  return database;
}
