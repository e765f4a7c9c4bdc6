'use client';

import { useEffect, useState } from 'react';
import { lookAtDays } from '@/workers/rehearse';
import type { LookedAt } from '@/workers/rehearse';
import { useReducedMotion } from '../ui/useMediaQuery';

/** Days asked for at once, at most and with so many parts between them; and how fast they pass, milliseconds. */
const AT_ONCE = 40;
const PARTS_AT_ONCE = 1200;
const EACH_MS = 160;

export interface Days {
  lived: LookedAt | null;
  number: number;
  playing: boolean;
  play: (on: boolean) => void;
  go: (number: number) => void;
}

/**
 * The drawn days one after the other: by themselves until one is chosen, while they are in sight, and not at all where motion
 * is not wanted.
 */
export function useDays(
  draws: number,
  { parts, of, inSight }: { parts: number; of: object | null; inSight: boolean },
): Days {
  const calm = useReducedMotion();
  const atOnce = Math.max(1, Math.min(AT_ONCE, Math.floor(PARTS_AT_ONCE / Math.max(1, parts))));
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
    lookAtDays(number, atOnce).then(
      (fresh) => {
        if (current) setKept({ of, days: new Map(fresh.map((one) => [one.number, one])) });
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [known, number, of, draws, atOnce]);
  useEffect(() => {
    if (!playing || !inSight || draws === 0) return undefined;
    const timer = setInterval(() => setNumber((before) => (before + 1) % draws), EACH_MS);
    return () => clearInterval(timer);
  }, [playing, inSight, draws]);
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
