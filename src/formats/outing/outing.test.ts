import { workedDay } from '@/core/day/workedDay';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { daySheet } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import { readOutingFile } from '@/core/records/outingFile';
import { item } from '@/core/units/items';
import { wallClock } from '../clock';
import { movesOf, outingCalendar, readCalendar } from './calendar';
import type { CalendarMoves } from './calendar';
import { straysOf } from '../handover/parcel';
import { readIncoming } from '../incoming';
import { budgetCsv, readShotListCsv, shotListCsv } from './csv';
import { entryAt, withDay } from '@/core/records/dayEdits';

const demo = makeDemo();
const outing = item(demo.outings, 0);
const shots = new Map(demo.shots.map((shot) => [shot.id, shot]));
const daysOf = (one: typeof outing, kept = shots) =>
  one.days.map(({ id }) => {
    const day = scheduleOf(one, id, kept, wallClock(one.zone));
    return workedDay(day, one.gear, daySheet(day, one.gear));
  });
const days = daysOf(outing);
/** What a calendar moves of an outing. */
const moves = (text: string, of: typeof outing): CalendarMoves => {
  const read = readCalendar(text);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return movesOf(read.value, of);
};

describe('a shot list', () => {
  it('comes back with every entry at its time, and says what a sheet cannot hold', () => {
    const read = readShotListCsv(shotListCsv(days, outing.zone));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const back = read.value.days.map(({ date, entries }) => [
      date,
      entries.map(({ at, what }) => `${at} ${what}`).sort(),
    ]);
    const were = outing.days.map(({ date, entries }) => [
      date,
      entries.map(({ at, what }) => `${at} ${what}`).sort(),
    ]);
    // The second half of a pair is a line of its own camera in the sheet, and comes with its shot.
    expect(back).toEqual(were);
    expect(read.value.leftBehind.length).toBe(2);
    const gate = read.value.days[0]!.entries.find(
      (entry) => entry.what === 'shot' && entry.shotId === 'demo-05',
    );
    expect(gate).toMatchObject({
      shot: { name: 'Sun gate', pins: { frameRate: 25 }, limits: { recordSeconds: 1800 } },
    });
  });

  it('writes no cell that a sheet program would run', () => {
    const evil = new Map(shots);
    const talk = evil.get('demo-01')!;
    evil.set('demo-01', { ...talk, shot: { ...talk.shot, name: '=HYPERLINK("http://x","y")' } });
    const text = shotListCsv(daysOf(outing, evil), outing.zone);
    for (const cell of text.split(/\r\n/).flatMap((line) => line.split(',')))
      expect(cell).not.toMatch(/^"?[=+@]/);
    const read = readShotListCsv(text);
    expect(
      read.ok &&
        read.value.days[0]!.entries.some(
          (entry) => entry.what === 'shot' && entry.shot.name?.startsWith('=HYPER'),
        ),
    ).toBe(true);
  });

  it('names each fault by row and column and takes nothing', () => {
    const text = shotListCsv(days, outing.zone).replace('08:50', '8 o’clock').replace(',travel,', ',flight,');
    const read = readShotListCsv(text);
    expect(read.ok).toBe(false);
    expect(!read.ok && read.faults.map(({ path }) => path)).toEqual(['row 2, start', 'row 3, what']);
    expect(readShotListCsv('a,b\r\n1,2')).toMatchObject({ ok: false });
  });

  it('has a budget beside it, a line for each camera and day', () => {
    expect(budgetCsv(days, outing.zone).split('\r\n')).toHaveLength(1 + 4 + 3);
  });
});

describe('the calendar', () => {
  const text = outingCalendar(outing, days);

  it('opens in a strict parser, at the right instants of the right zone, with reminders', () => {
    const root = new ICAL.Component(ICAL.parse(text) as never);
    expect(root.getAllSubcomponents('vtimezone')).toHaveLength(1);
    for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
    const events = root.getAllSubcomponents('vevent');
    const gate = events
      .map((event) => new ICAL.Event(event))
      .find(({ summary }) => summary === 'Sun gate (Otter)')!;
    expect(gate.startDate.toJSDate().toISOString()).toBe('2026-10-03T10:40:00.000Z');
    expect(gate.startDate.zone.tzid).toBe('Europe/Rome');
    expect(gate.component.getAllSubcomponents('valarm')).toHaveLength(1);
    const kinds = new Set(events.map((event) => String(event.getFirstPropertyValue('categories'))));
    expect([...kinds].sort()).toEqual(['break', 'charge', 'shot', 'swap', 'travel']);
    const read = {
      ...outing,
      days: outing.days.map((day) => ({
        ...day,
        entries: day.entries.map((entry) =>
          entry.id === 'sat-10' && entry.what === 'shot'
            ? { ...entry, reading: { minutesBefore: 10 } }
            : entry,
        ),
      })),
    };
    expect(outingCalendar(read, days).replaceAll('\r\n ', '')).toMatch(
      /DTSTART;TZID=Europe\/Rome:20261003T123000[^]*SUMMARY:Read the light where it is brightest\\, for Sun gate/,
    );
    // Lines end and fold as the standard says.
    for (const line of text.split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  });

  it('read back, moves what was moved, and says what it did not use', () => {
    const moved = withDay(outing, 'saturday', (day) => entryAt(day, 'sat-10', 13 * 60));
    const read = moves(outingCalendar(moved, daysOf(moved)), outing);
    expect(read.moved).toEqual([{ entryId: 'sat-10', date: '2026-10-03', at: '13:00' }]);
    expect(read.leftBehind).toHaveLength(1);
  });
});

describe('an outing file', () => {
  const file = { kind: 'lynxeye/outing-file', version: 3, outing, shots: demo.shots };

  it('is read as it was written', async () => {
    const read = await readOutingFile(JSON.parse(JSON.stringify(file)));
    expect(read.ok && read.records).toMatchObject({ outings: [outing], shots: demo.shots });
  });

  it('is taken in without a shot that it names, and says so', async () => {
    const read = await readIncoming(JSON.stringify({ ...file, shots: demo.shots.slice(1) }));
    if (!read.ok || read.taking.kind !== 'records') throw new Error('it was not taken');
    expect(read.taking.records).toMatchObject({ outings: [outing], shots: demo.shots.slice(1) });
    expect(read.leftBehind).toHaveLength(1);
    expect(
      straysOf({ what: 'outing', id: outing.id }, { outings: [outing], shots: demo.shots.slice(1) }),
    ).toBe(1);
  });

  it('names a shot that is not in it', async () => {
    const read = await readOutingFile({ ...file, shots: demo.shots.slice(1) });
    expect(!read.ok && read.faults).toEqual([
      {
        path: 'outing.days[0].entries[0].shotId',
        problem: { code: 'shotNotInFile', id: 'demo-01' },
      },
    ]);
  });
});
