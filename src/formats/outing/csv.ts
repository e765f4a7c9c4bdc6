import * as messages from '@/language/formats/outing';
import { MOUNT_KINDS } from '@/core/vocabulary/mounts';
import Papa from 'papaparse';
import { z } from 'zod';
import { MOST_DAYS, MOST_ENTRIES, PAUSE_MINUTES } from '@/core/records/dayBounds';
import type { OutingEntry } from '@/core/records/outing';
import type { Pins } from '@/core/records/settings';
import { PinsSchema } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import { FILE_VERSION } from '@/core/schema/versions';
import type { Checked, Fault } from '@/core/schema/fault';
import { checkAgainst } from '@/core/schema/faults';
import { DateSchema } from '@/core/schema/times';
import { strongForBoost } from '@/core/schema/versions';
import { BUDGET_COLUMNS, budgetRows, SHOT_COLUMNS, shotRows } from './dayRows';
import type { WorkedDay } from '@/core/day/workedDay';
import { worded } from '@/core/schema/fault';

/** Sheets of an outing. A cell that a sheet program would take for a formula is written as text. */
const WRITE = { escapeFormulae: true, newline: '\r\n' } as const;

export function shotListCsv(days: readonly WorkedDay[], zone: string): string {
  const rows = days.flatMap((day) => shotRows(day, zone));
  return Papa.unparse({ fields: [...SHOT_COLUMNS], data: rows }, WRITE);
}

export function budgetCsv(days: readonly WorkedDay[], zone: string): string {
  const rows = days.flatMap((day) => budgetRows(day, zone));
  return Papa.unparse({ fields: [...BUDGET_COLUMNS], data: rows }, WRITE);
}

/** Ids are given by whoever keeps it. */
type ListedPause =
  | Omit<Extract<OutingEntry, { what: 'break' }>, 'id'>
  | Omit<Extract<OutingEntry, { what: 'travel' }>, 'id'>;

/** A shot list read back: its days, and shots to be kept unless one of that id is. */
export interface ReadShotList {
  days: { date: string; entries: (ListedPause | ListedShot)[] }[];
  /** What the sheet does not hold, and so was not read. */
  leftBehind: string[];
}

interface ListedShot {
  what: 'shot';
  at: string;
  /** As it was kept, where the sheet says. */
  shotId: string | null;
  /** What can be told of it from the sheet alone. */
  shot: Shot;
}

/** An outing holds no more. */
const MOST_LINES = MOST_DAYS * MOST_ENTRIES;

const NEEDED = ['date', 'start', 'minutes', 'what', 'name'] as const;

/** Whether a sheet has the columns of a shot list, in whatever order. */
export function isShotList(text: string): boolean {
  const fields = parsed(text, 1).meta.fields ?? [];
  return NEEDED.every((column) => fields.includes(column));
}

function parsed(text: string, rows = 0): Papa.ParseResult<Record<string, string>> {
  return Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    preview: rows,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim(),
    transform: unguarded,
  });
}

/** A faulty sheet is read not at all; every fault is named by row and column. */
export function readShotListCsv(text: string): Checked<ReadShotList> {
  const { data, meta } = parsed(text, MOST_LINES + 1);
  if (data.length > MOST_LINES)
    return {
      ok: false,
      faults: [worded('', messages.expectedAtMostLinesTake({ mostLines: MOST_LINES }))],
    };
  const missing = NEEDED.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0)
    return {
      ok: false,
      faults: missing.map((column) => worded(messages.rowWord, messages.noColumn({ column }))),
    };
  const faults: Fault[] = [];
  const days = new Map<string, ReadShotList['days'][number]>();
  let second = 0;
  const overfull: string[] = [];
  data.forEach((row, index) => {
    const place = messages.row({ index: index + 2 });
    const read = checkAgainst(Row, row);
    if (!read.ok) {
      faults.push(...inRow(place, read.faults));
      return;
    }
    const { date, start, minutes, what, name } = read.value;
    if (what !== 'shot' && minutes < PAUSE_MINUTES.least) {
      faults.push(
        worded(
          messages.minutes({ place }),
          messages.expectedAtLeastOfA({ least: PAUSE_MINUTES.least, what }),
        ),
      );
      return;
    }
    const day = days.get(date) ?? { date, entries: [] };
    days.set(date, day);
    if (day.entries.length >= MOST_ENTRIES || days.size > MOST_DAYS) {
      overfull.push(
        day.entries.length >= MOST_ENTRIES
          ? messages.moreThanLinesOn({ mostEntries: MOST_ENTRIES, date })
          : messages.moreThanDates({ mostDays: MOST_DAYS }),
      );
      return;
    }
    if (what === 'break') day.entries.push({ what, name, at: start, minutes, outOfReach: [] });
    else if (what === 'travel') day.entries.push({ what, name, at: start, minutes });
    else if ((row['shot id'] ?? '').includes('#')) second += 1;
    else {
      const pins = pinsFrom(row);
      if (!pins.ok) faults.push(...inRow(place, pins.faults));
      else {
        const mount = MOUNT_KINDS.find((kind) => kind === row.mount);
        day.entries.push({
          what: 'shot',
          at: start,
          shotId: row['shot id'] === undefined || row['shot id'] === '' ? null : row['shot id'],
          shot: {
            kind: 'lynxeye/shot',
            version: FILE_VERSION,
            name,
            ...(mount ? { mount: { kind: mount } } : {}),
            limits: { recordSeconds: Math.max(1, minutes * 60) },
            ...(Object.keys(pins.value).length > 0 ? { pins: pins.value } : {}),
          },
        });
      }
    }
  });
  if (overfull[0] !== undefined)
    faults.push(worded('', messages.anOutingHoldsNoMore({ value: overfull[0] })));
  if (days.size === 0 && faults.length === 0)
    faults.push(worded(messages.rowWord2, messages.theSheetHasNoLine));
  if (faults.length > 0) return { ok: false, faults };
  return {
    ok: true,
    value: {
      days: [...days.values()].sort((a, b) => a.date.localeCompare(b.date)),
      leftBehind: [
        messages.lightMotionFiltersOfThe,
        ...(second > 0 ? [messages.linesOfSecondCamerasThey({ second })] : []),
      ],
    },
  };
}

const Row = z.object({
  date: DateSchema,
  start: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, messages.expectedATimeSuchAs),
  minutes: z.coerce
    .number(messages.expectedMinutes)
    .min(0.01, messages.expectedMoreThan0)
    .max(1440, messages.expectedAtMost1440),
  what: z.enum(['shot', 'break', 'travel'], messages.expectedShotBreakOrTravel),
  name: z.string().min(1, messages.expectedAName).max(120, messages.expectedAtMost120Letters),
});

/** The writer puts an apostrophe before what looks like a formula; it is taken off again. */
function unguarded(cell: string): string {
  return /^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell.trim();
}

function pinsFrom(row: Record<string, string>): Checked<Pins> {
  const number = (column: (typeof SHOT_COLUMNS)[number]): number | undefined =>
    row[column] === undefined || row[column] === '' ? undefined : Number(row[column]);
  const [width, height] = [number('width (px)'), number('height (px)')];
  const told = {
    frameRate: number('frame rate (fps)'),
    bitRateMbps: number('bit rate (Mbit/s)'),
    resolution: width !== undefined && height !== undefined ? { width, height } : undefined,
    stabilization: row.stabilization === '' ? undefined : strongForBoost(row.stabilization),
    codec: row.codec === '' ? undefined : row.codec,
    colour: row.colour === '' ? undefined : row.colour,
  };
  const pins = Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined));
  return checkAgainst(PinsSchema, pins);
}

function inRow(row: string, faults: readonly Fault[]): Fault[] {
  return faults.map(({ path, problem }) => ({ path: `${row}, ${path}`, problem }));
}
