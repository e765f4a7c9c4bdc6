import Dexie from 'dexie';
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
  | { state: 'failed'; why: string };

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
    void otherWindows(world.tab).then((windows) => say({ state: 'blocked', windows }));
  });
  database.on('versionchange', () => {
    // Another window brings the data to a later version: this page lets go of it at once and must be loaded anew.
    database.close();
    say({ state: 'newer' });
    over = true;
  });
  const open = async (): Promise<void> => {
    if (await isNewer(database.name)) {
      say({ state: 'newer' });
      return;
    }
    await database.open();
    const repository = new Repository(database, world);
    await repository.history.load();
    await repository.seed(demo);
    say({ state: 'ready', repository });
  };
  open().catch((error: unknown) => {
    const newer = error instanceof Dexie.VersionError;
    say(
      newer
        ? { state: 'newer' }
        : { state: 'failed', why: error instanceof Error ? error.message : String(error) },
    );
  });
  return () => {
    over = true;
    stopAnswering();
  };
}

/** Whether the data here was written by a later version of the app; it is then left alone. */
async function isNewer(name: string): Promise<boolean> {
  if (!('databases' in indexedDB)) return false;
  const found = (await indexedDB.databases()).find((one) => one.name === name);
  // Dexie counts by tens.
  return (found?.version ?? 0) > DATABASE_VERSION * 10;
}
