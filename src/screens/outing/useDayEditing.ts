'use client';

import * as messages from '@/language/outing';
import { entrySeconds } from '@/core/day/schedule';
import { outingTaken, shotsTaken } from '@/core/changes/change';
import type { Change, TakenOn } from '@/core/changes/change';
import { allOf } from '@/core/changes/shots';
import type { ShotChanges } from '@/core/changes/shots';
import { entryAt, reordered, withDay } from '@/core/records/dayEdits';
import { clockTime } from '@/core/records/entries';
import type { Outing, OutingDay, OutingEntry } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import { dateAndTime, movedTo, wallClock } from '@/formats/clock';
import { useRepository } from '../data/repository';
import type { DayAtWork } from '../data/workedDay';

/** What may be done to a day; each is one step of undo, and rejects when it was not written. */
export interface DayEditing {
  change: (label: string, change: (outing: Outing) => Outing) => Promise<void>;
  changeDay: (label: string, change: (day: OutingDay) => OutingDay) => Promise<void>;
  changeEntry: (label: string, entryId: string, change: (entry: OutingEntry) => OutingEntry) => Promise<void>;
  /** To another minute of the day; light that follows the sun goes with it. */
  moveTo: (entryId: string, minute: number) => Promise<void>;
  reorder: (entryId: string, to: number) => Promise<void>;
  /** What is offered to be changed, taken. */
  take: (label: string, changes: readonly Change[]) => Promise<void>;
  /** Length of an entry, minutes. */
  lengthOf: (entry: OutingEntry) => number;
}

export function useDayEditing(
  outing: Outing,
  day: OutingDay,
  { day: { parts }, shots }: DayAtWork,
): DayEditing {
  const repository = useRepository();
  const write = (
    label: string,
    change: (outing: Outing) => Outing,
    shotChanges?: ShotChanges,
  ): Promise<void> => repository?.changeOuting(outing.id, label, change, shotChanges) ?? Promise.resolve();
  const lengthOf = (entry: OutingEntry): number => {
    if (entry.what !== 'shot') return entry.minutes;
    const shot = shots.get(entry.shotId);
    return shot ? entrySeconds(entry, shot.shot) / 60 : 1;
  };
  /** Shots of entries that stand at another time now: their sun goes with them. */
  const following = (after: OutingDay): ShotChanges => {
    const clock = wallClock(outing.zone);
    const moved = new Map<string, (shot: Shot) => Shot>();
    for (const entry of after.entries) {
      const before = day.entries.find(({ id }) => id === entry.id);
      if (entry.what === 'shot' && before && (before.at !== entry.at || after.date !== day.date))
        moved.set(entry.shotId, (shot) => movedTo(shot, clock(after.date, entry.at), outing.zone));
    }
    return moved;
  };
  const changeDay: DayEditing['changeDay'] = (label, change) =>
    write(label, (before) => withDay(before, day.id, change), following(change(day)));
  return {
    change: (label, change) => write(label, change),
    changeDay,
    changeEntry: (label, entryId, change) =>
      changeDay(label, (before) => ({
        ...before,
        entries: before.entries.map((entry) => (entry.id === entryId ? change(entry) : entry)),
      })),
    moveTo: (entryId, minute) => {
      const entry = day.entries.find(({ id }) => id === entryId);
      if (!entry || clockTime(minute) === entry.at) return Promise.resolve();
      return changeDay(messages.moveInTime, (before) => entryAt(before, entryId, minute));
    },
    reorder: (entryId, to) =>
      changeDay(messages.changeTheOrder, (before) => reordered(before, entryId, to, lengthOf)),
    take: (label, changes) => {
      const on: TakenOn = {
        dayId: day.id,
        newId: () => repository?.newId() ?? '',
        breakName: messages.aBreak,
        clockAt: (atMs) => dateAndTime(atMs, outing.zone).time,
      };
      const after = outingTaken(outing, changes, on).days.find(({ id }) => id === day.id) ?? day;
      return write(
        label,
        (before) => outingTaken(before, changes, on),
        allOf([shotsTaken(parts, changes), following(after)]),
      );
    },
    lengthOf,
  };
}

/** Minutes of the day at an instant of the schedule. */
export function minuteOf(atMs: number, dayFromMs: number): number {
  return (atMs - dayFromMs) / 60_000;
}
