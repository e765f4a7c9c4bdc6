'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useMemo } from 'react';
import { useSearchParams } from 'next/navigation';
import type { DayHold } from '@/core/day/dayHold';
import type { WorkedPart } from '@/core/day/workedDay';
import { entryAt, movedToDay, withDay } from '@/core/records/dayEdits';
import { minutesOf, withEntry } from '@/core/records/entries';
import type { Shot } from '@/core/records/shot';
import type { PlannedEntry } from '@/core/records/plannedEntry';
import { shiftedTo } from '@/core/day/schedule';
import { dateAndTime, movedTo, wallClock } from '@/formats/clock';
import { todayIn } from '@/formats/today';
import type { FollowingOuting } from '@/store/repository';
import { omit } from '@/core/units/omit';
import { namedPart } from '@/words/shotName';
import { useOutingAddress } from '../routes';
import { useRepository } from './repository';
import type { ShotEditing } from './useShotEditing';
import type { DayAtWork, OpenDay } from './workedDay';

/** A shot in the day in which it is looked at, and the other places where it stands. */
export interface InDay {
  standing: PlannedEntry;
  all: readonly PlannedEntry[];
  worked: DayAtWork;
}

export const InDayContext = createContext<InDay | null>(null);

/** The day in which the open shot is looked at; `null` for one that stands in no plan. */
export function useInDay(): InDay | null {
  return useContext(InDayContext);
}

/** Where a shot stands, read in one go so that day and shot fit together. */
export interface Stands {
  standing: PlannedEntry;
  all: readonly PlannedEntry[];
  open: OpenDay;
}

/** `null`: it stands in no plan; undefined while that is looked up. */
export function useStands(shotId: string): Stands | null | undefined {
  const repository = useRepository();
  const { outingId, dayId } = useOutingAddress();
  const entryId = useSearchParams().get('entry');
  return useLiveQuery(async () => {
    if (!repository) return undefined;
    const found = await repository.queries.shotInItsDay(shotId, { outingId, dayId, entryId }, (zone) =>
      todayIn(zone, Date.now()),
    );
    if (!found) return null;
    const { standing, all, outing, day, shots } = found;
    return { standing, all, open: { outing, day, shots } };
  }, [repository, shotId, outingId, dayId, entryId]);
}

export function partIn({ standing, worked }: InDay, part: number): WorkedPart | undefined {
  return worked.day.partsOf(standing.entry.id).find((one) => one.part === part);
}

export function holdIn(inDay: InDay | null, part: number): DayHold | null {
  return (inDay && partIn(inDay, part)?.answer?.held) ?? null;
}

/**
 * A part of a shot as its day has it: its sun at the hour of the day and by the clock of the outing, as long as its entry
 * says. A length set by hand is the shot's own again.
 */
interface InClock {
  shown: (shot: Shot) => Shot;
  kept: (shot: Shot) => Shot;
}

const AS_IT_IS: InClock = { shown: (shot) => shot, kept: (shot) => shot };

/** The way from a part as it is kept to the same at its hour, and back. */
export function useInClock(inDay: InDay | null, part: number): InClock {
  const dayPart = inDay && partIn(inDay, part);
  const record = inDay?.worked.shots.get(inDay.standing.entry.shotId);
  const there = dayPart ? sunFrom(dayPart.shot) : null;
  const here = record ? sunFrom(namedPart(record.shot, part)) : null;
  const byMs = there === null || here === null ? null : there - here;
  const zone = inDay?.standing.outing.zone;
  const lasts = inDay?.standing.entry.recordSeconds;
  const own = record?.shot.limits?.recordSeconds;
  return useMemo(() => {
    if (zone === undefined) return AS_IT_IS;
    const moved = (shot: Shot, by: number): number | null => {
      const from = sunFrom(shot);
      return from === null ? null : from + by;
    };
    return {
      shown: (shot) =>
        withLength(byMs === null ? shot : movedTo(shot, moved(shot, byMs) ?? 0, zone), own, lasts ?? own),
      kept: (shot) =>
        withLength(
          byMs === null || byMs === 0 ? shot : shiftedTo(shot, moved(shot, -byMs) ?? 0),
          lasts ?? own,
          own,
        ),
    };
  }, [byMs, zone, lasts, own]);
}

/** A shot that is so long made as long as that; any other length is left. */
function withLength(shot: Shot, from: number | undefined, to: number | undefined): Shot {
  if (from === to || shot.limits?.recordSeconds !== from) return shot;
  const limits = omit(shot.limits ?? {}, 'recordSeconds');
  if (to !== undefined) return { ...shot, limits: { ...limits, recordSeconds: to } };
  return Object.keys(limits).length > 0 ? { ...shot, limits } : omit(shot, 'limits');
}

/** When a shot's sun begins; `null` where its light is told otherwise. */
function sunFrom({ light }: Shot): number | null {
  return light?.kind === 'sun' ? Date.parse(light.from) : null;
}

/** Editing a part as it is seen at its hour. */
export function editingInClock(editing: ShotEditing, shown: Shot, clock: InClock): ShotEditing {
  if (clock === AS_IT_IS) return editing;
  const { shown: there, kept: back } = clock;
  return {
    shot: shown,
    preview: (label, change) => editing.preview(label, (shot) => back(change(there(shot)))),
    save: (label, change) => editing.save(label, (shot) => back(change(there(shot)))),
    commit: (label, change) => editing.commit(label, change && ((shot) => back(change(there(shot))))),
  };
}

/** The entry goes with its shot's sun: to another minute of its day, or to another day of the outing. */
export function followingEntry({ outing, day, entry }: PlannedEntry): FollowingOuting {
  return {
    outingId: outing.id,
    change: (now, before, after) => {
      const [old, fresh] = [sunFrom(before), sunFrom(after)];
      if (before.limits?.recordSeconds !== after.limits?.recordSeconds)
        return withEntry(now, entry.id, (one) => (one.what === 'shot' ? omit(one, 'recordSeconds') : one));
      if (old === null || fresh === null || old === fresh) return now;
      // Where it stands by now: an earlier move may have been written and not been seen here yet.
      const its = now.days.find(({ entries }) => entries.some(({ id }) => id === entry.id)) ?? day;
      const { at } = its.entries.find(({ id }) => id === entry.id) ?? entry;
      const start = wallClock(now.zone)(its.date, at) + fresh - old;
      const { date, time } = dateAndTime(start, now.zone);
      if (date === its.date) return withDay(now, its.id, (one) => entryAt(one, entry.id, minutesOf(time)));
      const other = now.days.find((one) => one.date === date);
      if (!other) return now;
      return withEntry(movedToDay(now, entry.id, other.id), entry.id, (one) => ({ ...one, at: time }));
    },
  };
}
