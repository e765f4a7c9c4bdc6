import { omit } from '../units/omit';
import { clockTime, inOrder, minutesOf } from './entries';
import type { Outing, OutingDay, OutingEntry } from './outing';

/** Changes of a day's order and times. Lengths are in minutes, given by whoever knows the shots. */
type LengthOf = (entry: OutingEntry) => number;

export function withDay(outing: Outing, dayId: string, change: (day: OutingDay) => OutingDay): Outing {
  return { ...outing, days: outing.days.map((day) => (day.id === dayId ? change(day) : day)) };
}

/** One entry at another time, kept within its day. */
export function entryAt(day: OutingDay, entryId: string, minute: number): OutingDay {
  return {
    ...day,
    entries: inOrder(
      day.entries.map((entry) => (entry.id === entryId ? { ...entry, at: clockTime(minute) } : entry)),
    ),
  };
}

/**
 * One entry taken to another place in the order. It starts when the one before it ends, and what it would overlap moves
 * on by as much as it must. At the front it takes the first one's time.
 */
export function reordered(day: OutingDay, entryId: string, to: number, lengthOf: LengthOf): OutingDay {
  const entries = inOrder(day.entries);
  const moved = entries.find(({ id }) => id === entryId);
  if (!moved) return day;
  const others = entries.filter(({ id }) => id !== entryId);
  const place = Math.min(others.length, Math.max(0, to));
  const before = others[place - 1];
  const first = others[0];
  const start = before
    ? minutesOf(before.at) + Math.ceil(lengthOf(before))
    : first
      ? minutesOf(first.at)
      : minutesOf(moved.at);
  const placed: OutingEntry = { ...moved, at: clockTime(start) };
  const row = [...others.slice(0, place), placed, ...others.slice(place)];
  let free = start + Math.ceil(lengthOf(placed));
  return {
    ...day,
    entries: row.map((entry, at) => {
      if (at <= place) return entry;
      const own = minutesOf(entry.at);
      const pushed = Math.max(own, free);
      free = pushed === own ? 0 : pushed + Math.ceil(lengthOf(entry));
      return pushed === own ? entry : { ...entry, at: clockTime(pushed) };
    }),
  };
}

/** The time after the last entry of a day, for the next. */
export function freeMinute(day: OutingDay, lengthOf: LengthOf): number {
  const ends = day.entries.map((entry) => minutesOf(entry.at) + Math.ceil(lengthOf(entry)));
  return Math.min(1430, Math.max(9 * 60, ...ends));
}

/** A day as it could be done once more on another date: nothing of it recorded yet. */
export function duplicatedDay(day: OutingDay, date: string, newId: () => string): OutingDay {
  return {
    ...omit(omit(day, 'ends'), 'keptDays'),
    id: newId(),
    date,
    entries: day.entries.map((entry): OutingEntry => {
      if (entry.what !== 'shot') return { ...entry, id: newId() };
      return { ...omit(entry, 'done'), id: newId() };
    }),
  };
}

/** An entry taken from one day to another, at the same time of the clock. */
export function movedToDay(outing: Outing, entryId: string, dayId: string): Outing {
  const entry = outing.days.flatMap(({ entries }) => entries).find(({ id }) => id === entryId);
  if (!entry) return outing;
  return {
    ...outing,
    days: outing.days.map((day) => {
      const others = day.entries.filter(({ id }) => id !== entryId);
      if (day.id === dayId) return { ...day, entries: inOrder([...others, entry]) };
      return others.length === day.entries.length ? day : { ...day, entries: others };
    }),
  };
}
