import { SOUND_MBPS } from '../camera/card';
import { modePowerW } from '../camera/modeTable';
import { cellWh, coldShare } from '../camera/power';
import type { Clip } from '../records/clip';
import { minutesOf } from '../records/entries';
import type { Outing, OutingDay } from '../records/outing';
import { figureId } from '../records/figures';
import { powerPart } from './cameraEvidence';
import type { Evidence, Part } from './evidence';
import { ERRORS, USUAL_LATENESS } from './figures';
import type { ClockIn, FilmedTake } from './takes';

/** What the evening of a day says: what each camera had used up of its cells and cards, and how late the day ran. */
export function dayEvidence(
  outings: readonly Outing[],
  takes: readonly FilmedTake[],
  clips: readonly Clip[],
  clock: ClockIn,
): Evidence[] {
  const byDay = new Map<string, FilmedTake[]>();
  for (const take of takes)
    if (take.day) {
      const key = keyOf(take.day.outing, take.day.day);
      byDay.set(key, [...(byDay.get(key) ?? []), take]);
    }
  const starts = new Map(
    [...clips]
      .sort((one, other) => (other.startAt ?? '').localeCompare(one.startAt ?? ''))
      .flatMap(({ outingId, dayId, entryId, part, startAt }): [string, string][] =>
        entryId !== null && part === 0 && startAt !== null
          ? [[`${outingId} ${dayId} ${entryId}`, startAt]]
          : [],
      ),
  );
  return outings.flatMap((outing) =>
    outing.days.flatMap((day) => [
      ...endEvidence(outing, day, byDay.get(keyOf(outing, day)) ?? []),
      ...lateEvidence(outing, day, starts, clock),
    ]),
  );
}

function keyOf(outing: Outing, day: OutingDay): string {
  return `${outing.id} ${day.id}`;
}

function endEvidence(outing: Outing, day: OutingDay, takes: readonly FilmedTake[]): Evidence[] {
  return (day.ends ?? []).flatMap(({ cameraId, cellsUsed, cardGb }) => {
    const its = takes.filter(
      ({ brief, seconds, settings }) =>
        brief.camera.id === cameraId && seconds !== null && settings.recording === 'video',
    );
    const id = `${keyOf(outing, day)} ${cameraId}`;
    const gear = outing.gear.find((one) => one.cameraId === cameraId);
    return [
      ...cellEvidence(id, day, its, gear?.charging === 'none' ? gear.cells : undefined, cellsUsed),
      ...cardEvidence(id, day, its, cardGb),
    ];
  });
}

/** Further from the model than this, octaves, it is not the draw that differs: what was recorded was not all noted. */
const LOGGED_WITHIN = 1;

/** Whole hours of a watt, by mode; each mode stands behind the day's draw by its share of it. */
function cellEvidence(
  id: string,
  day: OutingDay,
  takes: readonly FilmedTake[],
  cells: { ampereHours: number; volts: number } | undefined,
  cellsUsed: number | undefined,
): Evidence[] {
  if (!cells || cellsUsed === undefined || cellsUsed <= 0) return [];
  const drawn = takes.map((take) => ({
    take,
    wattHours: (modePowerW(take.brief.camera, take.settings) * (take.seconds ?? 0)) / 3600,
  }));
  const model = drawn.reduce((sum, { wattHours }) => sum + wattHours, 0);
  if (model <= 0) return [];
  const byMode = new Map<string, Part>();
  for (const { take, wattHours } of drawn) {
    const part = powerPart(take, wattHours / model);
    const known = byMode.get(figureId(part.figure));
    byMode.set(figureId(part.figure), { ...part, times: part.times + (known?.times ?? 0) });
  }
  const airC = (day.air.lowC + day.air.highC) / 2;
  const given = cellsUsed * cellWh(cells) * coldShare(airC);
  if (Math.abs(Math.log2(given / model)) > LOGGED_WITHIN) return [];
  return [
    {
      id,
      of: [...byMode.values()],
      says: 'is',
      at: Math.log2(given / model),
      error: ERRORS.cells.value,
      day: null,
    },
  ];
}

function cardEvidence(
  id: string,
  { date }: OutingDay,
  takes: readonly FilmedTake[],
  cardGb: number | undefined,
): Evidence[] {
  const [first] = takes;
  if (!first || cardGb === undefined || cardGb <= 0) return [];
  // Where clips came back their own rates say it, and better.
  if (takes.some(({ bitRateMbps }) => bitRateMbps !== null)) return [];
  const model = takes.reduce(
    (sum, { settings, seconds }) => sum + ((settings.bitRateMbps + SOUND_MBPS) * (seconds ?? 0)) / 8000,
    0,
  );
  if (model <= 0) return [];
  return [
    {
      id,
      of: [{ figure: { of: 'bitRate', cameraId: first.brief.camera.id }, usual: 1, times: 1 }],
      says: 'is',
      at: Math.log2(cardGb / model),
      error: ERRORS.card.value,
      day: { date, kind: 'bits' },
    },
  ];
}

/** A day tells how late it ran from its first hour on. */
const LATE_FROM_HOURS = 1;

/** By the last of its shots of which it is known when it began. */
function lateEvidence(
  outing: Outing,
  day: OutingDay,
  starts: ReadonlyMap<string, string>,
  clock: ClockIn,
): Evidence[] {
  const planned = day.entries.flatMap((entry) =>
    entry.what === 'shot' ? [{ entry, minute: minutesOf(entry.at) }] : [],
  );
  const first = Math.min(...day.entries.map(({ at }) => minutesOf(at)));
  const told = planned.flatMap(({ entry, minute }) => {
    const began =
      starts.get(`${keyOf(outing, day)} ${entry.id}`) ??
      (entry.done?.how === 'recorded' ? entry.done.at : null);
    return began === null
      ? []
      : [{ minute, lateMs: Date.parse(began) - clock(outing.zone)(day.date, entry.at) }];
  });
  const last = told.sort((a, b) => a.minute - b.minute).at(-1);
  if (!last) return [];
  const hours = (last.minute - first) / 60;
  // Tapped in on another day, it is no clock.
  if (hours < LATE_FROM_HOURS || Math.abs(last.lateMs) > 6 * 3_600_000) return [];
  return [
    {
      id: keyOf(outing, day),
      of: [{ figure: { of: 'lateness' }, usual: USUAL_LATENESS, times: 1 }],
      says: 'is',
      at: last.lateMs / 60_000 / hours - USUAL_LATENESS,
      error: ERRORS.late.value / hours,
      day: null,
    },
  ];
}
