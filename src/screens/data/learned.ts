'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useMemo } from 'react';
import { NOTHING_OWN, takenOf, withOwn } from '@/core/records/figures';
import type { OwnValues } from '@/core/records/figures';
import type { LearnedRecord } from '@/core/records/learned';
import type { OwnEye } from '@/core/records/ownEye';
import type { Shot } from '@/core/records/shot';
import type { Repository } from '@/store/repository';

/** What is the person's own and in use; one for all who answer with it. */
export const OwnContext = createContext<OwnValues>(NOTHING_OWN);

export function useOwn(): OwnValues {
  return useContext(OwnContext);
}

/** What the person decided of each figure; undefined while it loads. */
export function useDecisions(repository: Repository | null): LearnedRecord[] | undefined {
  return useLiveQuery(async () => (repository ? repository.queries.all('learned') : undefined), [repository]);
}

/** What the person's eye prefers; `null`: they never said, undefined while it loads. */
export function useOwnEye(repository: Repository | null): OwnEye | null | undefined {
  return useLiveQuery(
    async () => (repository ? repository.queries.one('eye', 'mine') : undefined),
    [repository],
  );
}

export function useOwnOf(repository: Repository | null): OwnValues {
  const decisions = useDecisions(repository);
  const mine = useOwnEye(repository)?.weights ?? null;
  const learned = useMemo(() => (decisions ? takenOf(decisions) : NOTHING_OWN.learned), [decisions]);
  return useMemo(() => ({ learned, mine }), [learned, mine]);
}

/** A shot as it is answered: with what is the person's own. */
export function useWithOwn(shot: Shot): Shot {
  const own = useOwn();
  return useMemo(() => withOwn(shot, own), [shot, own]);
}
