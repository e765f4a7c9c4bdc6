import type { DayPart } from '../day/schedule';
import type { Span } from '../light/sun/day';
import type { Outing, ShotEntry } from '../records/outing';
import { withDay } from '../records/dayEdits';

/** A stop within a recording, so that its cameras can be reached or cool. */
export interface Stop {
  afterMinutes: number;
  minutes: number;
}

/** One more stop within a recording. */
export type StopChange = { what: 'stop'; entryId: string } & Stop;

/** Stops within a recording, in the place of those that it has. */
export interface StopsChange {
  what: 'stops';
  entryId: string;
  stops: readonly Stop[];
}

/** Recordings from this on may be stopped half way, for so long; minutes. */
const FROM = 15;
const MINUTES = 5;

/** Half way through each recording that is long and has no stop. */
export function stopsHalfWay(parts: readonly DayPart[]): StopChange[] {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()];
  return entries.flatMap(({ entryId, stretches, fromMs, toMs }): StopChange[] => {
    const minutes = (toMs - fromMs) / 60_000;
    if (stretches.length > 1 || minutes < FROM) return [];
    return [{ what: 'stop', entryId, afterMinutes: Math.round(minutes / 2), minutes: MINUTES }];
  });
}

/** A part with more stops within what it records. */
export function stopped(part: DayPart, stops: readonly Stop[]): DayPart {
  let stretches = [...part.stretches];
  for (const { afterMinutes, minutes } of [...stops].sort((a, b) => a.afterMinutes - b.afterMinutes)) {
    const later = ({ fromMs, toMs }: Span): Span => ({
      fromMs: fromMs + minutes * 60_000,
      toMs: toMs + minutes * 60_000,
    });
    let left = afterMinutes * 60_000;
    stretches = stretches.flatMap((span) => {
      if (left === Infinity) return [later(span)];
      const length = span.toMs - span.fromMs;
      if (left >= length) {
        left -= length;
        return [span];
      }
      const cut = span.fromMs + left;
      left = Infinity;
      if (cut <= span.fromMs) return [later(span)];
      return [{ fromMs: span.fromMs, toMs: cut }, later({ fromMs: cut, toMs: span.toMs })];
    });
  }
  return { ...part, stretches, toMs: stretches.at(-1)?.toMs ?? part.toMs };
}

/** A part recorded without a stop. */
export function unstopped(part: DayPart): DayPart {
  const recordMs = part.stretches.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);
  const toMs = part.fromMs + recordMs;
  return { ...part, stretches: [{ fromMs: part.fromMs, toMs }], toMs };
}

export function withStop(parts: readonly DayPart[], change: StopChange | StopsChange): DayPart[] {
  return parts.map((part) => {
    if (part.entryId !== change.entryId) return part;
    return change.what === 'stop' ? stopped(part, [change]) : stopped(unstopped(part), change.stops);
  });
}

export function stopTaken(outing: Outing, dayId: string, change: StopChange | StopsChange): Outing {
  const after = (pauses: ShotEntry['pauses']): ShotEntry['pauses'] =>
    change.what === 'stop'
      ? [...pauses, { afterMinutes: change.afterMinutes, minutes: change.minutes }]
      : change.stops.map(({ afterMinutes, minutes }) => ({ afterMinutes, minutes }));
  return withDay(outing, dayId, (day) => ({
    ...day,
    entries: day.entries.map((entry) =>
      entry.what === 'shot' && entry.id === change.entryId
        ? { ...entry, pauses: after(entry.pauses) }
        : entry,
    ),
  }));
}
