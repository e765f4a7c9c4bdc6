import { describe, expect, it } from 'vitest';
import type { Outing } from './outing';
import { plannedEntryOf, standingsOf } from './plannedEntry';
import type { StandingWanted } from './plannedEntry';
import { outingOf } from '../../../bench/madeDay';

const entry = (id: string, at: string, more: object = {}): object => ({
  what: 'shot',
  id,
  shotId: 's',
  at,
  ...more,
});
const on = (id: string, date: string, entries: readonly object[], more: Partial<Outing> = {}): Outing => {
  const made = outingOf(entries);
  return { ...made, id, days: made.days.map((day) => ({ ...day, id: `${id}-d`, date })), ...more };
};
const may = on('may', '2026-05-01', [entry('early', '09:00'), entry('late', '17:00')]);
const july = on('july', '2026-07-01', [entry('noon', '12:00')]);
const ANY = { outingId: null, dayId: null, entryId: null };
const asked = (
  outings: readonly Outing[],
  today: string,
  wanted: Partial<StandingWanted> = {},
): string | undefined =>
  plannedEntryOf(standingsOf(outings, 's'), { ...ANY, ...wanted }, () => today)?.entry.id;

describe('where a shot stands', () => {
  it('is every entry that names it, in time, whatever the order of the outings', () => {
    expect(standingsOf([july, may], 's').map((one) => one.entry.id)).toEqual(['early', 'late', 'noon']);
    expect(standingsOf([july, may], 'another')).toEqual([]);
  });

  it('is in what is put away only where it is in nothing else', () => {
    const away = { ...july, archived: true };
    expect(standingsOf([away, may], 's').map((one) => one.outing.id)).toEqual(['may', 'may']);
    expect(standingsOf([away], 's').map((one) => one.outing.id)).toEqual(['july']);
  });

  it('is the next that is not over nor filmed, else the last', () => {
    expect(asked([july, may], '2026-04-30')).toBe('early');
    expect(asked([july, may], '2026-05-02')).toBe('noon');
    expect(asked([july, may], '2026-08-01')).toBe('noon');
    const filmed = on('may', '2026-05-01', [
      entry('early', '09:00', { done: { how: 'recorded', at: '2026-05-01T09:30:00Z' } }),
      entry('late', '17:00'),
    ]);
    expect(asked([filmed], '2026-05-01')).toBe('late');
    expect(asked([], '2026-05-01')).toBeUndefined();
  });

  it('is the one that the address names, and where that is gone any other', () => {
    expect(asked([july, may], '2026-04-30', { outingId: 'july' })).toBe('noon');
    expect(asked([july, may], '2026-04-30', { entryId: 'late' })).toBe('late');
    expect(asked([july, may], '2026-04-30', { outingId: 'gone' })).toBe('early');
  });
});
