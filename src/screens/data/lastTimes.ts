'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { logbookOf } from '@/core/inspect/logbook';
import type { Recording } from '@/core/inspect/logbook';
import type { Repository } from '@/store/repository';
import { withoutPictures } from './clips';
import { useRepository } from './repository';

/** The latest recording of each shot of which anything is known, by the shot; undefined while it is looked up. */
export function useLastTimes(): ReadonlyMap<string, Recording> | undefined {
  const repository = useRepository();
  return useLiveQuery(async () => {
    if (!repository) return undefined;
    const times = new Map<string, Recording>();
    for (const recording of await bookOf(repository)) {
      const { shotId, verdicts, findings } = recording;
      if (shotId === null || times.has(shotId) || verdicts.length + findings.length === 0) continue;
      times.set(shotId, recording);
    }
    return times;
  }, [repository]);
}

/** The latest first. */
export async function bookOf({ queries }: Repository): Promise<Recording[]> {
  const { log, clips, outings } = await queries.together('log', 'clips', 'outings');
  return logbookOf(log, clips.map(withoutPictures), outings);
}
