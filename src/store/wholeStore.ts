import * as messages from '@/language/store';
import type { Backup } from '@/core/records/backup';
import { RECORD_TABLES } from '@/core/records/kinds';
import type { RecordOf, Records, RecordTable } from '@/core/records/kinds';
import { FILE_VERSION } from '@/core/schema/versions';
import type { RecordChange } from './step';
import { puts, Writing } from './writing';

export type Counts = Record<RecordTable, number>;

/** What is done with everything that is kept at once, and what is chosen beside the records. */
export class WholeStore extends Writing {
  /** Everything kept, as one file's content. */
  async backup(): Promise<Backup> {
    return this.asBackup(await this.queries.everything());
  }

  /** The same of what the page read last. */
  heldBackup(): Backup {
    return this.asBackup(this.queries.held());
  }

  private asBackup(records: Records): Backup {
    return { kind: 'lynxeye/backup', version: FILE_VERSION, exportedAt: this.at(), ...records };
  }

  /** Puts the demo data back as it ships; the person's own stays. */
  async resetDemo(demo: Records): Promise<void> {
    await this.history.commit(messages.resetTheDemoShots, async (kept) => {
      const gone: RecordChange[] = [];
      for (const table of RECORD_TABLES) {
        const again = new Set(demo[table].map(({ id }) => id));
        for (const before of await kept.table<RecordOf<typeof table>>(table).toArray())
          if ('demo' in before && before.demo && !again.has(before.id))
            gone.push({ table, before, after: null } as RecordChange);
      }
      return [...gone, ...(await puts(kept, demo))];
    });
  }

  /** Takes everything away that is kept, what is known to be removed included: a clean slate. One step of undo. */
  async eraseEverything(): Promise<void> {
    await this.history.commitExactly(messages.eraseEverything, async (kept) => {
      const gone: RecordChange[] = [];
      for (const table of RECORD_TABLES)
        for (const before of await kept.table<RecordOf<typeof table>>(table).toArray())
          gone.push({ table, before, after: null } as RecordChange);
      return gone;
    });
  }

  /** The first open of an empty database gets the demo data, once; it is no step of undo. */
  async seed(demo: () => Promise<Records>): Promise<boolean> {
    const { database } = this;
    if ((await database.choices.get('seeded')) !== undefined || (await database.shots.count()) > 0)
      return false;
    // A first visit that was cut off comes up empty, and the next one tries again.
    const records = await demo().catch(() => null);
    if (!records) return false;
    return database.transaction('rw', [...RECORD_TABLES, 'choices'], async () => {
      if ((await database.choices.get('seeded')) !== undefined) return false;
      await database.choices.put({ key: 'seeded', value: 'yes' });
      for (const table of RECORD_TABLES) await database.table(table).bulkPut([...records[table]]);
      return true;
    });
  }

  async choose(key: string, value: string): Promise<void> {
    await this.database.choices.put({ key, value });
  }

  /** Remembers a folder that the person picked; `null`: forgets it. */
  async keepFolder(key: string, folder: FileSystemDirectoryHandle | null): Promise<void> {
    if (folder) await this.database.handles.put({ key, folder });
    else await this.database.handles.delete(key);
  }
}

export function countsOf(records: Records): Counts {
  return Object.fromEntries(RECORD_TABLES.map((table) => [table, records[table].length])) as Counts;
}
