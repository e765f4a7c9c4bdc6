import * as messages from '@/language/formats/outing';
import ICAL from 'ical.js';
import type { Outing, OutingEntry } from '@/core/records/outing';
import { readingsInDay } from '@/core/day/deck';
import { isZone } from '@/core/schema/zone';
import type { Checked } from '@/core/schema/fault';
import { readTheLightText } from '@/words/readingText';
import { settingLine, filterChangeLine } from './calendarWords';
import { dateAndTime, instantOf, isoIn } from '../clock';
import type { WorkedDay } from '@/core/day/workedDay';
import { zoneBlock } from './zoneBlock';
import { dayPartName } from '@/words/shotName';
import { worded } from '@/core/schema/fault';

// Lines end after 75 bytes, the blank that begins the next one being one of them.
ICAL.foldLength = 74;

/** Minutes before an event at which the calendar speaks up (start). */
const REMIND_MINUTES = { shot: 15, filterChange: 5, charge: 5, reading: 5 } as const;
/** How long an act of the hands stands in the calendar, milliseconds. */
const ACT_MS = 300_000;

/** What stands in a calendar at a time. */
interface Told {
  id: string;
  fromMs: number;
  toMs: number;
  summary: string;
  description: string;
  category: string;
  remind: number | null;
}

/** The days as a calendar: shots, breaks, filter changes, readings, cards, cells and charges, in the zone of the outing. */
export function outingCalendar(outing: Outing, days: readonly WorkedDay[]): string {
  const { zone } = outing;
  const calendar = new ICAL.Component('vcalendar');
  for (const [key, value] of [
    ['version', '2.0'],
    ['prodid', '-//lynxeye//outing//EN'],
    ['name', outing.name],
    ['x-wr-calname', outing.name],
    ['x-wr-timezone', zone],
  ] as const)
    calendar.addPropertyWithValue(key, value);
  const years = outing.days.map(({ date }) => Number(date.slice(0, 4)));
  if (zone !== UTC) calendar.addSubcomponent(zoneBlock(zone, Math.min(...years) - 1, Math.max(...years) + 1));
  const stamp = ICAL.Time.fromJSDate(new Date(outing.updatedAt), true);
  for (const told of days.flatMap((day) => [...toldOf(day), ...readingsTold(outing, day)]))
    calendar.addSubcomponent(eventOf(told, zone, stamp));
  return `${calendar.toString()}\r\n`;
}

const UTC = 'UTC';

function eventOf(told: Told, zone: string, stamp: ICAL.Time): ICAL.Component {
  const event = new ICAL.Component('vevent');
  event.addPropertyWithValue('uid', `${told.id}@lynxeye`);
  event.addPropertyWithValue('dtstamp', stamp);
  const clock = (name: string, atMs: number): void => {
    const local = isoIn(atMs, zone).slice(0, 19);
    const time = ICAL.Time.fromDateTimeString(zone === UTC ? `${local}Z` : local);
    const property = event.addPropertyWithValue(name, time);
    if (zone !== UTC) property.setParameter('tzid', zone);
  };
  clock('dtstart', told.fromMs);
  clock('dtend', told.toMs);
  event.addPropertyWithValue('summary', told.summary);
  if (told.description !== '') event.addPropertyWithValue('description', told.description);
  event.addPropertyWithValue('categories', told.category);
  if (told.remind !== null) {
    const alarm = new ICAL.Component('valarm');
    alarm.addPropertyWithValue('action', 'DISPLAY');
    alarm.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-told.remind * 60));
    alarm.addPropertyWithValue('description', told.summary);
    event.addSubcomponent(alarm);
  }
  return event;
}

function toldOf(day: WorkedDay): Told[] {
  const told: Told[] = [];
  for (const part of day.parts) {
    const carried = part.answer?.carried;
    told.push({
      id: part.id.replace('/', '-'),
      fromMs: part.fromMs,
      toMs: part.toMs,
      summary: `${dayPartName(part)} (${part.camera.name})`,
      description: carried ? settingLine(carried.settings, part.brief.filters) : messages.noAnswerYet,
      category: 'shot',
      remind: REMIND_MINUTES.shot,
    });
  }
  for (const { id, fromMs, toMs, name, kind } of day.pauses)
    told.push({ id, fromMs, toMs, summary: name, description: '', category: kind, remind: null });
  for (const { id, profile, parts, sheet } of day.cameras) {
    if (!sheet) continue;
    const { name } = profile;
    for (const filterChange of sheet.filterChanges)
      told.push({
        id: `swap-${filterChange.partId.replace('/', '-')}`,
        fromMs: filterChange.window.fromMs,
        toMs: filterChange.window.fromMs + ACT_MS,
        summary: filterChangeLine(name, filterChange, parts[0]?.brief.filters ?? []),
        description: messages.filterChange,
        category: 'swap',
        remind: REMIND_MINUTES.filterChange,
      });
    for (const act of sheet.budget.acts)
      told.push({
        id: `${act.what}-${id}-${Math.round(act.atMs)}`,
        fromMs: act.atMs,
        toMs: act.what === 'charge' ? act.toMs : act.atMs + ACT_MS,
        summary: act.what === 'charge' ? messages.charge({ name }) : messages.next({ name, what: act.what }),
        description: '',
        category: 'charge',
        remind: REMIND_MINUTES.charge,
      });
  }
  return told;
}

function readingsTold({ days }: Outing, day: WorkedDay): Told[] {
  const entries = days.flatMap(({ date, entries: its }) => (date === day.date ? its : []));
  return readingsInDay(entries, day).map(({ entryId, fromMs, part }) => ({
    id: `reading-${entryId}`,
    fromMs,
    toMs: fromMs + ACT_MS,
    summary: readTheLightText(dayPartName(part)),
    description: messages.reading,
    category: 'reading',
    remind: REMIND_MINUTES.reading,
  }));
}

/** When an event starts: an instant, or what the clock shows in a zone (`null`: wherever the outing is). */
type CalendarTime = { atMs: number } | { date: string; time: string; zone: string | null };

/** Events of a calendar by what they are called in it. */
export interface CalendarTimes {
  events: { uid: string; start: CalendarTime }[];
  /** Events that say no name or no time that can be used. */
  unread: number;
}

/** More than this is no plan of days. */
export const MOST_EVENTS = 20_000;

/** Reads a calendar (RFC 5545). Its own definitions of zones are not followed: a zone is what its name says. Never throws. */
export function readCalendar(text: string): Checked<CalendarTimes> {
  const no = (why: string): Checked<CalendarTimes> => ({ ok: false, faults: [worded('', why)] });
  const count = text.match(/^BEGIN:VEVENT/gim)?.length ?? 0;
  if (count > MOST_EVENTS) return no(messages.eventsExpectedAtMostExport({ count, mostEvents: MOST_EVENTS }));
  let roots: readonly Jcal[];
  try {
    const parsed = ICAL.parse(text) as unknown as Jcal | Jcal[];
    roots = (typeof parsed[0] === 'string' ? [parsed] : parsed) as readonly Jcal[];
  } catch {
    return no(messages.thisIsNoCalendarThat);
  }
  const events: CalendarTimes['events'] = [];
  let unread = 0;
  for (const [, , parts] of roots)
    for (const [name, properties] of parts) {
      if (name !== 'vevent') continue;
      const uid = properties.find(([key]) => key === 'uid')?.[3];
      const start = startOf(properties.find(([key]) => key === 'dtstart'));
      if (typeof uid === 'string' && start) events.push({ uid, start });
      else unread += 1;
    }
  if (events.length === 0 && unread === 0) return no(messages.thereIsNoEventIn);
  return { ok: true, value: { events, unread } };
}

/** A component as jCal has it (RFC 7265): name, properties, components. */
type Jcal = readonly [string, readonly JcalProperty[], readonly Jcal[]];
type JcalProperty = readonly [string, Readonly<Record<string, unknown>>, string, ...unknown[]];

function startOf(property: JcalProperty | undefined): CalendarTime | null {
  const [, parameters, , value] = property ?? (['', {}, '', undefined] as const);
  const found = /^(\d{4}-\d\d-\d\d)T(\d\d:\d\d):\d\d(Z?)$/.exec(typeof value === 'string' ? value : '');
  if (!found) return null;
  const [, date = '', time = '', utc] = found;
  if (utc === 'Z') {
    const atMs = Date.parse(`${date}T${time}:00Z`);
    return Number.isNaN(atMs) ? null : { atMs };
  }
  const zone = parameters.tzid;
  if (typeof zone !== 'string') return { date, time, zone: null };
  // Some programs write "/maker/Europe/Rome".
  const known = [zone, zone.split('/').slice(-2).join('/')].find(isZone);
  return known === undefined ? null : { date, time, zone: known };
}

/** What a calendar moves of an outing. */
export interface CalendarMoves {
  /** New times by entry id, in the outing's zone. */
  moved: { entryId: string; date: string; at: string }[];
  /** Entries of the outing that stand in it. */
  known: number;
  leftBehind: string[];
}

export function movesOf({ events, unread: without }: CalendarTimes, outing: Outing): CalendarMoves {
  const entries = new Map<string, { entry: OutingEntry; date: string }>();
  for (const { date, entries: own } of outing.days)
    for (const entry of own) entries.set(entry.id, { entry, date });
  const moved = new Map<string, { entryId: string; date: string; at: string }>();
  const known = new Set<string>();
  let other = 0;
  let unread = without;
  for (const { uid, start } of events) {
    const id = uid.replace(/@lynxeye$/, '');
    const found = entries.get(id) ?? entries.get(/^(.*)-0$/.exec(id)?.[1] ?? '');
    if (!found) {
      other += 1;
      continue;
    }
    const { entry, date: was } = found;
    const clock = clockIn(start, outing.zone);
    if (!clock) {
      unread += 1;
      continue;
    }
    known.add(entry.id);
    const { date, at } = clock;
    // A time that the clock skips or shows twice stays as it was told, where it is the same instant.
    if (entry.at === at && was === date) moved.delete(entry.id);
    else if (instantOf(was, entry.at, outing.zone) !== instantOf(date, at, outing.zone))
      moved.set(entry.id, { entryId: entry.id, date, at });
  }
  const leftBehind = [
    ...(other > 0 ? [messages.eventsThatAreNoShot({ other })] : []),
    ...(unread > 0 ? [messages.eventsWithoutANameOr({ unread })] : []),
  ];
  return { moved: [...moved.values()], known: known.size, leftBehind };
}

/** The clock of the outing at a time of the calendar; `null` for what is no date or time. */
function clockIn(start: CalendarTime, zone: string): { date: string; at: string } | null {
  const atMs = 'atMs' in start ? start.atMs : instantOf(start.date, start.time, start.zone ?? zone);
  if (atMs === null) return null;
  if (!('atMs' in start) && (start.zone === null || start.zone === zone))
    return { date: start.date, at: start.time };
  const { date, time } = dateAndTime(atMs, zone);
  return { date, at: time };
}
