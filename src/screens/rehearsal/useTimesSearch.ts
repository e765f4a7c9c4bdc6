'use client';

import { useEffect, useRef, useState } from 'react';
import type { Schedule } from '@/core/day/schedule';
import type { Gear } from '@/core/records/outing';
import type { TimeLimits, TimesSearch } from '@/core/rehearse/times';
import { searchTimes, stopTimes } from '@/workers/rehearse';
import type { DrawnFrom, TimesFound } from '@/workers/rehearse';
import { plannedDay } from '../data/workedDay';

export type Search = ({ how: 'looking' } & TimesSearch) | TimesFound | { how: 'failed'; why: string };

export interface Searching {
  search: Search | null;
  look: (limits: TimeLimits) => void;
  stop: () => void;
  /** What was found is put aside. */
  leave: () => void;
}

/** A search of the day as it is now; what was found of another is not shown. */
export function useTimesSearch(schedule: Schedule, gear: readonly Gear[], from: DrawnFrom): Searching {
  const [found, setFound] = useState<{ of: readonly unknown[]; search: Search } | null>(null);
  const run = useRef(0);
  const drop = (): void => {
    run.current += 1;
    stopTimes();
  };
  useEffect(() => drop, [schedule, gear, from]);
  return {
    search: found && isSame(found.of, [schedule, gear, from]) ? found.search : null,
    look: (limits) => {
      drop();
      const mine = run.current;
      const put = (search: Search): void => {
        if (mine === run.current) setFound({ of: [schedule, gear, from], search });
      };
      put({ how: 'looking', tried: 0, loss: 0 });
      searchTimes(plannedDay(schedule, gear), from, limits, (tried) =>
        put({ how: 'looking', ...tried }),
      ).then(put, (error: unknown) =>
        put({ how: 'failed', why: error instanceof Error ? error.message : String(error) }),
      );
    },
    stop: stopTimes,
    leave: () => {
      drop();
      setFound(null);
    },
  };
}

function isSame(before: readonly unknown[], now: readonly unknown[]): boolean {
  return now.every((one, at) => one === before[at]);
}
