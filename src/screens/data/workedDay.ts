'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Cure } from '@/core/cures/cure';
import type { DaySheet } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import type { Schedule } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import type { WorkedDay } from '@/core/day/workedDay';
import { withOwn } from '@/core/records/figures';
import type { OwnValues } from '@/core/records/figures';
import type { Gear, Outing, OutingDay } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { wallClock } from '@/formats/clock';
import { knownDay, workDay } from '@/workers/day';
import type { PlannedDay } from '@/workers/rehearse';
import { useOwn } from './learned';
import { useSame } from './useSame';
import { whyText } from '@/words/whyText';

/** A day of an outing that is open, and all shots that are kept. */
export interface OpenDay {
  outing: Outing;
  day: OutingDay;
  shots: readonly ShotRecord[];
}

export interface DayAtWork {
  /** With the answers of the day as it was a moment ago while the worker is at it; none before its first. */
  day: WorkedDay;
  /** Those of the outing, with the person's own figures. */
  shots: ReadonlyMap<string, ShotRecord>;
  /** What cures whatever runs out. */
  cures: readonly Cure[];
  working: boolean;
  /** Why it could not be worked out. */
  failed: string | null;
}

interface Result {
  dayId: string;
  of: Schedule;
  sheet: DaySheet | null;
  cures: readonly Cure[];
  failed: string | null;
}

const NO_CURES: readonly Cure[] = [];

/**
 * A day that is open: placed here, so that what is moved stands at its new time at once, and worked out
 * in the worker.
 */
export function useWorkedDay({ outing, day: { id: dayId }, shots: all }: OpenDay): DayAtWork {
  const gear = useSame(outing.gear);
  const own = useOwn();
  const shots = useMemo(() => shotsNamedIn(outing, all, own), [all, outing, own]);
  // What is changed elsewhere in the outing, a tick or a note, is no reason to work the day out again.
  const schedule = useSame(
    useMemo(() => scheduleOf(outing, dayId, shots, wallClock(outing.zone)), [outing, dayId, shots]),
  );
  const [result, setResult] = useState<Result | null>(() => {
    const known = knownDay(schedule, gear);
    return known && { dayId, of: schedule, failed: null, ...known };
  });
  useEffect(() => {
    let current = true;
    const take = (made: Pick<Result, 'sheet' | 'cures' | 'failed'>): void => {
      if (current) setResult({ dayId, of: schedule, ...made });
    };
    workDay(schedule, gear)
      .then(({ sheet, cures }) => take({ sheet, cures, failed: null }))
      .catch((error: unknown) =>
        take({
          sheet: null,
          cures: NO_CURES,
          failed: whyText(error),
        }),
      );
    return () => {
      current = false;
    };
  }, [dayId, schedule, gear]);
  const known = result?.dayId === dayId ? result : null;
  const sheet = known?.sheet ?? null;
  const day = useMemo(() => workedDay(schedule, gear, sheet), [schedule, gear, sheet]);
  return {
    day,
    shots,
    cures: known?.cures ?? NO_CURES,
    working: result?.of !== schedule,
    failed: result?.failed ?? null,
  };
}

/** A day for a worker, with what is known of it already. */
export function plannedDay(schedule: Schedule, gear: readonly Gear[]): PlannedDay {
  return { schedule, gear, sheet: knownDay(schedule, gear)?.sheet ?? null };
}

/** Every day of an outing, worked out. */
export function workedDays(outing: Outing, shots: ReadonlyMap<string, ShotRecord>): Promise<WorkedDay[]> {
  const { gear, zone } = outing;
  return Promise.all(
    outing.days.map(async ({ id }) => {
      const schedule = scheduleOf(outing, id, shots, wallClock(zone));
      return workedDay(schedule, gear, (await workDay(schedule, gear)).sheet);
    }),
  );
}

/** The same on a screen; `null` while the worker is at it. */
export function useWholeOuting(outing: Outing, shots: ReadonlyMap<string, ShotRecord>): WorkedDay[] | null {
  const [days, setDays] = useState<WorkedDay[] | null>(null);
  useEffect(() => {
    let current = true;
    void workedDays(outing, shots).then((made) => {
      if (current) setDays(made);
    });
    return () => {
      current = false;
    };
  }, [outing, shots]);
  return days;
}

/** With the person's own figures, as they are answered. */
function shotsNamedIn(
  { days }: Outing,
  all: readonly ShotRecord[],
  own: OwnValues,
): ReadonlyMap<string, ShotRecord> {
  const ids = new Set(
    days.flatMap(({ entries }) => entries.flatMap((entry) => (entry.what === 'shot' ? [entry.shotId] : []))),
  );
  const named = all.filter(({ id }) => ids.has(id));
  return new Map(named.map((one) => [one.id, { ...one, shot: withOwn(one.shot, own) }]));
}
