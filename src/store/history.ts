import type { KitItem } from '@/core/plan/kitItem';
import type { LogEntry } from '@/core/plan/logEntry';
import type { Outing } from '@/core/plan/outing';
import type { ShotRecord } from '@/core/plan/shotRecord';
import type { Database } from './database';

/**
 * Every change of data goes through here: written in one transaction, and remembered so that it can be undone and done
 * again. A change that another window has overtaken is not undone over its head.
 */
export type Change =
  | { table: 'shots'; before: ShotRecord | null; after: ShotRecord | null }
  | { table: 'log'; before: LogEntry | null; after: LogEntry | null }
  | { table: 'kit'; before: KitItem | null; after: KitItem | null }
  | { table: 'outings'; before: Outing | null; after: Outing | null };

interface Entry {
  label: string;
  changes: readonly Change[];
}

export interface HistoryState {
  undoLabel: string | null;
  redoLabel: string | null;
}

export type Undone = { ok: true; label: string } | { ok: false; reason: 'nothing' | 'changedElsewhere' };

/** How many steps are kept. */
const DEPTH = 200;

export class History {
  private done: Entry[] = [];
  private undone: Entry[] = [];
  private readonly listeners = new Set<() => void>();
  private current: HistoryState = { undoLabel: null, redoLabel: null };

  constructor(private readonly database: Database) {}

  /** Writes the changes, all or none, and remembers them under a label such as "change the shutter". */
  async commit(label: string, changes: readonly Change[]): Promise<void> {
    if (changes.length === 0) return;
    await write(this.database, changes, 'after');
    this.done = [...this.done, { label, changes }].slice(-DEPTH);
    this.undone = [];
    this.tell();
  }

  undo(): Promise<Undone> {
    return this.step(this.done, this.undone, 'after', 'before');
  }

  redo(): Promise<Undone> {
    return this.step(this.undone, this.done, 'before', 'after');
  }

  state = (): HistoryState => this.current;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private async step(from: Entry[], to: Entry[], expected: Side, wanted: Side): Promise<Undone> {
    const entry = from.at(-1);
    if (!entry) return { ok: false, reason: 'nothing' };
    if (!(await stillThere(this.database, entry.changes, expected))) {
      // The entry can never be undone truthfully any more; those before it may be.
      from.pop();
      this.tell();
      return { ok: false, reason: 'changedElsewhere' };
    }
    await write(this.database, entry.changes, wanted);
    from.pop();
    to.push(entry);
    this.tell();
    return { ok: true, label: entry.label };
  }

  private tell(): void {
    this.current = {
      undoLabel: this.done.at(-1)?.label ?? null,
      redoLabel: this.undone.at(-1)?.label ?? null,
    };
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}

type Side = 'before' | 'after';

async function write(database: Database, changes: readonly Change[], side: Side): Promise<void> {
  const { shots, log, kit, outings } = database;
  await database.transaction('rw', [shots, log, kit, outings], async () => {
    for (const change of changes) {
      const record = change[side];
      const table = database.table<object, string>(change.table);
      if (record) await table.put(record);
      else await table.delete(idOf(change));
    }
  });
}

async function stillThere(database: Database, changes: readonly Change[], side: Side): Promise<boolean> {
  for (const change of changes) {
    const kept = await database[change.table].get(idOf(change));
    if (JSON.stringify(kept ?? null) !== JSON.stringify(change[side])) return false;
  }
  return true;
}

function idOf(change: Change): string {
  return (change.before ?? change.after)?.id ?? '';
}
