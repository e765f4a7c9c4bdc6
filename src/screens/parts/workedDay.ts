'use client';

import { useEffect, useMemo, useState } from 'react';
import { placedDay } from '@/core/day/placedDay';
import type { PlacedDay } from '@/core/day/placedDay';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { wallClock } from '@/formats/clock';
import { workDay } from '@/workers/day';
import type { DayWorked } from '@/workers/day';
import { useShots } from './keeper';

export interface WorkedDay {
  placed: PlacedDay;
  shots: ReadonlyMap<string, ShotRecord>;
  /** What the worker made of it; of the day as it was a moment ago while it is at work. */
  worked: DayWorked | null;
  working: boolean;
  /** Why it could not be worked out. */
  failed: string | null;
}

const NO_SHOTS: readonly ShotRecord[] = [];

/** One day, placed at once and worked out in the worker. */
export function useWorkedDay(outing: Outing, dayId: string): WorkedDay {
  const all = useShots() ?? NO_SHOTS;
  const named = useMemo(() => {
    const ids = new Set(
      outing.days.flatMap(({ entries }) =>
        entries.flatMap((entry) => (entry.what === 'shot' ? [entry.shotId] : [])),
      ),
    );
    return all.filter(({ id }) => ids.has(id));
  }, [all, outing]);
  const shots = useMemo(() => new Map(named.map((shot) => [shot.id, shot])), [named]);
  const placed = useMemo(
    () => placedDay(outing, dayId, shots, wallClock(outing.zone)),
    [outing, dayId, shots],
  );
  const [result, setResult] = useState<{
    of: PlacedDay;
    worked: DayWorked | null;
    failed: string | null;
  } | null>(null);
  useEffect(() => {
    let current = true;
    workDay(outing, dayId, named)
      .then((worked) => {
        if (current) setResult({ of: placed, worked, failed: null });
      })
      .catch((error: unknown) => {
        if (current)
          setResult({
            of: placed,
            worked: null,
            failed: error instanceof Error ? error.message : String(error),
          });
      });
    return () => {
      current = false;
    };
  }, [outing, dayId, named, placed]);
  const worked = result?.worked?.dayId === dayId ? result.worked : null;
  return { placed, shots, worked, working: result?.of !== placed, failed: result?.failed ?? null };
}

/** Every day of an outing, worked out; `null` while the worker is at it. */
export function useWholeOuting(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
): { day: PlacedDay; sheet: DayWorked['sheet'] }[] | null {
  const [result, setResult] = useState<{ day: PlacedDay; sheet: DayWorked['sheet'] }[] | null>(null);
  useEffect(() => {
    let current = true;
    const clock = wallClock(outing.zone);
    void Promise.all(
      outing.days.map(async ({ id }) => ({
        day: placedDay(outing, id, shots, clock),
        sheet: (await workDay(outing, id, [...shots.values()])).sheet,
      })),
    ).then((days) => {
      if (current) setResult(days);
    });
    return () => {
      current = false;
    };
  }, [outing, shots]);
  return result;
}
