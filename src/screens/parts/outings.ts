'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { placedDay } from '@/core/day/placedDay';
import type { PlacedDay } from '@/core/day/placedDay';
import type { Outing, OutingDay } from '@/core/plan/outing';
import type { ShotRecord } from '@/core/plan/shotRecord';
import { item } from '@/core/units/items';
import { todayIn, wallClock } from '@/formats/clock';
import { workDay } from '@/workers/day';
import type { DayWorked } from '@/workers/day';
import { useKeeper, useShots } from './keeper';

/** All outings, the last changed first; undefined while they load. */
export function useOutings(): Outing[] | undefined {
  const keeper = useKeeper();
  return useLiveQuery(
    async () => (keeper ? keeper.database.outings.orderBy('updatedAt').reverse().toArray() : undefined),
    [keeper],
  );
}

/** Ids stay in the query, as everywhere. */
export function outingUrl(
  path: '/outing' | '/carry' | '/camera' | '/bench',
  outingId: string,
  dayId: string | null,
  more: Readonly<Record<string, string>> = {},
): string {
  const query = new URLSearchParams({ ...more, outing: outingId, ...(dayId === null ? {} : { day: dayId }) });
  return `${path}?${query.toString()}`;
}

/** Changes what the address says of the open place without asking the server for anything: it works with no network. */
export function readdress(url: string): void {
  window.history.replaceState(null, '', url);
}

export function useOutingAddress(): { outingId: string | null; dayId: string | null } {
  const query = useSearchParams();
  return { outingId: query.get('outing'), dayId: query.get('day') };
}

/** The outing and day that the address names; without one, the next to come, else the last that was. */
export function openDayOf(
  outings: readonly Outing[],
  outingId: string | null,
  dayId: string | null,
): { outing: Outing; day: OutingDay } | null {
  const named = outings.find(({ id }) => id === outingId);
  const outing = named ?? nextOf(outings.filter(({ archived }) => !archived)) ?? outings[0];
  if (!outing) return null;
  const today = todayIn(outing.zone, Date.now());
  const day =
    outing.days.find(({ id }) => id === dayId) ??
    outing.days.find(({ date }) => date >= today) ??
    item(outing.days, 0);
  return { outing, day };
}

function nextOf(outings: readonly Outing[]): Outing | undefined {
  const lastDate = (outing: Outing): string =>
    outing.days
      .map(({ date }) => date)
      .sort()
      .at(-1) ?? '';
  const coming = outings
    .filter((outing) => lastDate(outing) >= todayIn(outing.zone, Date.now()))
    .sort((a, b) => lastDate(a).localeCompare(lastDate(b)));
  return coming[0] ?? [...outings].sort((a, b) => lastDate(b).localeCompare(lastDate(a)))[0];
}

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
