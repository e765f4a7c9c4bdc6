import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clockText, spanText } from '@/words/lightText';
import { dateAndTime, dayAt, instantOf, isoIn, onDate, wholeHours } from './clock';

const ROME = 'Europe/Rome';
/** Clocks go back at 03:00 summer time on 25 October 2026, forward at 02:00 on 29 March. */
const at = (iso: string): number => Date.parse(iso);

it('what runs out between two milliseconds is told all the same', () => {
  const atMs = Date.parse('2026-10-03T10:10:00Z') + 1 / 3;
  expect(dateAndTime(atMs, 'Europe/Rome')).toEqual({ date: '2026-10-03', time: '12:10' });
  expect(isoIn(atMs, 'Europe/Rome')).toBe('2026-10-03T12:10:00+02:00');
});

describe('the clock of a place', () => {
  it('has a day of 25 hours when it goes back, 23 when it goes forward, 24 else', () => {
    const hours = (iso: string): number => {
      const { fromMs, toMs } = dayAt(at(iso), ROME);
      return (toMs - fromMs) / 3_600_000;
    };
    expect(hours('2026-10-25T12:00:00+01:00')).toBe(25);
    expect(hours('2026-03-29T12:00:00+02:00')).toBe(23);
    expect(hours('2026-10-24T12:00:00+02:00')).toBe(24);
  });

  it('on the Sunday the clocks go back, all times are right on both sides of the change', () => {
    expect(instantOf('2026-10-25', '01:30', ROME)).toBe(at('2026-10-25T01:30:00+02:00'));
    expect(instantOf('2026-10-25', '02:30', ROME)).toBe(at('2026-10-25T02:30:00+02:00'));
    expect(instantOf('2026-10-25', '03:30', ROME)).toBe(at('2026-10-25T03:30:00+01:00'));
    expect(isoIn(at('2026-10-25T11:00:00Z'), ROME)).toBe('2026-10-25T12:00:00+01:00');
    expect(onDate(at('2026-10-24T12:40:00+02:00'), '2026-10-25', ROME)).toBe(at('2026-10-25T12:40:00+01:00'));
    expect(clockText(at('2026-10-25T00:30:00Z'), ROME)).toBe('02:30');
    expect(clockText(at('2026-10-25T01:30:00Z'), ROME)).toBe('02:30');
    expect(spanText(at('2026-10-25T00:30:00Z'), at('2026-10-25T02:30:00Z'), ROME)).toBe(
      'Sun 25 Oct 2026, 02:30–03:30',
    );
    const marks = wholeHours(dayAt(at('2026-10-25T12:00:00Z'), ROME), ROME);
    expect(marks).toHaveLength(26);
    expect(marks.filter((mark) => clockText(mark, ROME) === '02:00')).toHaveLength(2);
  });

  it('a time that does not exist moves past the gap; nonsense is no time', () => {
    expect(instantOf('2026-03-29', '02:30', ROME)).toBe(at('2026-03-29T03:30:00+02:00'));
    expect(instantOf('2026-13-01', '02:30', ROME)).toBeNull();
    expect(instantOf('', '', ROME)).toBeNull();
  });

  it('comes back as it went, in any zone', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: at('2026-01-01T00:00:00Z') / 60_000, max: at('2027-12-31T00:00:00Z') / 60_000 }),
        fc.constantFrom(ROME, 'Asia/Kolkata', 'America/St_Johns', 'Australia/Lord_Howe', 'UTC'),
        (minutes, zone) => {
          const ms = minutes * 60_000;
          expect(Date.parse(isoIn(ms, zone))).toBe(ms);
          const { date, time } = dateAndTime(ms, zone);
          const again = instantOf(date, time, zone)!;
          // The second of two equal clock times reads as the first.
          expect([0, 1_800_000, 3_600_000]).toContain(ms - again);
          const day = dayAt(ms, zone);
          expect(day.fromMs <= ms && ms < day.toMs).toBe(true);
        },
      ),
    );
  });
});
