import Dexie from 'dexie';
import type { EntityTable } from 'dexie';
import type { KitItem } from '@/core/plan/kitItem';
import type { LogEntry } from '@/core/plan/logEntry';
import type { Outing } from '@/core/plan/outing';
import type { ShotRecord } from '@/core/plan/shotRecord';

/** One remembered choice of the person or of the app: theme, notation, whether the demo was ever loaded. */
export interface Choice {
  key: string;
  value: string;
}

/** A folder the person picked, as the browser lets a page keep it. */
export interface KeptHandle {
  key: string;
  folder: FileSystemDirectoryHandle;
}

export type Database = Dexie & {
  shots: EntityTable<ShotRecord, 'id'>;
  log: EntityTable<LogEntry, 'id'>;
  kit: EntityTable<KitItem, 'id'>;
  outings: EntityTable<Outing, 'id'>;
  choices: EntityTable<Choice, 'key'>;
  handles: EntityTable<KeptHandle, 'key'>;
};

/**
 * Opens the person's database. Each released shape stands here as a version with its upgrade; versions are never edited.
 */
export function openDatabase(name = 'lynxeye'): Database {
  const database = new Dexie(name) as Database;
  database.version(1).stores({
    shots: 'id, updatedAt, demo',
    log: 'id, shotId, at',
    choices: 'key',
  });
  database.version(2).stores({ kit: 'id, thing.what, updatedAt' });
  database.version(3).stores({ outings: 'id, updatedAt' });
  database.version(4).stores({ handles: 'key' });
  return database;
}

let shared: Database | null = null;

/** The one database of this page. Only call it in a browser. */
export function database(): Database {
  return (shared ??= openDatabase());
}
