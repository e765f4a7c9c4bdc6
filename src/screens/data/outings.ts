'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import type { Outing, OutingDay } from '@/core/records/outing';
import { item } from '@/core/units/items';
import { todayIn } from '@/formats/today';
import { useRepository } from './repository';

/** All outings, the last changed first; undefined while they load. */
export function useOutings(): Outing[] | undefined {
  const repository = useRepository();
  return useLiveQuery(
    async () => (repository ? repository.queries.latestChanged('outings') : undefined),
    [repository],
  );
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

/** The last day that was, of outings that are not put away. */
export function lastDayOf(outings: readonly Outing[]): { outing: Outing; day: OutingDay } | null {
  const days = outings
    .filter(({ archived }) => !archived)
    .flatMap((outing) =>
      outing.days
        .filter(({ date }) => date <= todayIn(outing.zone, Date.now()))
        .map((day) => ({ outing, day })),
    )
    .sort((one, other) => other.day.date.localeCompare(one.day.date));
  return days[0] ?? null;
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
