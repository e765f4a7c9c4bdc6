import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import type { OutingDay } from '../records/outing';
import { daySheet } from './daySheet';
import { deckOf, nextCard } from './deck';
import { scheduleOf } from './schedule';
import { workedDay } from './workedDay';

const demo = makeDemo();
const outing = demo.outings[0]!;
const shots = new Map(demo.shots.map((shot) => [shot.id, shot]));
const schedule = scheduleOf(outing, 'sunday', shots, (date, time) => Date.parse(`${date}T${time}:00+02:00`));
const sheet = daySheet(schedule, outing.gear);
const day = workedDay(schedule, outing.gear, sheet);
const entries = outing.days[1]!.entries;
const NONE = new Set<string>();

const withDone = (id: string): OutingDay['entries'] =>
  entries.map((entry) =>
    entry.id === id && entry.what === 'shot'
      ? { ...entry, done: { how: 'recorded' as const, at: '2026-10-04T06:00:00Z' } }
      : entry,
  );

describe('the deck of a day', () => {
  const deck = deckOf(entries, day);

  it('begins before the day, ends after it, and lies in the order of the clock', () => {
    expect(deck[0]!.kind).toBe('before');
    expect(deck.at(-1)!.kind).toBe('after');
    const times = deck.flatMap((card) => ('fromMs' in card ? [card.fromMs] : []));
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(deck.filter(({ kind }) => kind === 'shot')).toHaveLength(5);
  });

  it('puts every filter change and act on a card, what falls into one break on one card', () => {
    const tasks = deck.flatMap((card) => (card.kind === 'tasks' ? card.tasks : []));
    const expected = sheet.cameras.reduce(
      (sum, { filterChanges, budget }) => sum + filterChanges.length + budget.acts.length,
      0,
    );
    expect(tasks).toHaveLength(expected);
    expect(tasks.length).toBeGreaterThan(0);
    const breaks = deck.filter((card) => card.kind === 'tasks').map(({ id }) => id);
    expect(new Set(breaks).size).toBe(breaks.length);
  });

  it('puts a reading on a card as long before its shot as it is planned, once for all its cameras', () => {
    const read = entries.map((entry) =>
      entry.id === 'sun-05' && entry.what === 'shot' ? { ...entry, reading: { minutesBefore: 40 } } : entry,
    );
    const cards = deckOf(read, day).filter(
      (card) => card.kind === 'tasks' && card.tasks.some(({ what }) => what === 'reading'),
    );
    expect(cards).toHaveLength(1);
    const [card] = cards;
    const [rungs] = day.partsOf('sun-05');
    // It falls into the breakfast before the way there, which is one card.
    expect(card).toMatchObject({ kind: 'tasks', id: 'sun-03' });
    expect(card?.kind === 'tasks' && card.tasks.filter(({ what }) => what === 'reading')).toEqual([
      { id: 'reading:sun-05', cameraId: 'otter', what: 'reading', partId: rungs!.id },
    ]);
  });

  it('goes on at the first card not done, and asks for no task that lies behind', () => {
    expect(nextCard(deck, NONE)).toBe(0);
    const begun = deckOf(withDone('sun-02'), day);
    const next = begun[nextCard(begun, NONE)]!;
    expect('fromMs' in next && next.fromMs).toBeGreaterThan(day.parts[0]!.fromMs);
    const last = entries.filter(({ what }) => what === 'shot').map(({ id }) => id);
    const all = last.reduce<OutingDay['entries']>(
      (done, id) =>
        done.map((entry) =>
          entry.id === id && entry.what === 'shot'
            ? { ...entry, done: { how: 'skipped' as const, at: '2026-10-04T06:00:00Z' } }
            : entry,
        ),
      entries,
    );
    const over = deckOf(all, day);
    expect(over[nextCard(over, NONE)]!.kind).toBe('after');
  });

  it('has the shots also while the day is being worked out', () => {
    expect(deckOf(entries, workedDay(schedule, outing.gear, null)).map(({ kind }) => kind)).toEqual([
      'before',
      ...Array<string>(5).fill('shot'),
      'after',
    ]);
  });
});
