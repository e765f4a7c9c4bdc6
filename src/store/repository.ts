import { namedPart, shotName } from '@/words/shotName';
import * as messages from '@/language/store';
import { withEntry } from '@/core/records/entries';
import { withKitCamera, withKitFilter } from '@/core/records/kitCamera';
import type { KitItem, Thing } from '@/core/records/kitItem';
import type { Clip } from '@/core/records/clip';
import type { CutReason, LogEntry, Verdict } from '@/core/records/logEntry';
import type { Learned, LearnedRecord } from '@/core/records/learned';
import type { Outing, ShotEntry } from '@/core/records/outing';
import type { Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import { without } from '@/core/units/without';
import { FILE_VERSION } from '@/core/schema/versions';
import type { Backup } from '@/core/records/backup';
import { noRecords, RECORD_TABLES } from '@/core/records/kinds';
import type { RecordOf, Records, RecordTable } from '@/core/records/kinds';
import type { Database } from './database';
import { History } from './history';
import { Queries } from './queries';
import type { Change } from './step';

/** What the store asks of the world around it: a clock, a source of ids and the window's name, so that tests can give their own. */
export interface World {
  now: () => Date;
  newId: () => string;
  /** Names this window, over a reload too. */
  tab: string;
  /** Names this device, for good: a few small letters and digits. */
  device: string;
}

export type Counts = Record<RecordTable, number>;

/** An outing that follows a change of one of its shots; the same outing where it need not. */
export interface FollowingOuting {
  outingId: string;
  change: (outing: Outing, before: Shot, after: Shot) => Outing;
}

/** Keeps what a person owns: every action reads and writes in one transaction and is one step of undo. */
export class Repository {
  readonly history: History;
  /** What is kept, for reading. */
  readonly queries: Queries;

  constructor(
    /** For the store alone: screens ask `queries`. */
    readonly database: Database,
    private readonly world: World,
  ) {
    this.history = new History(database, world, world.now);
    this.queries = new Queries(database);
  }

  newId(): string {
    return this.world.newId();
  }

  /** The short name of this device. */
  get device(): string {
    return this.world.device;
  }

  // Shots

  /** Keeps a new shot and gives its id. */
  async addShot(shot: Shot, label = messages.keepAShot): Promise<string> {
    const record = this.newRecord(shot);
    await this.add('shots', label, [record]);
    return record.id;
  }

  async addShots(shots: readonly Shot[], label: string): Promise<void> {
    await this.add(
      'shots',
      label,
      shots.map((shot) => this.newRecord(shot)),
    );
  }

  /** A shot as it would be kept, with an id of its own. */
  newRecord(shot: Shot): ShotRecord {
    const at = this.at();
    return { id: this.world.newId(), createdAt: at, updatedAt: at, demo: false, shot, ticked: [] };
  }

  /**
   * Changes a shot, and with it an outing that must follow; gives the time now written on the shot, or null when nothing
   * changed.
   */
  async changeShot(
    id: string,
    label: string,
    change: (shot: Shot) => Shot,
    following?: FollowingOuting,
  ): Promise<string | null> {
    const after = await this.change(
      'shots',
      id,
      label,
      (record) => ({ ...record, shot: change(record.shot) }),
      async (record, { outings }, before) => {
        const outing = following && (await outings.get(following.outingId));
        if (!outing) return [];
        const followed = following.change(outing, before.shot, record.shot);
        return followed === outing ? [] : [changed('outings', outing, followed, this.at())];
      },
    );
    return after?.updatedAt ?? null;
  }

  async tick(id: string, entry: string, on: boolean): Promise<void> {
    await this.change('shots', id, on ? messages.tickACheck : messages.untickACheck, (record) => {
      const others = record.ticked.filter((ticked) => ticked !== entry);
      return { ...record, ticked: on ? [...others, entry] : others };
    });
  }

  /** Removes a shot. Its log stays: what was recorded was recorded. */
  removeShot(id: string): Promise<void> {
    return this.remove('shots', id, messages.removeAShot);
  }

  // Log

  /** Writes a recording to the log, with the settings as they are now; gives the entry's id. `part` names one of several cameras; `came`, what the camera itself wrote. */
  async record(
    shotId: string,
    settings: Settings,
    part = 0,
    came: { clip: NonNullable<LogEntry['clip']>; cutReason: CutReason | null } | null = null,
  ): Promise<string | null> {
    const cut = came?.cutReason;
    const written = await this.history.commit(messages.noteARecording, async ({ shots }) => {
      const kept = await shots.get(shotId);
      if (!kept) return [];
      const entry: LogEntry = {
        ...this.logEntryOf(kept, settings, part, this.at()),
        ...(came ? { clip: came.clip } : {}),
        ...(cut ? { verdicts: ['cutOff'], cutReason: cut } : {}),
      };
      return [{ table: 'log', before: null, after: entry }];
    });
    return written[0]?.after?.id ?? null;
  }

  async judge(
    id: string,
    what: {
      /** From the verdicts as they are: two quick taps both count. */
      verdicts?: (before: readonly Verdict[]) => Verdict[];
      cutReason?: CutReason | null;
      note?: string;
    },
  ): Promise<void> {
    await this.change('log', id, messages.changeAVerdict, (before) => {
      const { cutReason: oldReason, ...rest } = before;
      const verdicts = what.verdicts?.(before.verdicts) ?? before.verdicts;
      const cutReason = what.cutReason === undefined ? oldReason : (what.cutReason ?? undefined);
      return {
        ...rest,
        verdicts,
        note: what.note ?? before.note,
        ...(cutReason !== undefined && verdicts.includes('cutOff') ? { cutReason } : {}),
      };
    });
  }

  removeEntry(id: string): Promise<void> {
    return this.remove('log', id, messages.removeALogEntry);
  }

  // Kit

  /** Keeps a new thing in the kit and gives its id. */
  async addKit(make: (id: string) => Thing, label: string): Promise<string> {
    const id = this.world.newId();
    const at = this.at();
    const item: KitItem = {
      kind: 'lynxeye/kit-item',
      version: FILE_VERSION,
      id,
      createdAt: at,
      updatedAt: at,
      demo: false,
      archived: false,
      note: '',
      thing: make(id),
    };
    await this.add('kit', label, [item]);
    return id;
  }

  /** Changes a thing; a camera or filter changes in every shot that carries it, in the same step of undo. */
  async changeKit(id: string, label: string, change: (item: KitItem) => KitItem): Promise<void> {
    await this.change('kit', id, label, change, async ({ thing }, { shots }) => {
      if (thing.what !== 'camera' && thing.what !== 'filter') return [];
      return (await shots.toArray()).flatMap((record): Change[] => {
        const shot =
          thing.what === 'camera'
            ? withKitCamera(record.shot, thing.profile)
            : withKitFilter(record.shot, thing.filter);
        return shot === record.shot ? [] : [{ table: 'shots', before: record, after: { ...record, shot } }];
      });
    });
  }

  removeKit(id: string): Promise<void> {
    return this.remove('kit', id, messages.removeFromTheKit);
  }

  // Outings

  /** Keeps a new outing and gives its id. */
  async addOuting(
    make: (id: string, at: string) => Outing,
    shots: readonly ShotRecord[] = [],
    label = messages.keepAnOuting,
  ): Promise<string> {
    const id = this.world.newId();
    const outing = make(id, this.at());
    await this.put(label, { ...noRecords(), shots: [...shots], outings: [outing] });
    return id;
  }

  /** Changes an outing, and shots that change or come with it, in one step of undo. */
  async changeOuting(
    id: string,
    label: string,
    change: (outing: Outing) => Outing,
    shots: ReadonlyMap<string, (shot: Shot) => Shot> = new Map(),
    newShots: readonly ShotRecord[] = [],
  ): Promise<void> {
    const at = this.at();
    await this.history.commit(label, async (kept) => {
      const before = await kept.outings.get(id);
      if (!before) return [];
      const changes = [changed('outings', before, change(before), at)];
      for (const [shotId, changeShot] of shots) {
        const old = await kept.shots.get(shotId);
        if (old) changes.push(changed('shots', old, { ...old, shot: changeShot(old.shot) }, at));
      }
      for (const after of newShots) changes.push({ table: 'shots', before: null, after });
      return changes;
    });
  }

  /** Removes an outing, and with it the clips that came back from it. */
  async removeOuting(id: string): Promise<void> {
    await this.history.commit(messages.removeAnOuting, async ({ outings, clips }) => {
      const before = await outings.get(id);
      if (!before) return [];
      const came = await clips.where('outingId').equals(id).toArray();
      return [
        { table: 'outings', before, after: null },
        ...came.map((clip): Change => ({ table: 'clips', before: clip, after: null })),
      ];
    });
  }

  // Clips

  /** Keeps clips that came back, or what was measured of them since. */
  keepClips(clips: readonly Clip[], label: string = messages.keepClips): Promise<void> {
    return this.add('clips', label, clips);
  }

  /** Changes one clip: where it belongs, its verdict, its note. */
  async changeClip(id: string, label: string, change: (clip: Clip) => Clip): Promise<void> {
    await this.change('clips', id, label, change);
  }

  removeClip(id: string): Promise<void> {
    return this.remove('clips', id, messages.removeAClip);
  }

  // Learned figures

  /** Takes a figure over as it now stands, or leaves it. */
  async decideFigure(
    id: string,
    learned: Learned,
    decided: LearnedRecord['decided'],
    label: string,
  ): Promise<void> {
    await this.keep('learned', id, label, (before, at) => ({
      kind: 'lynxeye/learned-figure',
      version: FILE_VERSION,
      id,
      createdAt: before?.createdAt ?? at,
      updatedAt: at,
      demo: false,
      decided,
      learned,
    }));
  }

  /** As if nothing had been decided of it. */
  undecideFigure(id: string, label: string): Promise<void> {
    return this.remove('learned', id, label);
  }

  /** What became of an entry of a day: its mark, and a line in the log for each camera when it was recorded. */
  async markEntry(
    outingId: string,
    entryId: string,
    done: 'recorded' | 'skipped' | null,
    settings: readonly { part: number; settings: Settings }[] = [],
  ): Promise<void> {
    const label =
      done === 'recorded'
        ? messages.noteARecording
        : done === 'skipped'
          ? messages.skipAShot
          : messages.unmarkAShot;
    const at = this.at();
    await this.change(
      'outings',
      outingId,
      label,
      (outing) =>
        withEntry(outing, entryId, (one) => {
          if (one.what !== 'shot') return one;
          return done ? { ...one, done: { how: done, at } } : without(one, 'done');
        }),
      async (outing, { shots, log }, before) => {
        const marked = shotEntryOf(done === 'recorded' ? outing : before, entryId);
        if (!marked) return [];
        if (done === 'recorded') {
          const kept = await shots.get(marked.shotId);
          if (!kept) return [];
          return settings.map(({ part, settings: its }): Change => ({
            table: 'log',
            before: null,
            after: this.logEntryOf(kept, its, part, at),
          }));
        }
        // A tap that is taken back takes its recordings with it, but for those that something was said of since.
        const noted = marked.done ? await log.where('at').equals(marked.done.at).toArray() : [];
        return noted
          .filter(
            ({ shotId, verdicts, note, clip }) =>
              shotId === marked.shotId && !verdicts.length && !note && !clip,
          )
          .map((entry): Change => ({ table: 'log', before: entry, after: null }));
      },
    );
  }

  // Everything

  /** Everything kept, as one file's content. */
  async backup(): Promise<Backup> {
    return {
      kind: 'lynxeye/backup',
      version: FILE_VERSION,
      exportedAt: this.at(),
      ...(await this.queries.everything()),
    };
  }

  /** Puts the demo data back as it ships; the person's own stays. */
  async resetDemo(demo: Records): Promise<void> {
    await this.history.commit(messages.resetTheDemoShots, async (kept) => {
      const gone: Change[] = [];
      for (const table of RECORD_TABLES) {
        const again = new Set(demo[table].map(({ id }) => id));
        for (const before of await kept.table<RecordOf<typeof table>>(table).toArray())
          if ('demo' in before && before.demo && !again.has(before.id))
            gone.push({ table, before, after: null } as Change);
      }
      return [...gone, ...(await puts(kept, demo))];
    });
  }

  /** Takes everything away that is kept, what is known to be removed included: a clean slate. One step of undo. */
  async eraseEverything(): Promise<void> {
    await this.history.commitExactly(messages.eraseEverything, async (kept) => {
      const gone: Change[] = [];
      for (const table of RECORD_TABLES)
        for (const before of await kept.table<RecordOf<typeof table>>(table).toArray())
          gone.push({ table, before, after: null } as Change);
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
      return [{ table, before, after: { ...make(before, at), updatedAt: at } } as Change];
    });
  }

  async remove(table: RecordTable, id: string, label: string): Promise<void> {
    await this.history.commit(label, async (kept) => {
      const before = await kept.table<RecordOf<typeof table>, string>(table).get(id);
      return before ? [{ table, before, after: null } as Change] : [];
    });
  }

  private async add<T extends RecordTable>(
    table: T,
    label: string,
    records: readonly RecordOf<T>[],
  ): Promise<void> {
    await this.put(label, { ...noRecords(), [table]: [...records] });
  }

  private async put(label: string, records: Records): Promise<void> {
    await this.history.commit(label, (kept) => puts(kept, records));
  }

  /** Changes one record, and with it what `also` finds to change; gives the record as written, or null when it was not. */
  private async change<T extends RecordTable>(
    table: T,
    id: string,
    label: string,
    change: (record: RecordOf<T>) => RecordOf<T>,
    also: (after: RecordOf<T>, kept: Database, before: RecordOf<T>) => Promise<readonly Change[]> = () =>
      Promise.resolve([]),
  ): Promise<RecordOf<T> | null> {
    const at = this.at();
    const written = await this.history.commit(label, async (kept) => {
      const before = await kept.table<RecordOf<T>, string>(table).get(id);
      if (!before) return [];
      const own = changed(table, before, change(before), at);
      return [own, ...(await also(own.after as RecordOf<T>, kept, before))];
    });
    const own = written.find((one) => one.table === table && one.after?.id === id);
    return (own?.after as RecordOf<T> | undefined) ?? null;
  }

  private logEntryOf(kept: ShotRecord, settings: Settings, part: number, at: string): LogEntry {
    const shot = namedPart(kept.shot, part);
    return {
      kind: 'lynxeye/log-entry',
      version: FILE_VERSION,
      id: this.world.newId(),
      shotId: kept.id,
      shotName: shotName(shot),
      at,
      settings,
      shot,
      verdicts: [],
      note: '',
    };
  }

  /** Now, as records write it. */
  at(): string {
    return this.world.now().toISOString();
  }
}

function shotEntryOf({ days }: Outing, entryId: string): ShotEntry | undefined {
  return days
    .flatMap(({ entries }) => entries)
    .find((one): one is ShotEntry => one.what === 'shot' && one.id === entryId);
}

export function countsOf(records: Records): Counts {
  return Object.fromEntries(RECORD_TABLES.map((table) => [table, records[table].length])) as Counts;
}

/** A change of a record, stamped with its time where anything changed and the record carries one. */
function changed<T extends RecordTable>(
  table: T,
  before: RecordOf<T>,
  after: RecordOf<T>,
  at: string,
): Change {
  const same = JSON.stringify(before) === JSON.stringify(after);
  const stamped = !same && 'updatedAt' in after ? { ...after, updatedAt: at } : after;
  return { table, before, after: stamped } as Change;
}

/** Changes that put these records, whatever stood there before. */
async function puts(kept: Database, records: Records): Promise<Change[]> {
  const changes: Change[] = [];
  for (const table of RECORD_TABLES) {
    const own: readonly RecordOf<RecordTable>[] = records[table];
    const old = await kept.table<object, string>(table).bulkGet(own.map(({ id }) => id));
    own.forEach((after, at) => changes.push({ table, before: old[at] ?? null, after } as Change));
  }
  return changes;
}
