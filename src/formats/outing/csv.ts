import Papa from 'papaparse';
import { z } from 'zod';
import type { OutingEntry } from '@/core/plan/outing';
import type { Pins } from '@/core/plan/settings';
import { PinsSchema } from '@/core/plan/settings';
import type { Shot } from '@/core/plan/shot';
import { MOUNT_KINDS, SHOT_VERSION } from '@/core/plan/words';
import type { Fault } from '@/core/plan/faults';
import { BUDGET_COLUMNS, budgetRows, SHOT_COLUMNS, shotRows } from './dayRows';
import type { FiledDay } from './dayRows';

/** Sheets of an outing. A cell that a sheet program would take for a formula is written as text. */
const WRITE = { escapeFormulae: true, newline: '\r\n' } as const;

export function shotListCsv(days: readonly FiledDay[], zone: string): string {
  const rows = days.flatMap((day) => shotRows(day, zone));
  return Papa.unparse({ fields: [...SHOT_COLUMNS], data: rows }, WRITE);
}

export function budgetCsv(days: readonly FiledDay[], zone: string): string {
  const rows = days.flatMap((day) => budgetRows(day, zone));
  return Papa.unparse({ fields: [...BUDGET_COLUMNS], data: rows }, WRITE);
}

/** A shot list read back: its days, and shots to be kept unless one of that id is. */
export interface ReadShotList {
  days: { date: string; entries: (Exclude<OutingEntry, { what: 'shot' }> | ListedShot)[] }[];
  /** What the sheet does not hold, and so was not read. */
  leftBehind: string[];
}

export interface ListedShot {
  what: 'shot';
  id: string;
  at: string;
  /** As it was kept, where the sheet says. */
  shotId: string | null;
  /** What can be told of it from the sheet alone. */
  shot: Shot;
}

const NEEDED = ['date', 'start', 'minutes', 'what', 'name'] as const;

/** A faulty sheet is read not at all; every fault is named by row and column. */
export function readShotListCsv(
  text: string,
  newId: () => string,
): { ok: true; list: ReadShotList } | { ok: false; faults: Fault[] } {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim(),
    transform: unguarded,
  });
  const missing = NEEDED.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0)
    return { ok: false, faults: missing.map((column) => ({ path: 'row 1', text: `no column "${column}"` })) };
  const faults: Fault[] = [];
  const days = new Map<string, ReadShotList['days'][number]>();
  let second = 0;
  data.forEach((row, index) => {
    const place = `row ${index + 2}`;
    const read = Row.safeParse(row);
    if (!read.success) {
      for (const issue of read.error.issues)
        faults.push({ path: `${place}, ${String(issue.path[0])}`, text: issue.message });
      return;
    }
    const { date, start, minutes, what, name } = read.data;
    const day = days.get(date) ?? { date, entries: [] };
    days.set(date, day);
    const id = newId();
    if (what === 'break') day.entries.push({ what, id, name, at: start, minutes, outOfReach: [] });
    else if (what === 'travel') day.entries.push({ what, id, name, at: start, minutes });
    else if ((row['shot id'] ?? '').includes('#')) second += 1;
    else {
      const pins = pinsFrom(row);
      if (!pins.ok) faults.push({ path: place, text: pins.text });
      else {
        const mount = MOUNT_KINDS.find((kind) => kind === row.mount);
        day.entries.push({
          what: 'shot',
          id,
          at: start,
          shotId: row['shot id'] === undefined || row['shot id'] === '' ? null : row['shot id'],
          shot: {
            kind: 'lynxeye/shot',
            version: SHOT_VERSION,
            name,
            ...(mount ? { mount: { kind: mount } } : {}),
            limits: { recordSeconds: Math.max(1, minutes * 60) },
            ...(Object.keys(pins.pins).length > 0 ? { pins: pins.pins } : {}),
          },
        });
      }
    }
  });
  if (days.size === 0 && faults.length === 0) faults.push({ path: 'row 2', text: 'the sheet has no line' });
  if (faults.length > 0) return { ok: false, faults };
  return {
    ok: true,
    list: {
      days: [...days.values()].sort((a, b) => a.date.localeCompare(b.date)),
      leftBehind: [
        'Light, motion, filters of the kit and reasons are not in a sheet: shots not kept here take the usual ones.',
        ...(second > 0
          ? [`${second} lines of second cameras: they come with their shot, or not at all.`]
          : []),
      ],
    },
  };
}

const Row = z.object({
  date: z.iso.date('expected a date such as 2026-10-03'),
  start: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'expected a time such as 10:10'),
  minutes: z.coerce
    .number('expected minutes')
    .min(0.01, 'expected more than 0')
    .max(1440, 'expected at most 1440'),
  what: z.enum(['shot', 'break', 'travel'], 'expected shot, break or travel'),
  name: z.string().min(1, 'expected a name').max(120, 'expected at most 120 letters'),
});

/** The writer puts an apostrophe before what looks like a formula; it is taken off again. */
function unguarded(cell: string): string {
  return /^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell.trim();
}

function pinsFrom(row: Record<string, string>): { ok: true; pins: Pins } | { ok: false; text: string } {
  const number = (column: (typeof SHOT_COLUMNS)[number]): number | undefined =>
    row[column] === undefined || row[column] === '' ? undefined : Number(row[column]);
  const [width, height] = [number('width (px)'), number('height (px)')];
  const told = {
    frameRate: number('frame rate (fps)'),
    bitRateMbps: number('bit rate (Mbit/s)'),
    resolution: width !== undefined && height !== undefined ? { width, height } : undefined,
    stabilization: row.stabilization === '' ? undefined : row.stabilization,
    codec: row.codec === '' ? undefined : row.codec,
    colour: row.colour === '' ? undefined : row.colour,
  };
  const pins = Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined));
  const checked = PinsSchema.safeParse(pins);
  if (checked.success) return { ok: true, pins: checked.data };
  const [issue] = checked.error.issues;
  return { ok: false, text: `${issue?.path.join('.') ?? 'settings'}: ${issue?.message ?? 'not understood'}` };
}
