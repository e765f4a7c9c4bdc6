import type { Pause, Schedule } from '../day/schedule';
import { withDay } from '../records/dayEdits';
import type { Outing } from '../records/outing';

/** Time for a break between two shots. */
export interface BreakChange {
  what: 'break';
  beforeEntryId: string;
  fromMs: number;
  minutes: number;
}

/** It takes its place in the plan from this on, minutes, and is no longer than that. */
const FROM = 5;
const MOST = 20;

/** Where nothing is planned between two shots, time for one. */
export function breaksBetween({ parts, pauses }: Schedule): BreakChange[] {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()];
  return entries.flatMap((part, at): BreakChange[] => {
    if (at === 0) return [];
    const before = parts.filter((one) => one.fromMs < part.fromMs && one.entryId !== part.entryId);
    const fromMs = Math.max(...before.map(({ toMs }) => toMs));
    const minutes = Math.floor((part.fromMs - fromMs) / 60_000);
    const taken = pauses.some(
      (pause) => pause.kind === 'break' && pause.fromMs < part.fromMs && pause.toMs > fromMs,
    );
    if (taken || minutes < FROM) return [];
    return [{ what: 'break', beforeEntryId: part.entryId, fromMs, minutes: Math.min(MOST, minutes) }];
  });
}

export function withBreak(
  pauses: readonly Pause[],
  { beforeEntryId, fromMs, minutes }: BreakChange,
): readonly Pause[] {
  const own: Pause = {
    id: `break before ${beforeEntryId}`,
    kind: 'break',
    name: '',
    fromMs,
    toMs: fromMs + minutes * 60_000,
    outOfReach: [],
  };
  return [...pauses, own].sort((a, b) => a.fromMs - b.fromMs);
}

/** @param own what the break is in the plan: its id, its name and its time of the clock */
export function breakTaken(
  outing: Outing,
  dayId: string,
  { minutes }: BreakChange,
  own: { id: string; name: string; at: string },
): Outing {
  return withDay(outing, dayId, (day) => ({
    ...day,
    entries: [...day.entries, { what: 'break', ...own, minutes, outOfReach: [] }],
  }));
}
