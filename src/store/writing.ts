import { noRecords, RECORD_TABLES } from '@/core/records/kinds';
import type { RecordOf, Records, RecordTable } from '@/core/records/kinds';
import type { Database } from './database';
import { History } from './history';
import { Queries } from './queries';
import type { RecordChange } from './step';
import type { World } from './world';

/** How any record is written: every action reads and writes in one transaction and is one step of undo. */
export class Writing {
  readonly history: History;
  /** What is kept, for reading. */
  readonly queries: Queries;

  constructor(
    /** For the store alone: screens ask `queries`. */
    readonly database: Database,
    protected readonly world: World,
  ) {
    this.history = new History(database, world, world.now);
    this.queries = new Queries(database);
  }

  newId(): string {
    return this.world.newId();
  }

  /** A name under which no edits were counted before. */
  readonly newCounter = (): string => this.world.newCounter();

  /** The short name of this device. */
  get device(): string {
    return this.world.device;
  }

  /** Keeps a record as it is made of the one before it, if there is one; its time of change is set. */
  async keep<T extends RecordTable>(
    table: T,
    id: string,
    label: string,
    make: (before: RecordOf<T> | null, at: string) => RecordOf<T>,
  ): Promise<void> {
    const at = this.at();
    await this.history.commit(label, async (kept) => {
      const before = (await kept.table<RecordOf<T>, string>(table).get(id)) ?? null;
      return [{ table, before, after: { ...make(before, at), updatedAt: at } } as RecordChange];
    });
  }

  async remove(table: RecordTable, id: string, label: string): Promise<void> {
    await this.history.commit(label, async (kept) => {
      const before = await kept.table<RecordOf<typeof table>, string>(table).get(id);
      return before ? [{ table, before, after: null } as RecordChange] : [];
    });
  }

  protected async add<T extends RecordTable>(
    table: T,
    label: string,
    records: readonly RecordOf<T>[],
  ): Promise<void> {
    await this.put(label, { ...noRecords(), [table]: [...records] });
  }

  protected async put(label: string, records: Records): Promise<void> {
    await this.history.commit(label, (kept) => puts(kept, records));
  }

  /** Changes one record, and with it what `also` finds to change; gives the record as written, or null when it was not. */
  protected async change<T extends RecordTable>(
    table: T,
    id: string,
    label: string,
    change: (record: RecordOf<T>) => RecordOf<T>,
    also: (
      after: RecordOf<T>,
      kept: Database,
      before: RecordOf<T>,
    ) => Promise<readonly RecordChange[]> = () => Promise.resolve([]),
  ): Promise<RecordOf<T> | null> {
    const at = this.at();
    const written = await this.history.commit(label, async (kept) => {
      const before = await kept.table<RecordOf<T>, string>(table).get(id);
      if (!before) return [];
      const own = stampedChange(table, before, change(before), at);
      return [own, ...(await also(own.after as RecordOf<T>, kept, before))];
    });
    const own = written.find((one) => one.table === table && one.after?.id === id);
    return (own?.after as RecordOf<T> | undefined) ?? null;
  }

  /** Now, as records write it. */
  at(): string {
    return this.world.now().toISOString();
  }
}

/** A change of a record, stamped with its time where anything changed and the record carries one. */
export function stampedChange<T extends RecordTable>(
  table: T,
  before: RecordOf<T>,
  after: RecordOf<T>,
  at: string,
): RecordChange {
  const same = JSON.stringify(before) === JSON.stringify(after);
  const stamped = !same && 'updatedAt' in after ? { ...after, updatedAt: at } : after;
  return { table, before, after: stamped } as RecordChange;
}

/** Changes that put these records, whatever stood there before. */
export async function puts(kept: Database, records: Records): Promise<RecordChange[]> {
  const changes: RecordChange[] = [];
  for (const table of RECORD_TABLES) {
    const own: readonly RecordOf<RecordTable>[] = records[table];
    const old = await kept.table<object, string>(table).bulkGet(own.map(({ id }) => id));
    own.forEach((after, at) => changes.push({ table, before: old[at] ?? null, after } as RecordChange));
  }
  return changes;
}
