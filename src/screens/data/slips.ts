'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { USUAL_UNKNOWNS } from '@/core/rehearse/unknowns';
import type { Slips } from '@/core/rehearse/unknowns';
import { useRepository } from './repository';

const KEY = 'slips';
const USUAL = USUAL_UNKNOWNS.slips;
export const SLIPS = Object.keys(USUAL) as (keyof Slips)[];

/** How often the person slips, as they said, and a setter that all windows follow. */
export function useSlips(): [Slips, (slip: keyof Slips, chance: number) => void] {
  const repository = useRepository();
  const kept = useLiveQuery(
    async () => (repository ? repository.queries.choice(KEY) : undefined),
    [repository],
  );
  const slips = useMemo(() => slipsIn(kept), [kept]);
  return [
    slips,
    (slip, chance) => void repository?.choose(KEY, JSON.stringify({ ...slips, [slip]: chance })),
  ];
}

/** What is not a chance is the usual one. */
function slipsIn(kept: string | undefined): Slips {
  if (kept === undefined) return USUAL;
  try {
    const given = JSON.parse(kept) as Partial<Record<keyof Slips, unknown>>;
    return Object.fromEntries(
      SLIPS.map((slip) => {
        const chance = given[slip];
        return [slip, typeof chance === 'number' && chance >= 0 && chance <= 1 ? chance : USUAL[slip]];
      }),
    ) as unknown as Slips;
  } catch {
    return USUAL;
  }
}
