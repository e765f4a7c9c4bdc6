import { useMemo } from 'react';
import { withOwn } from '@/core/records/figures';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { plannedEntryOf, standingsOf } from '@/core/records/plannedEntry';
import { todayIn } from '@/formats/today';
import { carriedAnswers } from '@/workers/day';
import { shortAnswer } from '@/workers/shots';
import type { ShortAnswer } from '@/workers/shots';
import { useOwn } from '../data/learned';

/** Where a list asks for the answer of a kept shot. */
export type AnswerOf = (record: ShotRecord) => Promise<ShortAnswer>;

const ANY = { outingId: null, dayId: null, entryId: null };

/** Answers of kept shots by their main camera: in a plan, what its day carries. `null` while the records load. */
export function useAnswers(
  outings: readonly Outing[] | undefined,
  shots: readonly ShotRecord[] | undefined,
): AnswerOf | null {
  const own = useOwn();
  return useMemo(() => {
    if (!outings || !shots) return null;
    const kept = new Map(shots.map((record) => [record.id, { ...record, shot: withOwn(record.shot, own) }]));
    return async ({ id, shot: bare }) => {
      const shot = withOwn(bare, own);
      const standing = plannedEntryOf(standingsOf(outings, id), ANY, (zone) => todayIn(zone, Date.now()));
      if (!standing) return shortAnswer(shot);
      const { outing, day, entry } = standing;
      const here = day.entries.flatMap((one) => (one.what === 'shot' ? (kept.get(one.shotId) ?? []) : []));
      return (await carriedAnswers(outing, day.id, here)).get(entry.id) ?? shortAnswer(shot);
    };
  }, [outings, shots, own]);
}
