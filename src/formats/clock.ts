import * as messages from '@/language/formats';
import { Temporal } from 'temporal-polyfill';
import { shiftedTo } from '@/core/day/schedule';
import type { Shot } from '@/core/records/shot';
import type { Span } from '@/core/light/sun/day';
import { WordedError } from '@/words/whyText';

/**
 * Instants and the clock on the wall of a place. Days have 23 or 25 hours where the clocks change: an hour that does not
 * exist is taken as the one after it, one that exists twice as the first of the two.
 */
function zoned(atMs: number, zone: string): Temporal.ZonedDateTime {
  // What runs out does so between two milliseconds; clocks know whole ones.
  return Temporal.Instant.fromEpochMilliseconds(Math.round(atMs)).toZonedDateTimeISO(zone);
}

/** The day of an instant at a place, from its first instant to the next day's. */
export function dayAt(atMs: number, zone: string): Span {
  const start = zoned(atMs, zone).startOfDay();
  return {
    fromMs: start.epochMilliseconds,
    toMs: start.add({ days: 1 }).startOfDay().epochMilliseconds,
  };
}

/** "2026-10-03" and "12:40", as date and time fields want them. */
export function dateAndTime(atMs: number, zone: string): { date: string; time: string } {
  const there = zoned(atMs, zone);
  return {
    date: there.toPlainDate().toString(),
    time: there.toPlainTime().toString({ smallestUnit: 'minute' }),
  };
}

/** An instant as the open file writes it: "2026-10-03T12:40:00+02:00". */
export function isoIn(atMs: number, zone: string): string {
  const there = zoned(atMs, zone);
  return there.toString({ timeZoneName: 'never', smallestUnit: 'second' });
}

/** The instant at which a place's clock shows this; `null` for what is no date or time. */
export function instantOf(date: string, time: string, zone: string): number | null {
  try {
    const there = Temporal.PlainDateTime.from(`${date}T${time}`);
    return there.toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds;
  } catch {
    return null;
  }
}

/** The same clock time on another date. */
export function onDate(atMs: number, date: string, zone: string): number | null {
  return instantOf(date, dateAndTime(atMs, zone).time, zone);
}

/** Zones offered for choosing, as this machine knows them. */
export function allZones(): string[] {
  return Intl.supportedValuesOf('timeZone');
}

/** Whole hours of the clock within a span, for the marks of an axis. */
export function wholeHours({ fromMs, toMs }: Span, zone: string): number[] {
  const hours: number[] = [];
  // Zones a half or quarter hour off have their hours there; a change of clocks moves by whole hours or the half.
  for (let at = Math.ceil(fromMs / 900_000) * 900_000; at <= toMs; at += 900_000)
    if (zoned(at, zone).minute === 0) hours.push(at);
  return hours;
}

/** The clock on the wall of a zone; a date or time that is none is a broken plan, which its schema rules out. */
export function wallClock(zone: string): (date: string, time: string) => number {
  return (date, time) => {
    const at = instantOf(date, time, zone);
    if (at === null) throw new WordedError(messages.noInstantIn({ date, time, zone }));
    return at;
  };
}

/** A shot whose sun goes with it to an instant, told by the clock of a zone: summer or winter time. */
export function movedTo(shot: Shot, fromMs: number, zone: string): Shot {
  const moved = shiftedTo(shot, fromMs);
  const { light } = moved;
  if (light?.kind !== 'sun' || (moved === shot && light.zone === zone)) return moved;
  const written = (iso: string): string => isoIn(Date.parse(iso), zone);
  return { ...moved, light: { ...light, zone, from: written(light.from), to: written(light.to) } };
}

/** The date after this one, "2026-10-04". */
export function nextDate(date: string): string {
  return Temporal.PlainDate.from(date).add({ days: 1 }).toString();
}
