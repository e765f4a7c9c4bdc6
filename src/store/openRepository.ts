import Dexie from 'dexie';
import type { Backup } from '@/core/records/backup';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { browserWorld } from './browserWorld';
import { DATABASE_VERSION, openDatabase } from './database';
import type { Database } from './database';
import { Repository } from './repository';
import { answerWindows, otherWindows } from './windows';

/** How the opening of the person's data stands. */
export type Opening =
  | { state: 'opening' }
  /** Older windows hold the data at their version: what they show, where they say it. */
  | { state: 'blocked'; windows: readonly string[] }
  | { state: 'ready'; repository: Repository }
  /** A newer version of the app has written the data, in another window or earlier. */
  | { state: 'newer' }
  | { state: 'failed'; why: string }
  /** The browser has not answered for a while. */
  | { state: 'stuck' }
  /** The data was deleted or cleared while the page was open; what the page still holds of it. */
  | { state: 'lost'; held: Backup };

/** After so long without an answer the person is told, milliseconds. */
const PATIENCE_MS = 3000;

/** Opens the data of this browser, brings it up to date, and seeds the demo on the first open. */
export function openRepository(
  demo: () => Promise<Records>,
  tell: (opening: Opening) => void,
  database: Database = openDatabase(),
): () => void {
  const world = browserWorld();
  let over = false;
  const say = (opening: Opening): void => {
    if (!over) tell(opening);
  };
  const stopAnswering = answerWindows(world.tab, () => document.title);
  database.on('blocked', () => {
    clearTimeout(patience);
    void otherWindows(world.tab).then((windows) => say({ state: 'blocked', windows }));
  });
  let opened: Repository | null = null;
  /** Lets go of the data, and says why: closing it is told of as well. */
  const letGo = (opening: Opening): void => {
    say(opening);
    over = true;
    // Opened again by itself it could come up empty.
    database.close({ disableAutoOpen: true });
  };
  const lost = (held: Backup): void => {
    if (!over) letGo({ state: 'lost', held });
  };
  const lostWithHeld = (): void => {
    if (opened) lost(opened.heldBackup());
  };
  database.on('versionchange', ({ newVersion }) => {
    if (newVersion === null && opened) {
      // Whoever deletes the data waits until this page lets go of it: what is there is read first.
      opened.backup().then(lost, lostWithHeld);
      return false;
    }
    // Another window brings the data to a later version: this page lets go of it at once and must be loaded anew.
    letGo({ state: 'newer' });
    return undefined;
  });
  database.on('close', lostWithHeld);
  const open = async (): Promise<void> => {
    if (await isNewer(database.name)) {
      clearTimeout(patience);
      say({ state: 'newer' });
      return;
    }
    await database.open();
    clearTimeout(patience);
    const repository = new Repository(database, world);
    await repository.seed(demo);
    await repository.history.load();
    repository.history.onCleared = lostWithHeld;
    opened = repository;
    say({ state: 'ready', repository });
  };
  const patience = setTimeout(() => say({ state: 'stuck' }), PATIENCE_MS);
  open().catch((error: unknown) => {
    clearTimeout(patience);
    const newer = error instanceof Dexie.VersionError;
    say(
      newer
        ? { state: 'newer' }
        : { state: 'failed', why: error instanceof Error ? error.message : String(error) },
    );
  });
  return () => {
    over = true;
    clearTimeout(patience);
    stopAnswering();
  };
}

/** Puts what a page still held into a new database. */
export async function putBack(held: Backup, database: Database = openDatabase()): Promise<void> {
  const repository = new Repository(database, browserWorld());
  await repository.seed(() => Promise.resolve(noRecords()));
  const { merge } = await import('./merging');
  await merge(repository, held);
  database.close();
}

/** Whether the data here was written by a later version of the app; it is then left alone. */
async function isNewer(name: string): Promise<boolean> {
  if (!('databases' in indexedDB)) return false;
  const found = (await indexedDB.databases()).find((one) => one.name === name);
  // Dexie counts by tens.
  return (found?.version ?? 0) > DATABASE_VERSION * 10;
}
