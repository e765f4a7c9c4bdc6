import type { Clip } from '@/core/records/clip';
import type { Outing } from '@/core/records/outing';
import type { RecordOf, Records, RecordTable } from '@/core/records/kinds';
import { noRecords, RECORD_TABLES } from '@/core/records/kinds';
import type { ShotRecord } from '@/core/records/shotRecord';
import { plannedEntryOf, standingsOf } from '@/core/records/plannedEntry';
import type { PlannedEntry, StandingWanted } from '@/core/records/plannedEntry';
import type { Database } from './database';

/** A shot where it stands, and the day around it, read in one go so that day and shot fit together. */
interface ShotInItsDay {
  standing: PlannedEntry;
  /** Everywhere that it stands. */
  all: readonly PlannedEntry[];
  outing: Outing;
  day: Outing['days'][number];
  shots: readonly ShotRecord[];
}

/** What is asked of the person's records; all that changes them is the repository's. */
export class Queries {
  constructor(private readonly database: Database) {}

  /** What was read last of each kind: all that is left of it where the database is taken away under the page. */
  private readonly lastRead = noRecords();

  /** What the page still holds. */
  held(): Records {
    return { ...this.lastRead };
  }

  /** What came empty may be a database that was cleared: what was read before is kept. */
  private read<T extends RecordTable>(table: T, records: RecordOf<T>[]): RecordOf<T>[] {
    if (records.length > 0) Object.assign(this.lastRead, { [table]: records });
    return records;
  }

  /** Everything of a kind, in no order that is promised. */
  async all<T extends RecordTable>(table: T): Promise<RecordOf<T>[]> {
    return this.read(table, await this.database.table<RecordOf<T>, string>(table).toArray());
  }

  /** Several kinds as they are at one moment. */
  async together<T extends RecordTable>(...tables: readonly T[]): Promise<Pick<Records, T>> {
    return this.database.transaction('r', [...tables], async () => {
      const lists = await Promise.all(tables.map(async (table) => [table, await this.all(table)] as const));
      return Object.fromEntries(lists) as unknown as Pick<Records, T>;
    });
  }

  /** Every kind as it is at one moment. */
  everything(): Promise<Records> {
    return this.together(...RECORD_TABLES);
  }

  async one<T extends RecordTable>(table: T, id: string): Promise<RecordOf<T> | null> {
    return (await this.database.table<RecordOf<T>, string>(table).get(id)) ?? null;
  }

  /** Those of these ids that are kept. */
  async some<T extends RecordTable>(table: T, ids: readonly string[]): Promise<RecordOf<T>[]> {
    const kept = await this.database.table<RecordOf<T>, string>(table).bulkGet([...new Set(ids)]);
    return kept.filter((one) => one !== undefined);
  }

  async ids(table: RecordTable): Promise<Set<string>> {
    return new Set(await this.database.table<object, string>(table).toCollection().primaryKeys());
  }

  /** Shots or outings, the latest changed first. */
  async latestChanged<T extends 'shots' | 'outings'>(table: T): Promise<RecordOf<T>[]> {
    const records = await this.database
      .table<RecordOf<T>, string>(table)
      .orderBy('updatedAt')
      .reverse()
      .toArray();
    return this.read(table, records);
  }

  /** The log, the latest first. */
  async latestLogged(): Promise<RecordOf<'log'>[]> {
    return this.read('log', await this.database.log.orderBy('at').reverse().toArray());
  }

  clipsOfOuting(outingId: string): Promise<Clip[]> {
    return this.database.clips.where('outingId').equals(outingId).toArray();
  }

  /** What came back of a shot, on whichever day it stood. */
  async clipsOfShot(shotId: string): Promise<Clip[]> {
    const days = (await this.all('outings')).flatMap((outing) => outing.days);
    const entries = new Set(
      days.flatMap((day) =>
        day.entries.flatMap((one) =>
          one.what === 'shot' && one.shotId === shotId ? [`${day.id} ${one.id}`] : [],
        ),
      ),
    );
    return this.database.clips
      .filter(({ dayId, entryId }) => entryId !== null && entries.has(`${dayId} ${entryId}`))
      .toArray();
  }

  /** `null`: it stands in no plan. */
  async shotInItsDay(
    shotId: string,
    wanted: StandingWanted,
    todayIn: (zone: string) => string,
  ): Promise<ShotInItsDay | null> {
    const { outings, shots } = this.database;
    return this.database.transaction('r', [outings, shots], async () => {
      const all = standingsOf(await outings.toArray(), shotId);
      const standing = plannedEntryOf(all, wanted, todayIn);
      if (!standing) return null;
      const { outing, day } = standing;
      const ids = day.entries.flatMap((entry) => (entry.what === 'shot' ? [entry.shotId] : []));
      return { standing, all, outing, day, shots: await this.some('shots', ids) };
    });
  }

  /** A remembered choice; undefined where none was made. */
  async choice(key: string): Promise<string | undefined> {
    return (await this.database.choices.get(key))?.value;
  }

  /** The folder that the person picked for something. */
  async folder(key: string): Promise<FileSystemDirectoryHandle | null> {
    return (await this.database.handles.get(key))?.folder ?? null;
  }
}
