'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { lastTimes } from '@/core/learn/lastTime';
import type { LastTime } from '@/core/learn/lastTime';
import type { Shot } from '@/core/records/shot';
import { bookOf } from './lastTimes';
import { useRepository } from './repository';

/** What came of a shot like this one; `null`: nothing, undefined while it is looked up. */
export function useLastTime(shotId: string, shot: Shot): LastTime | null | undefined {
  const repository = useRepository();
  const lastTimesOf = useLiveQuery(
    async () =>
      repository
        ? lastTimes(
            await bookOf(repository),
            new Map((await repository.queries.all('shots')).map((one) => [one.id, one.shot])),
          )
        : undefined,
    [repository],
  );
  return useMemo(() => lastTimesOf?.(shotId, shot), [lastTimesOf, shotId, shot]);
}
