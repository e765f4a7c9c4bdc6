import type { Backup } from '@/core/plan/backup';
import { withKitCamera, withKitFilter } from '@/core/plan/kitCamera';
import type { KitItem, Thing } from '@/core/plan/kitItem';
import type { CutReason, LogEntry, Verdict } from '@/core/plan/logEntry';
import type { Outing } from '@/core/plan/outing';
import { withEntry } from '@/core/plan/entries';
import { without } from '@/core/plan/without';
import { shotOfAngle } from '@/core/plan/secondAngles';
import type { Settings } from '@/core/plan/settings';
import type { Shot } from '@/core/plan/shot';
import type { ShotRecord } from '@/core/plan/shotRecord';
import type { Database } from './database';
import { History } from './history';
import type { Change } from './history';

/** What the store asks of the world around it: a clock and a source of ids, so that tests can give their own. */
export interface World {
  now: () => Date;
  newId: () => string;
}

/** All that a person keeps. */
export type Records = Pick<Backup, 'shots' | 'log' | 'kit' | 'outings'>;

const browserWorld: World = { now: () => new Date(), newId: () => crypto.randomUUID() };

/** Keeps shots, log and kit: every deed is one transaction and one step of undo. */
export class Keeper {
  readonly history: History;

  constructor(
    readonly database: Database,
    private readonly world: World = browserWorld,
  ) {
    this.history = new History(database);
  }

  private turn: Promise<unknown> = Promise.resolve();

  /** One change reads and writes before the next one reads: two quick taps never overwrite each other. */
  private inTurn<T>(deed: () => Promise<T>): Promise<T> {
    const mine = this.turn.then(deed, deed);
    this.turn = mine.catch(() => undefined);
    return mine;
  }

  /** Keeps a new shot and gives its id. */
  async addShot(shot: Shot, label = 'keep a shot'): Promise<string> {
    const record = this.recordOf(shot);
    await this.history.commit(label, [{ table: 'shots', before: null, after: record }]);
    return record.id;
  }

  async addShots(shots: readonly Shot[], label: string): Promise<void> {
    await this.history.commit(
      label,
      shots.map((shot): Change => ({ table: 'shots', before: null, after: this.recordOf(shot) })),
    );
  }

  /** Changes a shot; gives the time now written on it, or null when nothing changed. */
  changeShot(id: string, label: string, change: (shot: Shot) => Shot): Promise<string | null> {
    return this.inTurn(async () => {
      const before = await this.database.shots.get(id);
      if (!before) return null;
      const shot = change(before.shot);
      if (JSON.stringify(shot) === JSON.stringify(before.shot)) return null;
      return this.putShot(label, before, { ...before, shot });
    });
  }

  tick(id: string, entry: string, on: boolean): Promise<void> {
    return this.inTurn(() => this.ticked(id, entry, on));
  }

  private async ticked(id: string, entry: string, on: boolean): Promise<void> {
    const before = await this.database.shots.get(id);
    if (!before) return;
    const others = before.ticked.filter((ticked) => ticked !== entry);
    await this.putShot(on ? 'tick a check' : 'untick a check', before, {
      ...before,
      ticked: on ? [...others, entry] : others,
    });
  }

  /** Removes a shot. Its log stays: what was recorded was recorded. */
  async removeShot(id: string): Promise<void> {
    const before = await this.database.shots.get(id);
    if (before) await this.history.commit('remove a shot', [{ table: 'shots', before, after: null }]);
  }

  /** Writes a recording to the log, with the settings as they are now; gives the entry's id. `angle` names one of several cameras; `came`, what the camera itself wrote. */
  async record(
    shotId: string,
    settings: Settings,
    angle = 0,
    came: { clip: NonNullable<LogEntry['clip']>; cutReason: CutReason | null } | null = null,
  ): Promise<string | null> {
    const kept = await this.database.shots.get(shotId);
    if (!kept) return null;
    const noted = this.logEntryOf(kept, settings, angle, this.world.now().toISOString());
    const cut = came?.cutReason;
    const entry: LogEntry = {
      ...noted,
      ...(came ? { clip: came.clip } : {}),
      ...(cut ? { verdicts: ['cutOff'], cutReason: cut } : {}),
    };
    await this.history.commit('note a recording', [{ table: 'log', before: null, after: entry }]);
    return entry.id;
  }

  async judge(
    id: string,
    what: { verdicts?: Verdict[]; cutReason?: CutReason | null; note?: string },
  ): Promise<void> {
    const before = await this.database.log.get(id);
    if (!before) return;
    const { cutReason: oldReason, ...rest } = before;
    const verdicts = what.verdicts ?? before.verdicts;
    const cutReason = what.cutReason === undefined ? oldReason : (what.cutReason ?? undefined);
    const after: LogEntry = {
      ...rest,
      verdicts,
      note: what.note ?? before.note,
      ...(cutReason !== undefined && verdicts.includes('cutOff') ? { cutReason } : {}),
    };
    await this.history.commit('change a verdict', [{ table: 'log', before, after }]);
  }

  async removeEntry(id: string): Promise<void> {
    const before = await this.database.log.get(id);
    if (before) await this.history.commit('remove a log entry', [{ table: 'log', before, after: null }]);
  }

  /** Keeps a new thing in the kit and gives its id. */
  async addKit(make: (id: string) => Thing, label: string): Promise<string> {
    const id = this.world.newId();
    const at = this.world.now().toISOString();
    const item: KitItem = {
      kind: 'lynxeye/kit-item',
      version: 1,
      id,
      createdAt: at,
      updatedAt: at,
      demo: false,
      archived: false,
      note: '',
      thing: make(id),
    };
    await this.history.commit(label, [{ table: 'kit', before: null, after: item }]);
    return id;
  }

  /** Changes a thing; a camera or filter changes in every shot that carries it, in the same step of undo. */
  async changeKit(id: string, label: string, change: (item: KitItem) => KitItem): Promise<void> {
    const before = await this.database.kit.get(id);
    if (!before) return;
    const changed = change(before);
    if (JSON.stringify(changed) === JSON.stringify(before)) return;
    const updatedAt = this.world.now().toISOString();
    const after = { ...changed, updatedAt };
    const changes: Change[] = [{ table: 'kit', before, after }];
    const { thing } = after;
    if (thing.what === 'camera' || thing.what === 'filter') {
      for (const record of await this.database.shots.toArray()) {
        const shot =
          thing.what === 'camera'
            ? withKitCamera(record.shot, thing.profile)
            : withKitFilter(record.shot, thing.filter);
        if (shot !== record.shot)
          changes.push({ table: 'shots', before: record, after: { ...record, shot } });
      }
    }
    await this.history.commit(label, changes);
  }

  async removeKit(id: string): Promise<void> {
    const before = await this.database.kit.get(id);
    if (before) await this.history.commit('remove from the kit', [{ table: 'kit', before, after: null }]);
  }

  /** Keeps a new outing and gives its id. */
  async addOuting(
    make: (id: string, at: string) => Outing,
    shots: readonly ShotRecord[] = [],
    label = 'keep an outing',
  ): Promise<string> {
    const id = this.world.newId();
    const after = make(id, this.world.now().toISOString());
    await this.history.commit(label, [
      ...shots.map((shot): Change => ({ table: 'shots', before: null, after: shot })),
      { table: 'outings', before: null, after },
    ]);
    return id;
  }

  /**
   * Changes an outing, and shots that change with it, in one step of undo.
   */
  changeOuting(
    id: string,
    label: string,
    change: (outing: Outing) => Outing,
    shots: ReadonlyMap<string, (shot: Shot) => Shot> = new Map(),
  ): Promise<void> {
    return this.inTurn(() => this.outingChanged(id, label, change, shots));
  }

  private async outingChanged(
    id: string,
    label: string,
    change: (outing: Outing) => Outing,
    shots: ReadonlyMap<string, (shot: Shot) => Shot>,
  ): Promise<void> {
    const before = await this.database.outings.get(id);
    if (!before) return;
    const at = this.world.now().toISOString();
    const changes: Change[] = [];
    for (const [shotId, changeShot] of shots) {
      const old = await this.database.shots.get(shotId);
      if (!old) continue;
      const shot = changeShot(old.shot);
      if (JSON.stringify(shot) !== JSON.stringify(old.shot))
        changes.push({ table: 'shots', before: old, after: { ...old, shot, updatedAt: at } });
    }
    const changed = change(before);
    if (JSON.stringify(changed) !== JSON.stringify(before))
      changes.push({ table: 'outings', before, after: { ...changed, updatedAt: at } });
    await this.history.commit(label, changes);
  }

  async removeOuting(id: string): Promise<void> {
    const before = await this.database.outings.get(id);
    if (before) await this.history.commit('remove an outing', [{ table: 'outings', before, after: null }]);
  }

  /** A shot as it would be kept, with an id of its own. */
  newRecord(shot: Shot): ShotRecord {
    return this.recordOf(shot);
  }

  newId(): string {
    return this.world.newId();
  }

  /** What became of an entry of a day: its mark, and a line in the log for each camera when it was recorded. */
  markEntry(
    outingId: string,
    entryId: string,
    done: 'recorded' | 'skipped' | null,
    settings: readonly { part: number; settings: Settings }[] = [],
  ): Promise<void> {
    return this.inTurn(() => this.marked(outingId, entryId, done, settings));
  }

  private async marked(
    outingId: string,
    entryId: string,
    done: 'recorded' | 'skipped' | null,
    settings: readonly { part: number; settings: Settings }[],
  ): Promise<void> {
    const outing = await this.database.outings.get(outingId);
    if (!outing) return;
    const at = this.world.now().toISOString();
    const entry = outing.days.flatMap(({ entries }) => entries).find((one) => one.id === entryId);
    const kept = entry?.what === 'shot' ? await this.database.shots.get(entry.shotId) : undefined;
    const after = withEntry(outing, entryId, (one) => {
      if (one.what !== 'shot') return one;
      return done ? { ...one, done: { how: done, at } } : without(one, 'done');
    });
    const label =
      done === 'recorded' ? 'note a recording' : done === 'skipped' ? 'skip a shot' : 'unmark a shot';
    await this.history.commit(label, [
      { table: 'outings', before: outing, after: { ...after, updatedAt: at } },
      ...(kept && done === 'recorded'
        ? settings.map(({ part, settings: its }): Change => ({
            table: 'log',
            before: null,
            after: this.logEntryOf(kept, its, part, at),
          }))
        : []),
    ]);
  }

  /** Everything kept, as one file's content. */
  async backup(): Promise<Backup> {
    const { shots, log, kit, outings } = this.database;
    return {
      kind: 'lynxeye/backup',
      version: 1,
      exportedAt: this.world.now().toISOString(),
      shots: await shots.toArray(),
      log: await log.toArray(),
      kit: await kit.toArray(),
      outings: await outings.toArray(),
    };
  }

  /** Takes a checked backup in: new ids are added, known ones replaced. One step of undo. */
  async restore(backup: Records): Promise<{ shots: number; log: number; kit: number; outings: number }> {
    await this.history.commit('import a file', await this.puts(backup));
    const { shots, log, kit, outings } = backup;
    return { shots: shots.length, log: log.length, kit: kit.length, outings: outings.length };
  }

  /** Puts the demo data back as it ships; the person's own shots, log and kit stay. */
  async resetDemo(demo: Records): Promise<void> {
    const { shots, kit, outings } = this.database;
    const gone = <T extends { id: string; demo: boolean }>(kept: readonly T[], put: readonly T[]): T[] => {
      const again = new Set(put.map(({ id }) => id));
      return kept.filter(({ demo: own, id }) => own && !again.has(id));
    };
    const goneShots = gone(await shots.toArray(), demo.shots);
    const goneKit = gone(await kit.toArray(), demo.kit);
    const goneOutings = gone(await outings.toArray(), demo.outings);
    await this.history.commit('reset the demo shots', [
      ...goneShots.map((before): Change => ({ table: 'shots', before, after: null })),
      ...goneKit.map((before): Change => ({ table: 'kit', before, after: null })),
      ...goneOutings.map((before): Change => ({ table: 'outings', before, after: null })),
      ...(await this.puts(demo)),
    ]);
  }

  /** The first open of an empty database gets the demo data, once; it is no step of undo. */
  async seed(demo: Records): Promise<boolean> {
    const { shots, log, kit, outings, choices } = this.database;
    return this.database.transaction('rw', [shots, log, kit, outings, choices], async () => {
      if ((await choices.get('seeded')) !== undefined || (await shots.count()) > 0) return false;
      await choices.put({ key: 'seeded', value: 'yes' });
      await shots.bulkPut([...demo.shots]);
      await log.bulkPut([...demo.log]);
      await kit.bulkPut([...demo.kit]);
      await outings.bulkPut([...demo.outings]);
      return true;
    });
  }

  /** Changes that put these records, whatever stood there before. */
  private async puts({ shots, log, kit, outings }: Records): Promise<Change[]> {
    const [oldShots, oldLog, oldKit, oldOutings] = await Promise.all([
      this.database.shots.bulkGet(shots.map(({ id }) => id)),
      this.database.log.bulkGet(log.map(({ id }) => id)),
      this.database.kit.bulkGet(kit.map(({ id }) => id)),
      this.database.outings.bulkGet(outings.map(({ id }) => id)),
    ]);
    return [
      ...shots.map((after, at): Change => ({ table: 'shots', before: oldShots[at] ?? null, after })),
      ...log.map((after, at): Change => ({ table: 'log', before: oldLog[at] ?? null, after })),
      ...kit.map((after, at): Change => ({ table: 'kit', before: oldKit[at] ?? null, after })),
      ...outings.map((after, at): Change => ({ table: 'outings', before: oldOutings[at] ?? null, after })),
    ];
  }

  async choose(key: string, value: string): Promise<void> {
    await this.database.choices.put({ key, value });
  }

  private logEntryOf(kept: ShotRecord, settings: Settings, angle: number, at: string): LogEntry {
    const shot = shotOfAngle(kept.shot, angle);
    return {
      kind: 'lynxeye/log-entry',
      version: 1,
      id: this.world.newId(),
      shotId: kept.id,
      shotName: shot.name ?? 'Untitled shot',
      at,
      settings,
      shot,
      verdicts: [],
      note: '',
    };
  }

  private recordOf(shot: Shot): ShotRecord {
    const at = this.world.now().toISOString();
    return { id: this.world.newId(), createdAt: at, updatedAt: at, demo: false, shot, ticked: [] };
  }

  private async putShot(label: string, before: ShotRecord, after: ShotRecord): Promise<string> {
    const stamped = { ...after, updatedAt: this.world.now().toISOString() };
    await this.history.commit(label, [{ table: 'shots', before, after: stamped }]);
    return stamped.updatedAt;
  }
}
