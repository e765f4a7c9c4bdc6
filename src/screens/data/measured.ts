'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import type { MeasuredRecord } from '@/core/records/measured';
import type { MeasuredOf } from '@/store/measuring';
import { useRepository } from './repository';

/** What was measured of a shot or a mount of the kit, the last first. */
export function useMeasured(of: MeasuredOf): readonly MeasuredRecord[] {
  const repository = useRepository();
  const id = 'shotId' in of ? of.shotId : of.kitId;
  const all = useLiveQuery(async () => {
    const kept = (await repository?.queries.all('measured')) ?? [];
    return kept
      .filter((one) => ('shotId' in one.of ? one.of.shotId : one.of.kitId) === id)
      .sort((one, other) => other.createdAt.localeCompare(one.createdAt));
  }, [repository, id]);
  return all ?? [];
}

/** The measurement that a figure in use is from: the last that gave it; `null`: it was told, or is usual. */
export function sourceOf(
  measured: readonly MeasuredRecord[],
  is: MeasuredRecord['figure']['is'],
  inUse: number,
): MeasuredRecord | null {
  return (
    measured.find(({ figure }) => {
      if (figure.is !== is) return false;
      const value = figure.is === 'shake' ? figure.degPerSRms : figure.tiltDeg;
      return Math.abs(value - inUse) < 0.051;
    }) ?? null
  );
}
