import * as z from 'zod';

/** Years that clocks, calendars and the sun's place are trusted for. */
const YEARS = /^(19|20|21)\d\d-/;
/** What is no date at all has its own fault. */
const inYears = (text: string): boolean => YEARS.test(text) || !/^\d{4}-/.test(text);
const error = 'expected a year from 1900 to 2199';

/** An instant with its offset: "2026-10-03T10:10:00+02:00". */
export const InstantSchema = z.iso
  .datetime({
    offset: true,
    error: 'expected a date and time with its offset, such as 2026-10-03T09:30:00+02:00',
  })
  .refine(inYears, { error });

/** A date: "2026-10-03". */
export const DateSchema = z.iso.date('expected a date such as 2026-10-03').refine(inYears, { error });
