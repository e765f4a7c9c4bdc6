import { plannedLater } from '../day/schedule';
import type { Schedule } from '../day/schedule';
import { inOrder } from '../records/entries';
import { withDay } from '../records/dayEdits';
import type { Outing } from '../records/outing';

/** Entries of a day at other times. */
export interface TimesChange {
  what: 'times';
  moves: readonly { entryId: string; fromMs: number; toMs: number }[];
}

/** How much later than planned each entry stands, ms. */
export type Shifts = ReadonlyMap<string, number>;

/** Every entry so much later; light that follows the sun goes with it. */
export function shifted(schedule: Schedule, shifts: Shifts): Schedule {
  const by = (id: string): number => shifts.get(id) ?? 0;
  return {
    ...schedule,
    parts: schedule.parts
      .map((part) => (by(part.entryId) === 0 ? part : plannedLater(part, by(part.entryId))))
      .sort((a, b) => a.fromMs - b.fromMs),
    pauses: schedule.pauses
      .map((pause) => ({ ...pause, fromMs: pause.fromMs + by(pause.id), toMs: pause.toMs + by(pause.id) }))
      .sort((a, b) => a.fromMs - b.fromMs),
  };
}

export function shiftsOf({ moves }: TimesChange): Shifts {
  return new Map(moves.map(({ entryId, fromMs, toMs }) => [entryId, toMs - fromMs]));
}

/** @param clockAt the time of the clock at an instant, "09:05" */
export function timesTaken(
  outing: Outing,
  dayId: string,
  { moves }: TimesChange,
  clockAt: (atMs: number) => string,
): Outing {
  const to = new Map(moves.map(({ entryId, toMs }) => [entryId, clockAt(toMs)]));
  return withDay(outing, dayId, (day) => ({
    ...day,
    entries: inOrder(day.entries.map((one) => ({ ...one, at: to.get(one.id) ?? one.at }))),
  }));
}
