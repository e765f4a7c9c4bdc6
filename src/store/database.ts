import Dexie from 'dexie';
import type { EntityTable, Table } from 'dexie';
import { upToDate } from '@/core/schema/versions';
import { RECORD_KINDS, RECORD_TABLES } from '@/core/records/kinds';
import type { RecordOf, RecordTable } from '@/core/records/kinds';
import type { Step } from './step';

/** One remembered choice of the person or of the app: theme, notation, whether the demo was ever loaded. */
export interface Choice {
  key: string;
  value: string;
}

/** A folder the person picked, as the browser lets a page keep it. */
interface KeptHandle {
  key: string;
  folder: FileSystemDirectoryHandle;
}

export type Database = Dexie & { [T in RecordTable]: EntityTable<RecordOf<T>, 'id'> } & {
  choices: EntityTable<Choice, 'key'>;
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
export const DATABASE_VERSION = 9;

/** From this version on records are as version 2 of the files has them. */
const RECORDS_OF_VERSION_2 = 5;

export function openDatabase(name = 'lynxeye'): Database {
  const database = new Dexie(name) as Database;
  const tables = Object.entries({ ...RECORD_KINDS, ...OWN_TABLES });
  for (let version = 1; version <= DATABASE_VERSION; version++) {
    const brought = tables.filter(([, { since }]) => since === version);
    const declared = database
      .version(version)
      .stores(Object.fromEntries(brought.map(([table, { indexes }]) => [table, indexes])));
    if (version === RECORDS_OF_VERSION_2)
      declared.upgrade(async (transaction) => {
        // Tables that came later had nothing in them to bring up to date.
        for (const table of RECORD_TABLES.filter((one) => RECORD_KINDS[one].since <= version))
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
