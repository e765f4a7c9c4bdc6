import ICAL from 'ical.js';
import { scheduleOf } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import type { Outing } from '@/core/records/outing';
import { isZone } from '@/core/schema/zone';
import { FILE_VERSION } from '@/core/schema/versions';
import { allZones, dateAndTime, instantOf, isoIn, wallClock } from '@/formats/clock';
import { movesOf, outingCalendar, readCalendar } from '@/formats/outing/calendar';
import { shotListCsv } from '@/formats/outing/csv';
import { faultText } from '@/words/faultText';

/**
 * An outing in every zone there is, aliases too, written as a calendar and read back on a machine of whatever zone: prints
 * what moved. Its own definition of the zone is held against a second reader of calendars, which follows it.
 */
const ALIASES = [
  'Asia/Calcutta',
  'Europe/Kiev',
  'America/Buenos_Aires',
  'Asia/Katmandu',
  'US/Pacific',
  'UTC',
  'Etc/UTC',
  'GMT',
  'Etc/GMT+5',
];
const DATES = [
  '2026-01-15',
  '2026-03-08',
  '2026-03-29',
  '2026-07-01',
  '2026-10-03',
  '2026-10-25',
  '2026-11-01',
  '2027-05-10',
];
const TIMES = ['00:05', '01:30', '02:15', '03:00', '08:50', '12:40', '19:10', '23:55'];

const wrong: string[] = [];
let entries = 0;
/** Of all zones every `of`th from the first, `at`th…: several machines share them. */
const [at = 0, of = 1] = process.argv.slice(2).map(Number);
const all = [...new Set([...allZones(), ...ALIASES])].filter(isZone);
const zones = all.filter((_, index) => index % of === at);
for (const zone of zones) {
  const outing: Outing = {
    kind: 'lynxeye/outing',
    version: FILE_VERSION,
    id: 'o',
    createdAt: '2026-10-01T00:00:00Z',
    updatedAt: '2026-10-01T00:00:00Z',
    demo: false,
    archived: false,
    name: zone,
    note: '',
    zone,
    gear: [],
    ticked: [],
    days: DATES.map((date) => ({
      id: date,
      date,
      air: { lowC: 0, highC: 1 },
      entries: TIMES.map((at) => ({
        what: 'break' as const,
        id: `${date}-${at.replace(':', '')}`,
        name: 'Break',
        at,
        minutes: 5,
        outOfReach: [],
      })),
    })),
  };
  const days = outing.days.map(({ id }) =>
    workedDay(scheduleOf(outing, id, new Map(), wallClock(zone)), [], null),
  );
  const text = outingCalendar(outing, days);
  const read = readCalendar(text);
  if (!read.ok) {
    wrong.push(`${zone}: ${read.faults.map(faultText)[0] ?? ''}`);
    continue;
  }
  const { moved, known } = movesOf(read.value, outing);
  entries += known;
  if (known !== DATES.length * TIMES.length) wrong.push(`${zone}: ${known} known`);
  for (const { entryId, date, at } of moved) wrong.push(`${zone}: ${entryId} moved to ${date} ${at}`);
  // The second reader, and the sheet: the same clock.
  ICAL.TimezoneService.reset();
  const root = new ICAL.Component(ICAL.parse(text) as never);
  for (const block of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(block);
  for (const event of root.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))) {
    const id = event.uid.replace('@lynxeye', '');
    const pause = days.flatMap(({ pauses }) => pauses).find((one) => one.id === id);
    const told = event.startDate.toJSDate().getTime();
    // A time that the clock shows twice is the first to some readers and the second to others.
    if (told !== pause?.fromMs && !(pause && showsTwice(pause.fromMs, zone)))
      wrong.push(`${zone}: ${id} is ${new Date(told).toISOString()} to another reader`);
  }
  const sheet = new Set(shotListCsv(days, zone).split('\r\n'));
  for (const { fromMs } of days.flatMap(({ pauses }) => pauses)) {
    const { date, time } = dateAndTime(fromMs, zone);
    if (![...sheet].some((line) => line.startsWith(`${date},${time},`)))
      wrong.push(`${zone}: the sheet lacks ${date} ${time}`);
    if (Date.parse(isoIn(fromMs, zone)) !== fromMs) wrong.push(`${zone}: ${isoIn(fromMs, zone)}`);
    if (instantOf(date, time, zone) !== fromMs) wrong.push(`${zone}: ${date} ${time} is another instant`);
  }
}
console.log(JSON.stringify({ zones, entries, wrong }));

/** Whether the clock shows the same an hour, or half of one, later. */
function showsTwice(atMs: number, zone: string): boolean {
  const now = isoIn(atMs, zone).slice(0, 16);
  return [1_800_000, 3_600_000, 7_200_000].some((later) => isoIn(atMs + later, zone).startsWith(now));
}
