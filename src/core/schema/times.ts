import * as z from 'zod';
import { wants } from './fault';

/** Years that clocks, calendars and the sun's place are trusted for. */
const YEARS = /^(19|20|21)\d\d-/;
/** What is no date at all has its own fault. */
const inYears = (text: string): boolean => YEARS.test(text) || !/^\d{4}-/.test(text);
const error = wants('year');

/** An instant with its offset: "2026-10-03T10:10:00+02:00". */
export const InstantSchema = z.iso
  .datetime({
    offset: true,
    error: wants('instant'),
  })
  .refine(inYears, { error });

/** A date: "2026-10-03". */
export const DateSchema = z.iso.date(wants('date')).refine(inYears, { error });
