import { outsOf } from '@/core/day/daySheet';
import type { WorkedDay } from '@/core/day/workedDay';
import { dateAndTime } from '../clock';
import { dayPartName } from '@/words/shotName';

export const SHOT_COLUMNS = [
  'date',
  'start',
  'minutes',
  'what',
  'name',
  'camera',
  'mount',
  'frame rate (fps)',
  'shutter (s)',
  'shutter mode',
  'filter',
  'ISO min',
  'ISO max',
  'width (px)',
  'height (px)',
  'view',
  'bit rate (Mbit/s)',
  'codec',
  'stabilization',
  'white balance',
  'colour',
  'every (s)',
  'shot id',
] as const;
export type ShotRow = Record<(typeof SHOT_COLUMNS)[number], string | number>;

const NOTHING = Object.fromEntries(SHOT_COLUMNS.map((column) => [column, ''])) as ShotRow;

/** The day line by line: each camera of each shot, and what lies between. */
export function shotRows(day: WorkedDay, zone: string): ShotRow[] {
  const rows = day.parts.map((part): { atMs: number; row: ShotRow } => {
    const carried = part.answer?.carried;
    const { date, time } = dateAndTime(part.fromMs, zone);
    const base: ShotRow = {
      ...NOTHING,
      date,
      start: time,
      minutes: round((part.toMs - part.fromMs) / 60_000),
      what: 'shot',
      name: dayPartName(part),
      camera: part.camera.name,
      mount: part.brief.mount.kind,
      'shot id': part.part === 0 ? part.shotId : `${part.shotId}#${part.part}`,
    };
    if (!carried) return { atMs: part.fromMs, row: base };
    const { settings, intervalSeconds } = carried;
    return {
      atMs: part.fromMs,
      row: {
        ...base,
        'frame rate (fps)': settings.frameRate,
        'shutter (s)': settings.shutterSeconds,
        'shutter mode': settings.shutterMode,
        filter: settings.filter.ids.join(' + '),
        'ISO min': settings.iso.min,
        'ISO max': settings.iso.max,
        'width (px)': settings.resolution.width,
        'height (px)': settings.resolution.height,
        view: settings.view.id,
        'bit rate (Mbit/s)': settings.bitRateMbps,
        codec: settings.codec,
        stabilization: settings.stabilization,
        'white balance': settings.whiteBalance,
        colour: settings.colour,
        'every (s)': intervalSeconds ?? '',
      },
    };
  });
  const pauses = day.pauses.map((pause): { atMs: number; row: ShotRow } => {
    const { date, time } = dateAndTime(pause.fromMs, zone);
    const minutes = round((pause.toMs - pause.fromMs) / 60_000);
    return {
      atMs: pause.fromMs,
      row: { ...NOTHING, date, start: time, minutes, what: pause.kind, name: pause.name },
    };
  });
  return [...rows, ...pauses].sort((a, b) => a.atMs - b.atMs).map(({ row }) => row);
}

export const BUDGET_COLUMNS = [
  'date',
  'camera',
  'card needed (GB)',
  'card (GB)',
  'power needed (Wh)',
  'power (Wh)',
  'hottest (°C)',
  'runs out of',
  'at',
  'files',
] as const;

export function budgetRows(
  { date, cameras }: WorkedDay,
  zone: string,
): Record<(typeof BUDGET_COLUMNS)[number], string | number>[] {
  return cameras.flatMap(({ profile, sheet }) => {
    if (!sheet) return [];
    const { budget } = sheet;
    const outs = outsOf(budget);
    return {
      date,
      camera: profile.name,
      'card needed (GB)': round(budget.card.needs),
      'card (GB)': round(budget.card.has),
      'power needed (Wh)': round(budget.power.needs),
      'power (Wh)': round(budget.power.has),
      'hottest (°C)': Number.isFinite(budget.heat.hottestC) ? round(budget.heat.hottestC) : '',
      'runs out of': outs.map(({ what }) => what).join(' '),
      at: outs.map(({ atMs }) => dateAndTime(atMs, zone).time).join(' '),
      files: budget.chapters.length,
    };
  });
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
