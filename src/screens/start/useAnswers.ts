import { useMemo } from 'react';
import { scheduleOf } from '@/core/day/schedule';
import { isTimeLapse } from '@/core/day/partAnswer';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { standingOf, standingsOf } from '@/core/records/standing';
import type { Standing } from '@/core/records/standing';
import { wallClock } from '@/formats/clock';
import { todayIn } from '@/formats/today';
import { workDay } from '@/workers/day';
import type { DayAnswers } from '@/workers/day';
import { shortAnswer } from '@/workers/shots';
import type { ShortAnswer } from '@/workers/shots';

/** Where a list asks for the answer of a kept shot. */
export type AnswerOf = (record: ShotRecord) => Promise<ShortAnswer>;

const ANY = { outingId: null, dayId: null, entryId: null };

/**
 * Answers of kept shots by their main camera: in a plan, what its day carries. Each day that a list names is worked out
 * once, beside the page. `null` while the records load.
 */
export function useAnswers(
  outings: readonly Outing[] | undefined,
  shots: readonly ShotRecord[] | undefined,
): AnswerOf | null {
  return useMemo(() => {
    if (!outings || !shots) return null;
    const kept = new Map(shots.map((record) => [record.id, record]));
    const days = new Map<string, ReturnType<typeof worked>>();
    return async ({ id, shot }) => {
      const standing = standingOf(standingsOf(outings, id), ANY, (zone) => todayIn(zone, Date.now()));
      if (!standing) return shortAnswer(shot);
      const known = days.get(standing.day.id) ?? worked(standing, kept);
      days.set(standing.day.id, known);
      const { schedule, answers } = await known;
      const part = schedule.parts.find(({ entryId }) => entryId === standing.entry.id);
      const answer = part && answers.sheet.parts.get(part.id);
      if (!answer) return shortAnswer(shot);
      // A time-lapse has a plan of its own.
      if (isTimeLapse(part) && answer.carried)
        return { settings: answer.carried.settings, cautions: 0, whyFilter: '' };
      return shortAnswer(part.shot, { held: answer.held?.pins, mainsHz: part.brief.limits.mainsHz });
    };
  }, [outings, shots]);
}

async function worked(
  { outing, day }: Standing,
  kept: ReadonlyMap<string, ShotRecord>,
): Promise<{ schedule: ReturnType<typeof scheduleOf>; answers: DayAnswers }> {
  const schedule = scheduleOf(outing, day.id, kept, wallClock(outing.zone));
  return { schedule, answers: await workDay(schedule, outing.gear) };
}
