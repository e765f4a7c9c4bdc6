'use client';

import { useEffect, useState } from 'react';
import type { Schedule } from '@/core/day/schedule';
import type { Gear } from '@/core/records/outing';
import type { TimeLimits, TimesSearch } from '@/core/rehearse/times';
import { searchTimes, stopTimes } from '@/workers/rehearse';
import type { DrawnFrom, TimesFound } from '@/workers/rehearse';
import { plannedDay } from '../data/workedDay';
import { whyText } from '@/words/whyText';

export type Search = ({ how: 'looking' } & TimesSearch) | TimesFound | { how: 'failed'; why: string };

interface Searching {
  search: Search | null;
  look: (limits: TimeLimits) => void;
  stop: () => void;
  /** What was found is put aside. */
  leave: () => void;
}

const NOTHING_TRIED: TimesSearch = { tried: 0, loss: 0 };

/**
 * A search of the day as it is now. What was found of another day is not shown; a search under way when the day changes
 * goes on with the day as it has become.
 */
export function useTimesSearch(schedule: Schedule, gear: readonly Gear[], from: DrawnFrom): Searching {
  const [wanted, setWanted] = useState<TimeLimits | null>(null);
  const [progress, setProgress] = useState<TimesSearch>(NOTHING_TRIED);
  const [found, setFound] = useState<{ of: readonly unknown[]; search: Search } | null>(null);
  useEffect(() => {
    if (!wanted) return undefined;
    let current = true;
    const put = (search: Search): void => {
      if (!current) return;
      setFound({ of: [schedule, gear, from], search });
      setWanted(null);
    };
    searchTimes(plannedDay(schedule, gear), from, wanted, (tried) => {
      if (current) setProgress(tried);
    }).then(put, (error: unknown) => put({ how: 'failed', why: whyText(error) }));
    return () => {
      current = false;
      stopTimes();
    };
  }, [wanted, schedule, gear, from]);
  const put = (limits: TimeLimits | null): void => {
    setFound(null);
    setProgress(NOTHING_TRIED);
    setWanted(limits);
  };
  const isOfNow = found !== null && isSame(found.of, [schedule, gear, from]);
  return {
    search: wanted ? { how: 'looking', ...progress } : isOfNow ? found.search : null,
    look: put,
    stop: stopTimes,
    leave: () => put(null),
  };
}

function isSame(before: readonly unknown[], now: readonly unknown[]): boolean {
  return now.every((one, at) => one === before[at]);
}
