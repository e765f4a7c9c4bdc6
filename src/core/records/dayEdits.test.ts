import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { duplicatedDay, entryAt, freeMinute, movedToDay, reordered } from './dayEdits';
import { clockTime, inOrder, minutesOf } from './entries';
import { OutingSchema } from './outing';
import type { OutingDay, OutingEntry } from './outing';
import { sampling } from '../../../testing/samples';

const outing = makeDemo().outings[0]!;
const saturday = outing.days[0]!;
const lengthOf = (entry: OutingEntry): number => (entry.what === 'shot' ? 20 : entry.minutes);

describe('a day edited', () => {
  it('moves an entry to another time and keeps it inside the day', () => {
    const moved = entryAt(saturday, 'sat-10', 9 * 60 + 5);
    expect(moved.entries.find(({ id }) => id === 'sat-10')!.at).toBe('09:05');
    expect(moved.entries.map(({ at }) => at)).toEqual([...moved.entries.map(({ at }) => at)].sort());
    expect(entryAt(saturday, 'sat-10', 99_999).entries.at(-1)!.at).toBe('23:59');
  });

  it('reorders without losing anything, starts after the one before, and pushes only what it overlaps', () => {
    const day = fc
      .array(
        fc.record({ start: fc.integer({ min: 300, max: 900 }), minutes: fc.integer({ min: 1, max: 60 }) }),
        {
          minLength: 2,
          maxLength: 12,
        },
      )
      .map((rows): OutingDay => ({
        ...saturday,
        entries: rows.map(({ start, minutes }, at) => ({
          what: 'break',
          id: `e${at}`,
          name: 'Tea',
          at: clockTime(start),
          minutes,
          outOfReach: [],
        })),
      }));
    fc.assert(
      fc.property(day, fc.nat(11), fc.nat(11), (before, from, to) => {
        const ordered = inOrder(before.entries);
        const { id } = ordered[from % ordered.length]!;
        const place = to % ordered.length;
        const after = reordered(before, id, place, lengthOf).entries;
        expect(after.map((one) => one.id).sort()).toEqual(before.entries.map((one) => one.id).sort());
        expect(after.findIndex((one) => one.id === id)).toBe(place);
        const previous = after[place - 1];
        const start = minutesOf(after[place]!.at);
        if (previous) expect(start).toBe(Math.min(1439, minutesOf(previous.at) + lengthOf(previous)));
        // What stood before it stays where it was.
        for (const one of after.slice(0, place))
          expect(one.at).toBe(before.entries.find((old) => old.id === one.id)!.at);
        // The next one never begins before it ends, unless the day does.
        const next = after[place + 1];
        if (next)
          expect(minutesOf(next.at)).toBeGreaterThanOrEqual(Math.min(1439, start + lengthOf(after[place]!)));
      }),
      sampling(200),
    );
  });

  it('duplicates as something still to be done, under ids of its own', () => {
    let count = 0;
    const done = {
      ...saturday,
      entries: saturday.entries.map((entry) =>
        entry.what === 'shot'
          ? { ...entry, done: { how: 'recorded' as const, at: '2026-10-03T08:53:00Z' } }
          : entry,
      ),
    };
    done.keptDays = [{ seed: 1, number: 4, name: 'a bad one' }];
    done.ends = [{ cameraId: 'otter', cellsUsed: 2 }];
    const copy = duplicatedDay(done, '2026-10-10', () => `n${(count += 1)}`);
    const ids = [copy.id, ...copy.entries.map(({ id }) => id)];
    expect(new Set([...ids, ...saturday.entries.map(({ id }) => id)]).size).toBe(
      2 * saturday.entries.length + 1,
    );
    expect(copy.entries.some((entry) => entry.what === 'shot' && entry.done)).toBe(false);
    expect([copy.keptDays, copy.ends]).toEqual([undefined, undefined]);
    expect(copy.entries.map(({ at }) => at)).toEqual(saturday.entries.map(({ at }) => at));
    expect(OutingSchema.safeParse({ ...outing, days: [...outing.days, copy] }).success).toBe(true);
  });

  it('takes an entry to another day, and says when the next may begin', () => {
    const moved = movedToDay(outing, 'sat-10', 'sunday');
    expect(moved.days[0]!.entries).toHaveLength(saturday.entries.length - 1);
    expect(moved.days[1]!.entries.find(({ id }) => id === 'sat-10')!.at).toBe('12:40');
    expect(movedToDay(outing, 'nobody', 'sunday')).toEqual(outing);
    expect(freeMinute(saturday, lengthOf)).toBe(minutesOf('19:30'));
    expect(freeMinute({ ...saturday, entries: [] }, lengthOf)).toBe(540);
  });
});
