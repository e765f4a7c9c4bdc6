import { namedPart, shotName } from '@/words/shotName';
import * as messages from '@/language/store';
import { withEntry, withoutEntries } from '@/core/records/entries';
import { asInKit } from '@/core/records/kitCamera';
import type { KitItem, Thing } from '@/core/records/kitItem';
import type { Clip } from '@/core/records/clip';
import type { LogEntry } from '@/core/records/logEntry';
import type { CutReason, Verdict } from '@/core/vocabulary/verdicts';
import type { Learned, LearnedRecord } from '@/core/records/learned';
import type { Outing, OutingEntry, ShotEntry } from '@/core/records/outing';
import type { Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import { omit } from '@/core/units/omit';
import { FILE_VERSION } from '@/core/schema/versions';
import { noRecords } from '@/core/records/kinds';
import type { RecordChange } from './step';
import { WholeStore } from './wholeStore';
import { stampedChange } from './writing';

/** An outing that follows a change of one of its shots; the same outing where it need not. */
export interface FollowingOuting {
  outingId: string;
  change: (outing: Outing, before: Shot, after: Shot) => Outing;
}

/** Keeps what a person owns: what is done to each kind of record. */
export class Repository extends WholeStore {
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
        return followed === outing ? [] : [stampedChange('outings', outing, followed, this.at())];
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

  /**
   * Removes a shot, and takes it from every plan where nothing came of it yet; gives the names of those outings. Its log
   * stays, and so do entries that were filmed: what was recorded was recorded.
   */
  async removeShot(id: string): Promise<string[]> {
    const at = this.at();
    const written = await this.history.commit(messages.removeAShot, async ({ shots, outings, clips }) => {
      const before = await shots.get(id);
      if (!before) return [];
      const changes: RecordChange[] = [{ table: 'shots', before, after: null }];
      for (const outing of await outings.toArray()) {
        if (!outing.days.some(({ entries }) => entries.some((one) => isOf(one, id)))) continue;
        const came = await clips.where('outingId').equals(outing.id).toArray();
        const filmed = new Set(came.map(({ entryId }) => entryId));
        const without = withoutEntries(outing, (one) => isOf(one, id) && !one.done && !filmed.has(one.id));
        if (without !== outing) changes.push(stampedChange('outings', outing, without, at));
      }
      return changes;
    });
    return written.flatMap((one) => (one.table === 'outings' && one.after ? [one.after.name] : []));
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
      return (await shots.toArray()).flatMap((record): RecordChange[] => {
        const shot = asInKit(record.shot, [thing]);
        if (shot === record.shot) return [];
        const follows = { ...record, shot, updatedAt: this.at() };
        return [{ table: 'shots', before: record, after: follows, derived: true }];
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
      const changes = [stampedChange('outings', before, change(before), at)];
      for (const [shotId, changeShot] of shots) {
        const old = await kept.shots.get(shotId);
        if (old) changes.push(stampedChange('shots', old, { ...old, shot: changeShot(old.shot) }, at));
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
        ...came.map((clip): RecordChange => ({ table: 'clips', before: clip, after: null })),
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
          return done ? { ...one, done: { how: done, at } } : omit(one, 'done');
        }),
      async (outing, { shots, log }, before) => {
        const marked = shotEntryOf(done === 'recorded' ? outing : before, entryId);
        if (!marked) return [];
        if (done === 'recorded') {
          const kept = await shots.get(marked.shotId);
          if (!kept) return [];
          return settings.map(({ part, settings: its }): RecordChange => ({
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
          .map((entry): RecordChange => ({ table: 'log', before: entry, after: null }));
      },
    );
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
}

function isOf(entry: OutingEntry, shotId: string): entry is ShotEntry {
  return entry.what === 'shot' && entry.shotId === shotId;
}

function shotEntryOf({ days }: Outing, entryId: string): ShotEntry | undefined {
  return days
    .flatMap(({ entries }) => entries)
    .find((one): one is ShotEntry => one.what === 'shot' && one.id === entryId);
}
