'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useMemo } from 'react';
import { takenOf, withLearned } from '@/core/records/figures';
import type { Learned, LearnedRecord } from '@/core/records/learned';
import type { Shot } from '@/core/records/shot';
import type { Repository } from '@/store/repository';

const NONE: readonly Learned[] = [];

/** The person's own figures that are in use; one list for all who answer with them. */
export const TakenContext = createContext<readonly Learned[]>(NONE);

export function useTaken(): readonly Learned[] {
  return useContext(TakenContext);
}

/** What the person decided of each figure; undefined while it loads. */
export function useDecisions(repository: Repository | null): LearnedRecord[] | undefined {
  return useLiveQuery(
    async () => (repository ? repository.database.learned.toArray() : undefined),
    [repository],
  );
}

export function useTakenOf(repository: Repository | null): readonly Learned[] {
  const decisions = useDecisions(repository);
  return useMemo(() => (decisions ? takenOf(decisions) : NONE), [decisions]);
}

/** A shot as it is answered: with the person's own figures. */
export function useWithLearned(shot: Shot): Shot {
  const taken = useTaken();
  return useMemo(() => withLearned(shot, taken), [shot, taken]);
}
