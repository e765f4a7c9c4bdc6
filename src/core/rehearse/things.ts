import { camerasOf, partsOfCamera } from '../day/schedule';
import type { DayPart, Schedule } from '../day/schedule';
import { gearOfCamera, oneCardMore, oneCellMore } from '../day/moreGear';
import { USUAL_FILTERS } from '../brief/usual';
import type { Brief } from '../brief/brief';
import type { Filter } from '../filters/kit';
import { schoolOf } from '../loss/schools';
import type { Gear } from '../records/outing';
import { isTimeLapse } from '../records/filmedAs';
import { search } from '../search/search';
import { spaceFor } from '../search/space';

/** One thing more for a day. */
export type Thing =
  | { what: 'cell' | 'card'; gear: Gear }
  | { what: 'filter'; cameraId: string; filter: Filter }
  | { what: 'break'; beforeEntryId: string; fromMs: number; minutes: number }
  /** A stop within a recording, so that its cameras can be reached. */
  | { what: 'stop'; entryId: string; afterMinutes: number; minutes: number };

/** A break takes its place in the plan from this on, minutes, and is no longer than that. */
const BREAK_FROM = 5;
const BREAK_MOST = 20;
/** Recordings from this on may be stopped half way, for so long; minutes. */
const STOP_FROM = 15;
const STOP_MINUTES = 5;

/** What may help a day: a cell or card for each camera, a glass that it would wear, a break, a stop. */
export function thingsFor(schedule: Schedule, gear: readonly Gear[]): Thing[] {
  return [
    ...moreGear(schedule, gear),
    ...moreFilters(schedule),
    ...moreBreaks(schedule),
    ...moreStops(schedule),
  ];
}

/** The day and what it is fed from with this thing beside the others. */
export function withThing(
  schedule: Schedule,
  gear: readonly Gear[],
  thing: Thing,
): { schedule: Schedule; gear: readonly Gear[] } {
  switch (thing.what) {
    case 'break':
      return { schedule: withBreak(schedule, thing), gear };
    case 'stop':
      return { schedule: withStop(schedule, thing), gear };
    case 'filter':
      return { schedule: withFilter(schedule, thing), gear };
    case 'cell':
    case 'card':
      return { schedule, gear: withGear(gear, thing.gear) };
  }
}

function moreGear({ parts }: Schedule, gear: readonly Gear[]): Thing[] {
  return camerasOf(parts).flatMap(({ id }): Thing[] => {
    const own = gearOfCamera(gear, id);
    return [
      { what: 'cell', gear: oneCellMore(own) },
      { what: 'card', gear: oneCardMore(own) },
    ];
  });
}

function withGear(gear: readonly Gear[], own: Gear): Gear[] {
  return [...gear.filter(({ cameraId }) => cameraId !== own.cameraId), own];
}

/** What is sold everywhere and not in a camera's bag, where it would be worn; a camera without any takes none. */
function moreFilters({ parts }: Schedule): Extract<Thing, { what: 'filter' }>[] {
  return camerasOf(parts).flatMap(({ id }) => {
    const own = partsOfCamera(parts, id).filter(takesFilters);
    const wanted = new Map<string, Filter>();
    for (const { brief } of own) {
      const more = USUAL_FILTERS.filter((one) => brief.filters.every((has) => has.id !== one.id));
      const made = spaceFor(withFilters(brief, more), schoolOf(brief.look));
      const worn = made.ok ? (search(made.space)?.candidate.filter.ids ?? []) : [];
      for (const one of more) if (worn.includes(one.id)) wanted.set(one.id, one);
    }
    return [...wanted.values()].map((filter) => ({ what: 'filter' as const, cameraId: id, filter }));
  });
}

function takesFilters({ brief, shot }: DayPart): boolean {
  return brief.filters.length > 0 && !isTimeLapse(shot);
}

function withFilters(brief: Brief, more: readonly Filter[]): Brief {
  return { ...brief, filters: [...brief.filters, ...more] };
}

function withFilter(schedule: Schedule, { cameraId, filter }: Extract<Thing, { what: 'filter' }>): Schedule {
  return {
    ...schedule,
    parts: schedule.parts.map((part) =>
      part.camera.id === cameraId &&
      takesFilters(part) &&
      part.brief.filters.every(({ id }) => id !== filter.id)
        ? {
            ...part,
            shot: { ...part.shot, filters: [...(part.shot.filters ?? part.brief.filters), filter] },
            brief: withFilters(part.brief, [filter]),
          }
        : part,
    ),
  };
}

/** Where nothing is planned between two shots, time for one. */
function moreBreaks({ parts, pauses }: Schedule): Extract<Thing, { what: 'break' }>[] {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()];
  return entries.flatMap((part, at) => {
    if (at === 0) return [];
    const before = parts.filter((one) => one.fromMs < part.fromMs && one.entryId !== part.entryId);
    const fromMs = Math.max(...before.map(({ toMs }) => toMs));
    const minutes = Math.floor((part.fromMs - fromMs) / 60_000);
    const taken = pauses.some(
      (pause) => pause.kind === 'break' && pause.fromMs < part.fromMs && pause.toMs > fromMs,
    );
    if (taken || minutes < BREAK_FROM) return [];
    return [{ what: 'break', beforeEntryId: part.entryId, fromMs, minutes: Math.min(BREAK_MOST, minutes) }];
  });
}

function withBreak(
  schedule: Schedule,
  { beforeEntryId, fromMs, minutes }: Extract<Thing, { what: 'break' }>,
): Schedule {
  const pause = {
    id: `break before ${beforeEntryId}`,
    kind: 'break' as const,
    name: '',
    fromMs,
    toMs: fromMs + minutes * 60_000,
    outOfReach: [],
  };
  return { ...schedule, pauses: [...schedule.pauses, pause].sort((a, b) => a.fromMs - b.fromMs) };
}

function moreStops({ parts }: Schedule): Extract<Thing, { what: 'stop' }>[] {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()];
  return entries.flatMap(({ entryId, stretches, fromMs, toMs }) => {
    const minutes = (toMs - fromMs) / 60_000;
    if (stretches.length > 1 || minutes < STOP_FROM) return [];
    return [{ what: 'stop', entryId, afterMinutes: Math.round(minutes / 2), minutes: STOP_MINUTES }];
  });
}

function withStop(
  schedule: Schedule,
  { entryId, afterMinutes, minutes }: Extract<Thing, { what: 'stop' }>,
): Schedule {
  return {
    ...schedule,
    parts: schedule.parts.map((part) => {
      if (part.entryId !== entryId) return part;
      const stopMs = part.fromMs + afterMinutes * 60_000;
      const goesOnMs = stopMs + minutes * 60_000;
      const toMs = part.toMs + minutes * 60_000;
      return {
        ...part,
        toMs,
        stretches: [
          { fromMs: part.fromMs, toMs: stopMs },
          { fromMs: goesOnMs, toMs },
        ],
      };
    }),
  };
}
