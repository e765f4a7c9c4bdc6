import type { Outing, OutingDay, ShotEntry } from './outing';

/** A shot where it stands in a plan: an entry of a day. */
export interface PlannedEntry {
  outing: Outing;
  day: OutingDay;
  entry: ShotEntry;
}

/** What names one of the places where a shot stands; whatever is left open names any. */
export interface StandingWanted {
  outingId: string | null;
  dayId: string | null;
  entryId: string | null;
}

/** Everywhere a shot stands, in time. Outings put away count only where there are no others. */
export function standingsOf(outings: readonly Outing[], shotId: string): PlannedEntry[] {
  const all = outings.flatMap((outing) =>
    outing.days.flatMap((day) =>
      day.entries.flatMap((entry): PlannedEntry[] =>
        entry.what === 'shot' && entry.shotId === shotId ? [{ outing, day, entry }] : [],
      ),
    ),
  );
  const open = all.filter(({ outing }) => !outing.archived);
  return (open.length > 0 ? open : all).sort((a, b) => whenOf(a).localeCompare(whenOf(b)));
}

/** The one that is wanted; else the next that is not over, else the last there was. `null`: it stands nowhere. */
export function plannedEntryOf(
  standings: readonly PlannedEntry[],
  { outingId, dayId, entryId }: StandingWanted,
  todayIn: (zone: string) => string,
): PlannedEntry | null {
  const wanted = standings.filter(
    ({ outing, day, entry }) =>
      (outingId === null || outing.id === outingId) &&
      (dayId === null || day.id === dayId) &&
      (entryId === null || entry.id === entryId),
  );
  const among = wanted.length > 0 ? wanted : standings;
  const coming = among.find(
    ({ outing, day, entry }) => entry.done === undefined && day.date >= todayIn(outing.zone),
  );
  return coming ?? among.at(-1) ?? null;
}

function whenOf({ day, entry }: PlannedEntry): string {
  return `${day.date}T${entry.at}`;
}
