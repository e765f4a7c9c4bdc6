import { RECORD_TABLES, recordChecks } from '@/core/records/kinds';
import type { Database } from './database';
import { Cleared } from './cleared';
import { RefusedWrite } from './refusedWrite';
import { idOf } from './step';
import type { RecordChange, Step } from './step';
import type { World } from './world';
import { recordText } from '@/words/recordText';

export interface HistoryState {
  undoLabel: string | null;
  redoLabel: string | null;
  /** Changes written by this page since it was opened. */
  changes: number;
}

export type Undone = { ok: true; label: string } | { ok: false; reason: 'nothing' | 'changedElsewhere' };

/** How many steps are kept. */
export const DEPTH = 50;
/** A step that takes more than this as text is not kept, nor are those before it: they could not be undone past it. */
const LARGEST_STEP = 2_000_000;
/** Steps of windows that did not come back for so long are let go, milliseconds: a week. */
const STALE_MS = 7 * 86_400_000;

/**
 * Every change of data goes through here: what it rests on is read, the change checked against the schema of its kind and
 * written in one transaction, which no other window can come between, and remembered so that it can be undone and done
 * again. A change that another window has overtaken is not undone over its head.
 */
export class History {
  private done: Step[] = [];
  private undone: Step[] = [];
  private turn: Promise<unknown> = Promise.resolve();
  private readonly listeners = new Set<() => void>();
  private readonly heldBack = new Set<() => Promise<void>>();
  private current: HistoryState = { undoLabel: null, redoLabel: null, changes: 0 };

  constructor(
    private readonly database: Database,
    private readonly who: Pick<World, 'tab' | 'newCounter'>,
    private readonly now: () => Date,
  ) {}

  /** Takes up the steps that this window left behind when it was reloaded. */
  async load(): Promise<void> {
    const { steps } = this.database;
    await steps
      .where('tab')
      .notEqual(this.who.tab)
      .and(({ taken }) => taken < this.now().getTime() - STALE_MS)
      .delete();
    const own = await steps.where('tab').equals(this.who.tab).sortBy('at');
    this.done = own.filter(({ undone }) => !undone);
    // The one undone last is done again first.
    this.undone = own.filter(({ undone }) => undone).reverse();
    this.chosen = (await this.database.choices.count()) > 0;
    this.tell();
  }

  /**
   * Reads what a change rests on, and writes the change: all of it or nothing, and one after the other over all windows.
   * `decide` may read with the tables it is given, and nothing else. Gives what was written.
   * @throws {RefusedWrite} when a record does not fit its schema
   */
  commit(label: string, decide: Decide): Promise<readonly RecordChange[]> {
    return this.inTurn(async () => this.decided(label, decide, await tools(), false));
  }

  /** The same with records as they are given, what is known of their edits included: a merge, or a clean slate. */
  commitExactly(label: string, decide: Decide): Promise<readonly RecordChange[]> {
    return this.inTurn(async () => this.decided(label, decide, await tools(), true));
  }

  private async decided(
    label: string,
    decide: Decide,
    given: Tools,
    exact: boolean,
  ): Promise<readonly RecordChange[]> {
    const step = await this.transaction(async () => {
      const decided = (await decide(this.database)).filter(
        ({ before, after }) => JSON.stringify(before) !== JSON.stringify(after),
      );
      if (decided.length === 0) return null;
      const changes = await this.written(decided, exact, given, (change) => sound(change, given.checks));
      const { tab } = this.who;
      const own = { tab, label, changes, undone: false, taken: this.now().getTime() };
      return this.kept(exact ? { ...own, exact } : own);
    });
    if (!step) return [];
    this.done = [...this.done, step].slice(-DEPTH);
    this.undone = [];
    this.tell(1);
    return step.changes;
  }

  /** @throws what a screen could not write of that which it shows */
  async undo(): Promise<Undone> {
    await this.allWritten();
    return this.inTurn(async () => this.step('after', 'before', await tools()));
  }

  /** @throws what a screen could not write of that which it shows */
  async redo(): Promise<Undone> {
    await this.allWritten();
    return this.inTurn(async () => this.step('before', 'after', await tools()));
  }

  /** Before a step is undone or done again, `write` writes what a screen shows and has held back; gives its end. */
  before(write: () => Promise<void>): () => void {
    this.heldBack.add(write);
    return () => this.heldBack.delete(write);
  }

  private async allWritten(): Promise<void> {
    await Promise.all([...this.heldBack].map((write) => write()));
  }

  /** One after the other: which step is the last is known only when the one before it is done. */
  private inTurn<T>(action: () => Promise<T>): Promise<T> {
    const result = this.turn.then(action);
    this.turn = result.catch(() => undefined);
    return result;
  }

  state = (): HistoryState => this.current;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private async step(expected: Side, wanted: Side, given: Tools): Promise<Undone> {
    const [from, to] = wanted === 'before' ? [this.done, this.undone] : [this.undone, this.done];
    const entry = from.at(-1);
    if (!entry) return { ok: false, reason: 'nothing' };
    const undone = wanted === 'before';
    const written = await this.transaction(async () => {
      const there = await stillThere(this.database, entry.changes, expected, given);
      if (there) await this.written(turned(entry.changes, there, wanted), entry.exact ?? false, given);
      if (entry.at !== undefined) {
        if (there) await this.database.steps.update(entry.at, { undone });
        // It can never be undone truthfully any more; those before it may be.
        else await this.database.steps.delete(entry.at);
      }
      return there;
    });
    from.splice(from.indexOf(entry), 1);
    if (written) to.push({ ...entry, undone });
    this.tell(written ? 1 : 0);
    return written ? { ok: true, label: entry.label } : { ok: false, reason: 'changedElsewhere' };
  }

  /** Keeps a step beside what it changed, and lets go of those that it puts out of reach. */
  private async kept(step: Step): Promise<Step> {
    const { steps } = this.database;
    const kept = ({ at }: Step): number[] => (at === undefined ? [] : [at]);
    await steps.bulkDelete([...this.undone, ...this.done.slice(0, -(DEPTH - 1))].flatMap(kept));
    if (JSON.stringify(step.changes).length > LARGEST_STEP) {
      await steps.where('tab').equals(this.who.tab).delete();
      return step;
    }
    return { ...step, at: await steps.add(step) };
  }

  /** Writes changes, stamped unless they are exact, and each as it is checked; gives those that a person made, as they were written. */
  private async written(
    changes: readonly RecordChange[],
    exact: boolean,
    { stamped, withinBounds }: Tools,
    checked: (change: RecordChange) => RecordChange = (change) => change,
  ): Promise<readonly RecordChange[]> {
    const stamping = { at: this.now(), newName: this.who.newCounter };
    const { changes: own, notes } = exact
      ? { changes, notes: [] }
      : await stamped(this.database, changes, stamping);
    const written = own.map(checked);
    const all = [...written, ...notes.map(checked)];
    await write(this.database, all);
    const gone = await withinBounds(this.database, all);
    await write(this.database, gone);
    return exact ? [...written, ...gone] : written;
  }

  /** @throws {Cleared} where everything was taken away behind the app's back: nothing is written over that unasked */
  private async transaction<T>(action: () => Promise<T>): Promise<T> {
    const tables = [...RECORD_TABLES, 'steps', 'choices'];
    try {
      return await this.database.transaction('rw', tables, async () => {
        // Something is always chosen: that the demo was put in, how far edits are counted.
        const chosen = (await this.database.choices.count()) > 0;
        if (this.chosen && !chosen) throw new Cleared();
        const done = await action();
        this.chosen = (await this.database.choices.count()) > 0;
        return done;
      });
    } catch (error) {
      if (error instanceof Cleared) this.onCleared();
      throw error;
    }
  }

  /** Whether anything was ever chosen here. */
  private chosen = false;
  /** Told when a change finds everything gone. */
  onCleared: () => void = () => undefined;

  private tell(changes = 0): void {
    this.current = {
      undoLabel: this.done.at(-1)?.label ?? null,
      redoLabel: this.undone.at(-1)?.label ?? null,
      changes: this.current.changes + changes,
    };
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}

/** What changes are written with: it comes with the first one, before its transaction, which waits for nothing else. */
async function tools() {
  const [checks, { withinBounds }, { stamped, saysTheSame }] = await Promise.all([
    recordChecks(),
    import('./bounds'),
    import('./stamps'),
  ]);
  return { checks, withinBounds, stamped, saysTheSame };
}
type Tools = Awaited<ReturnType<typeof tools>>;

type Side = 'before' | 'after';
type Decide = (kept: Database) => Promise<readonly RecordChange[]>;

/** The change with its record as the schema has it, every default in place; refused when it does not fit. */
function sound(change: RecordChange, checks: Awaited<ReturnType<typeof recordChecks>>): RecordChange {
  if (change.after === null) return change;
  const read = checks[change.table](change.after);
  if (!read.ok) throw new RefusedWrite(change.table, recordText(change.table, change.after), read.faults);
  return { ...change, after: read.value } as RecordChange;
}

async function write(database: Database, changes: readonly RecordChange[]): Promise<void> {
  for (const table of RECORD_TABLES) {
    const own = changes.filter((change) => change.table === table);
    const records = own.flatMap(({ after }) => after ?? []);
    await database.table<object, string>(table).bulkPut(records);
    await database
      .table<object, string>(table)
      .bulkDelete(own.filter(({ after }) => after === null).map(idOf));
  }
}

/** What is kept now of each record that a step changed, in its order; `null` when any says something else than the step left. */
async function stillThere(
  database: Database,
  changes: readonly RecordChange[],
  side: Side,
  { saysTheSame }: Tools,
): Promise<readonly (object | null)[] | null> {
  const kept = new Map<RecordChange, object | null>();
  for (const table of RECORD_TABLES) {
    const own = changes.filter((change) => change.table === table);
    const now = await database.table<object, string>(table).bulkGet(own.map(idOf));
    own.forEach((change, at) => kept.set(change, now[at] ?? null));
    if (own.some((change) => !saysTheSame(kept.get(change) ?? null, change[side]))) return null;
  }
  return changes.map((change) => kept.get(change) ?? null);
}

/** The changes that bring back one side of a step. */
function turned(
  changes: readonly RecordChange[],
  now: readonly (object | null)[],
  wanted: Side,
): RecordChange[] {
  return changes.map((change, at) => ({ ...change, before: now[at], after: change[wanted] }) as RecordChange);
}
