'use client';

import { useEffect, useState } from 'react';
import type { Clip } from '@/core/records/clip';
import { alignClips } from '@/workers/clips';
import { useClipFiles } from './clipFiles';

/** How much later the second of two clips began than the first, seconds, and how that is known. */
export interface Offset {
  seconds: number;
  by: 'sound' | 'clock' | 'apart' | 'nothing';
  /** The sounds are still being listened to. */
  listening: boolean;
}

export function lengthOf({ measured }: Clip): number {
  return measured.container.durationSeconds;
}

/** By what both heard where both files are at hand, else by their clocks put right; of other times, both from their beginning. */
export function useOffset(first: Clip, second: Clip): Offset {
  const one = useClipFiles((state) => state.files.get(first.id));
  const other = useClipFiles((state) => state.files.get(second.id));
  const [heard, setHeard] = useState<{ of: string; seconds: number | null } | null>(null);
  const of = `${first.id} ${second.id}`;
  const both = one !== undefined && other !== undefined;
  useEffect(() => {
    if (!one || !other) return;
    let wanted = true;
    void alignClips(one, other)
      .then((aligned) => aligned?.offsetSeconds ?? null)
      .catch(() => null)
      .then((seconds) => {
        if (wanted) setHeard({ of, seconds });
      });
    return () => {
      wanted = false;
    };
  }, [one, other, of]);
  const told = both && heard?.of === of ? heard : null;
  if (told && told.seconds !== null) return { seconds: told.seconds, by: 'sound', listening: false };
  const listening = both && told === null;
  if (first.startAt === null || second.startAt === null) return { seconds: 0, by: 'nothing', listening };
  const seconds = (Date.parse(second.startAt) - Date.parse(first.startAt)) / 1000;
  const apart = seconds >= lengthOf(first) || -seconds >= lengthOf(second);
  return apart ? { seconds: 0, by: 'apart', listening } : { seconds, by: 'clock', listening };
}
