'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Outing, OutingDay } from '@/core/records/outing';
import { unknownsOf } from '@/core/rehearse/unknowns';
import { forCards } from '@/workers/rehearse';
import type { ForCards } from '@/workers/rehearse';
import { useOwn } from './learned';
import { useSlips } from './slips';
import { useSame } from './useSame';
import type { DayAtWork } from './workedDay';

const NOTHING: ForCards = { checks: [], readings: new Map() };
/** Any days do: what a slip costs hardly hangs on them. */
const SEED = 1;

/** What checks save and readings say on a day, worked out beside the page; nothing until then. */
export function useForCards(
  { day, working }: DayAtWork,
  outing: Pick<Outing, 'gear'>,
  entries: OutingDay['entries'],
): ForCards {
  const [slips] = useSlips();
  const own = useOwn();
  const [told, setTold] = useState(NOTHING);
  const gear = useSame(outing.gear);
  const { schedule, sheet } = day;
  const readBefore = useMemo(
    () => entries.flatMap((entry) => (entry.what === 'shot' && entry.reading ? [entry.id] : [])).join(' '),
    [entries],
  );
  useEffect(() => {
    if (working || !sheet || schedule.parts.length === 0) return undefined;
    let current = true;
    const read = readBefore.split(' ');
    const ids = schedule.parts.filter(({ entryId, part }) => part === 0 && read.includes(entryId));
    forCards(
      { schedule, gear, sheet },
      { unknowns: unknownsOf(slips, own.learned), seed: SEED },
      ids.map(({ id }) => id),
    ).then(
      (made) => {
        if (current) setTold(made);
      },
      // Cards are as good in the order of hands.
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [gear, readBefore, schedule, sheet, slips, own, working]);
  return told;
}
