'use client';

import { startTransition, useEffect, useState } from 'react';
import type { Schedule } from '@/core/day/schedule';
import type { Gear } from '@/core/records/outing';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { rehearse, stopRehearsal } from '@/workers/rehearse';
import type { Decisions, RehearsalWish } from '@/workers/rehearse';
import { plannedDay } from '../data/workedDay';
import { whyText } from '@/words/whyText';

export interface Rehearsed {
  /** Of the day as it was a moment ago, until the first figures of the new one are there. */
  report: Rehearsal | null;
  /** `null` while they are looked for. */
  decisions: Decisions | null;
  running: boolean;
  failed: string | null;
  /** Another for every rehearsal that was begun, from its first figures on: whose days can be looked at. */
  begun: object | null;
  stop: () => void;
}

/** A day lived through beside the page, told as it is counted; anew when the day or the wish is another. */
export function useRehearsal(day: Schedule, gear: readonly Gear[], wish: RehearsalWish): Rehearsed {
  const [state, setState] = useState<Omit<Rehearsed, 'stop'>>({
    report: null,
    decisions: null,
    running: true,
    failed: null,
    begun: null,
  });
  useEffect(() => {
    let current = true;
    const begun = {};
    // What is told of hundreds of shots is drawn between whatever the person does.
    const put = (change: Partial<Omit<Rehearsed, 'stop'>>): void => {
      if (current) startTransition(() => setState((before) => ({ ...before, ...change })));
    };
    rehearse(plannedDay(day, gear), wish, (report) =>
      put({ report, running: true, decisions: null, begun }),
    ).then(
      (decisions) => put({ decisions, running: false, failed: null }),
      (error: unknown) => put({ running: false, failed: whyText(error) }),
    );
    return () => {
      current = false;
    };
  }, [day, gear, wish]);
  return {
    ...state,
    stop: () => {
      stopRehearsal();
      setState((before) => ({ ...before, running: false }));
    },
  };
}
