import ICAL from 'ical.js';
import ical, { ICalAlarmType } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';
import type { Outing, OutingEntry } from '@/core/plan/outing';
import { Temporal } from 'temporal-polyfill';
import { settingLine, swapLine } from './calendarWords';
import { dateAndTime } from '../clock';
import type { FiledDay } from './dayRows';

/** Minutes before an event at which the calendar speaks up (start). */
const REMIND_MINUTES = { shot: 15, swap: 5, charge: 5 } as const;

/** The days as a calendar: shots, breaks, filter changes, cards, cells and charges, in the zone of the outing. */
export function outingCalendar(outing: Outing, days: readonly FiledDay[]): string {
  const { zone } = outing;
  const calendar = ical({
    name: outing.name,
    prodId: { company: 'lynxeye', product: 'outing', language: 'EN' },
  });
  calendar.timezone({ name: zone, generator: (name: string) => tzlib_get_ical_block(name)[0] ?? null });
  const put = (
    id: string,
    fromMs: number,
    toMs: number,
    summary: string,
    description: string,
    category: string,
    remind: number | null,
  ): void => {
    const event = calendar.createEvent({
      id: `${id}@lynxeye`,
      start: Temporal.Instant.fromEpochMilliseconds(fromMs)
        .toZonedDateTimeISO(zone)
        .toPlainDateTime()
        .toString(),
      end: Temporal.Instant.fromEpochMilliseconds(toMs).toZonedDateTimeISO(zone).toPlainDateTime().toString(),
      timezone: zone,
      summary,
      description,
      categories: [{ name: category }],
      stamp: new Date(outing.updatedAt),
    });
    if (remind !== null)
      event.createAlarm({ type: ICalAlarmType.display, trigger: remind * 60, description: summary });
  };
  for (const { day, sheet } of days) {
    for (const part of day.parts) {
      const carried = sheet.parts.find(({ partId }) => partId === part.id)?.carried;
      const told = carried ? settingLine(carried.settings, part.brief.filters) : 'No answer yet.';
      put(
        part.id.replace('/', '-'),
        part.fromMs,
        part.toMs,
        `${part.name} (${part.camera.name})`,
        told,
        'shot',
        REMIND_MINUTES.shot,
      );
    }
    for (const pause of day.pauses) put(pause.id, pause.fromMs, pause.toMs, pause.name, '', pause.kind, null);
    for (const camera of sheet.cameras) {
      const profile = day.parts.find((part) => part.camera.id === camera.cameraId);
      const name = profile?.camera.name ?? camera.cameraId;
      for (const swap of camera.swaps)
        put(
          `swap-${swap.partId.replace('/', '-')}`,
          swap.window.fromMs,
          swap.window.fromMs + 300_000,
          swapLine(name, swap, profile?.brief.filters ?? []),
          'Filter change',
          'swap',
          REMIND_MINUTES.swap,
        );
      for (const act of camera.budget.acts)
        put(
          `${act.what}-${camera.cameraId}-${act.atMs}`,
          act.atMs,
          act.what === 'charge' ? act.toMs : act.atMs + 300_000,
          act.what === 'charge' ? `Charge ${name}` : `${name}: next ${act.what}`,
          '',
          'charge',
          REMIND_MINUTES.charge,
        );
    }
  }
  return calendar.toString();
}

/** Times of a calendar written here, read back onto an outing: what moved, and what could not be used. */
export interface ReadCalendar {
  /** New times by entry id. */
  moved: { entryId: string; date: string; at: string }[];
  /** Entries of the outing that stand in it. */
  known: number;
  leftBehind: string[];
}

export function readOutingCalendar(
  text: string,
  outing: Outing,
): { ok: true; read: ReadCalendar } | { ok: false; why: string } {
  let events: ICAL.Event[];
  try {
    const root = new ICAL.Component(ICAL.parse(text) as never);
    for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
    events = root.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
  } catch (error) {
    return { ok: false, why: error instanceof Error ? error.message : String(error) };
  }
  const entries = new Map<string, OutingEntry>(
    outing.days.flatMap(({ entries: own }) => own.map((entry) => [entry.id, entry])),
  );
  const moved = new Map<string, { entryId: string; date: string; at: string }>();
  const known = new Set<string>();
  let other = 0;
  for (const event of events) {
    const id = event.uid.replace(/@lynxeye$/, '');
    const entryId = entries.has(id) ? id : /^(.*)-0$/.exec(id)?.[1];
    const entry = entryId === undefined ? undefined : entries.get(entryId);
    if (!entry) {
      other += 1;
      continue;
    }
    known.add(entry.id);
    const { date, time } = dateAndTime(event.startDate.toJSDate().getTime(), outing.zone);
    const was = outing.days.find(({ entries: own }) => own.includes(entry))?.date;
    if (entry.at !== time || was !== date) moved.set(entry.id, { entryId: entry.id, date, at: time });
  }
  return {
    ok: true,
    read: {
      moved: [...moved.values()],
      known: known.size,
      leftBehind:
        other > 0
          ? [
              `${other} events that are no shot or break of this outing: filter changes and charges follow from the plan.`,
            ]
          : [],
    },
  };
}
