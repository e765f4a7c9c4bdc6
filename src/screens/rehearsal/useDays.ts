'use client';

import { useEffect, useState } from 'react';
import { lookAtDays } from '@/workers/rehearse';
import type { LookedAt } from '@/workers/rehearse';
import { useReducedMotion } from '../ui/useMediaQuery';

/** Days asked for at once, and how fast they pass, milliseconds. */
const AT_ONCE = 40;
const EACH_MS = 160;

export interface Days {
  lived: LookedAt | null;
  number: number;
  playing: boolean;
  play: (on: boolean) => void;
  go: (number: number) => void;
}

/** The drawn days one after the other: by themselves until one is chosen, and not at all where motion is not wanted. */
export function useDays(draws: number, of: object | null): Days {
  const calm = useReducedMotion();
  const [asked, play] = useState<boolean | null>(null);
  const playing = asked ?? !calm;
  const [number, setNumber] = useState(0);
  const [kept, setKept] = useState<{ of: object | null; days: ReadonlyMap<number, LookedAt> }>({
    of,
    days: new Map(),
  });
  const days = kept.of === of ? kept.days : null;
  const lived = days?.get(number) ?? null;
  const known = days?.has(number) ?? false;
  useEffect(() => {
    if (known || draws === 0 || !of) return undefined;
    let current = true;
    lookAtDays(number, AT_ONCE).then(
      (fresh) => {
        if (current) setKept({ of, days: new Map(fresh.map((one) => [one.number, one])) });
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [known, number, of, draws]);
  useEffect(() => {
    if (!playing || draws === 0) return undefined;
    const timer = setInterval(() => setNumber((before) => (before + 1) % draws), EACH_MS);
    return () => clearInterval(timer);
  }, [playing, draws]);
  return {
    lived,
    number,
    playing,
    play,
    // Any day can be looked at, those too that are not counted yet.
    go: (to) => {
      play(false);
      setNumber(Math.max(0, to));
    },
  };
}
