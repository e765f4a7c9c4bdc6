import type { Outing, OutingEntry } from './outing';

/** Entries of a day: their order, their times, and one of them changed. No schema is needed for that. */

/** Entries in the order of their clock; those of one time keep their order. */
export function inOrder(entries: readonly OutingEntry[]): OutingEntry[] {
  return [...entries].sort((a, b) => a.at.localeCompare(b.at));
}

/** An outing with one of its entries changed, wherever it stands. */
export function withEntry(
  outing: Outing,
  entryId: string,
  change: (entry: OutingEntry) => OutingEntry,
): Outing {
  return {
    ...outing,
    days: outing.days.map((day) => ({
      ...day,
      entries: day.entries.map((entry) => (entry.id === entryId ? change(entry) : entry)),
    })),
  };
}

/** An outing without some of its entries; the same outing where there are none. */
export function withoutEntries(outing: Outing, goes: (entry: OutingEntry) => boolean): Outing {
  if (!outing.days.some(({ entries }) => entries.some(goes))) return outing;
  return {
    ...outing,
    days: outing.days.map((day) => ({ ...day, entries: day.entries.filter((entry) => !goes(entry)) })),
  };
}

export function minutesOf(at: string): number {
  const [hours = 0, minute = 0] = at.split(':').map(Number);
  return hours * 60 + minute;
}

/** "09:05" from minutes after midnight, kept inside the day. */
export function clockTime(minute: number): string {
  const kept = Math.min(1439, Math.max(0, Math.round(minute)));
  return `${String(Math.floor(kept / 60)).padStart(2, '0')}:${String(kept % 60).padStart(2, '0')}`;
}
