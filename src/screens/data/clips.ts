'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import type { Clip } from '@/core/records/clip';
import { useRepository } from './repository';

/** The clips of one day of an outing, in the order they were filmed; undefined while they load. */
export function useClips(outingId: string, dayId: string): Clip[] | undefined {
  const repository = useRepository();
  return useLiveQuery(async () => {
    if (!repository) return undefined;
    const all = await repository.queries.clipsOfOuting(outingId);
    return all.filter((clip) => clip.dayId === dayId).sort(byStart);
  }, [repository, outingId, dayId]);
}

/** Every clip that came back; undefined while they load. */
export function useAllClips(): Clip[] | undefined {
  const repository = useRepository();
  return useLiveQuery(async () => (repository ? repository.queries.all('clips') : undefined), [repository]);
}

/** What was measured of a clip, without its pictures and curves. */
export function withoutPictures(clip: Clip): Clip {
  return { ...clip, frames: [], curves: null };
}

/** Days that clips came back from, by their id; undefined while they load. */
export function useClippedDays(): ReadonlySet<string> | undefined {
  const repository = useRepository();
  return useLiveQuery(
    async () =>
      repository ? new Set((await repository.queries.all('clips')).map(({ dayId }) => dayId)) : undefined,
    [repository],
  );
}

function byStart(one: Clip, other: Clip): number {
  return (
    (one.startAt ?? '').localeCompare(other.startAt ?? '') ||
    one.measured.file.name.localeCompare(other.measured.file.name, 'en', { numeric: true })
  );
}
