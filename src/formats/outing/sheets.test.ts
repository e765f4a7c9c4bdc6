import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { MOST_DAYS, MOST_ENTRIES } from '@/core/records/dayBounds';
import { logbookOf } from '@/core/inspect/logbook';
import type { Outing } from '@/core/records/outing';
import { MOST_EVENTS, movesOf, readCalendar } from './calendar';
import type { CalendarMoves } from './calendar';
import { isShotList, readShotListCsv } from './csv';
import { SHOT_COLUMNS } from './dayRows';
import { logCsv } from './logCsv';
import { faultText } from '@/words/faultText';
import { sampling } from '../../../testing/samples';

const outing = makeDemo().outings[0]!;

/** A shot list of these lines, each told by column. */
function sheet(...rows: Partial<Record<(typeof SHOT_COLUMNS)[number], string>>[]): string {
  const lines = rows.map((row) => SHOT_COLUMNS.map((column) => row[column] ?? '').join(','));
  return [SHOT_COLUMNS.join(','), ...lines].join('\r\n');
}
const line = { date: '2026-10-03', start: '09:00', minutes: '5', what: 'shot', name: 'One' };
const faultsOf = (text: string): string[] => {
  const read = readShotListCsv(text);
  return read.ok ? [] : read.faults.map(faultText);
};

describe('a shot list from elsewhere', () => {
  it('is known by its columns, in whatever order and with more beside them', () => {
    expect(isShotList('name,what,minutes,start,date\r\n')).toBe(true);
    expect(isShotList('\uFEFFdate, start ,minutes,what,name,mine\n')).toBe(true);
    expect(isShotList('date,start,minutes,name\n')).toBe(false);
    expect(isShotList('')).toBe(false);
  });

  it('names every column it lacks', () => {
    expect(faultsOf('date,name\r\n2026-10-03,x')).toHaveLength(3);
  });

  it('sorts its days, and takes blanks and empty lines as nothing', () => {
    const read = readShotListCsv(
      `${sheet({ ...line, date: '2026-10-04', name: ' Late ' }, line)}\r\n\r\n , ,\r\n`,
    );
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.value.days.map(({ date }) => date)).toEqual(['2026-10-03', '2026-10-04']);
    expect(read.value.days[1]!.entries).toMatchObject([
      { what: 'shot', shot: { name: 'Late' }, shotId: null },
    ]);
  });

  it('keeps what a shot says of its settings as pins, and leaves alone what it does not', () => {
    const told = {
      ...line,
      mount: 'helmet',
      'frame rate (fps)': '50',
      'bit rate (Mbit/s)': '60',
      'width (px)': '1920',
      'height (px)': '1080',
      stabilization: 'boost',
      codec: 'hevc',
      colour: 'log',
      'shot id': 'mine',
    };
    const read = readShotListCsv(sheet(told, { ...line, 'width (px)': '1920' }));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.value.days[0]!.entries).toEqual([
      {
        what: 'shot',
        at: '09:00',
        shotId: 'mine',
        shot: {
          kind: 'lynxeye/shot',
          version: 3,
          name: 'One',
          mount: { kind: 'helmet' },
          limits: { recordSeconds: 300 },
          pins: {
            frameRate: 50,
            bitRateMbps: 60,
            resolution: { width: 1920, height: 1080 },
            stabilization: 'strong',
            codec: 'hevc',
            colour: 'log',
          },
        },
      },
      {
        what: 'shot',
        at: '09:00',
        shotId: null,
        shot: { kind: 'lynxeye/shot', version: 3, name: 'One', limits: { recordSeconds: 300 } },
      },
    ]);
  });

  it('counts the lines of second cameras as those of their shot', () => {
    const read = readShotListCsv(sheet({ ...line, 'shot id': 'a' }, { ...line, 'shot id': 'a#1' }));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.value.days[0]!.entries).toHaveLength(1);
    expect(read.value.leftBehind).toHaveLength(2);
  });

  it.each([
    [{ date: '3.10.2026' }, 'row 2, date'],
    [{ date: '2026-02-30' }, 'row 2, date'],
    [{ start: '24:00' }, 'row 2, start'],
    [{ start: '9:00' }, 'row 2, start'],
    [{ minutes: '0' }, 'row 2, minutes'],
    [{ minutes: 'five' }, 'row 2, minutes'],
    [{ minutes: '1441' }, 'row 2, minutes'],
    [{ what: 'pause' }, 'row 2, what'],
    [{ name: '' }, 'row 2, name'],
    [{ name: 'x'.repeat(121) }, 'row 2, name'],
    [{ codec: 'mpeg' }, 'row 2, codec'],
    [{ 'frame rate (fps)': 'fast' }, 'row 2, frameRate'],
    [{ what: 'break', minutes: '0.2' }, 'row 2, minutes'],
  ])('%j is a fault at its row and column, and nothing is taken', (wrong, place) => {
    const faults = faultsOf(sheet({ ...line, ...wrong }, line));
    expect(faults).toHaveLength(1);
    expect(faults[0]!.startsWith(`${place}: `), faults[0]).toBe(true);
  });

  it('with no line, too many on a day or too many days is refused in words', () => {
    expect(faultsOf(SHOT_COLUMNS.join(','))).toHaveLength(1);
    const many = Array.from({ length: MOST_ENTRIES + 1 }, (_, at) => ({ ...line, name: `N${at}` }));
    expect(faultsOf(sheet(...many)).at(-1)).toMatch(/2026-10-03/);
    const days = Array.from({ length: MOST_DAYS + 1 }, (_, at) => ({
      ...line,
      date: new Date(Date.UTC(2026, 0, 1 + at)).toISOString().slice(0, 10),
    }));
    expect(faultsOf(sheet(...days))).toHaveLength(1);
  });

  it('never throws, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 12 }), { maxLength: 12 }), (cells) => {
        const text = `${SHOT_COLUMNS.join(',')}\r\n${cells.join(',')}`;
        expect(typeof readShotListCsv(text).ok).toBe('boolean');
        expect(typeof readShotListCsv(cells.join('\n')).ok).toBe('boolean');
      }),
      sampling(200, 81),
    );
  });
});

describe('a calendar from elsewhere', () => {
  const calendar = (...events: string[]): string =>
    ['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR'].join('\r\n');
  const event = (uid: string | null, start: string): string =>
    [
      'BEGIN:VEVENT',
      ...(uid === null ? [] : [`UID:${uid}`]),
      ...(start === '' ? [] : [`DTSTART${start}`]),
      'END:VEVENT',
    ].join('\r\n');
  const moves = (text: string, of: Outing = outing): CalendarMoves => {
    const read = readCalendar(text);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    return movesOf(read.value, of);
  };
  const entry = outing.days[0]!.entries.find(({ what }) => what === 'shot')!;

  it('moves an entry told in the zone, in another zone, in universal time, or by the clock on the wall', () => {
    const expected = [{ entryId: entry.id, date: '2026-10-03', at: '14:30' }];
    for (const start of [
      ';TZID=Europe/Rome:20261003T143000',
      ';TZID=/maker.example/Europe/Rome:20261003T143000',
      ';TZID=Europe/London:20261003T133000',
      ':20261003T123000Z',
      ':20261003T143000',
    ])
      expect(moves(calendar(event(`${entry.id}@lynxeye`, start))).moved, start).toEqual(expected);
  });

  it('knows the event of a shot’s first camera as the shot', () => {
    const { moved } = moves(calendar(event(`${entry.id}-0@lynxeye`, ':20261003T143000')));
    expect(moved).toMatchObject([{ entryId: entry.id, at: '14:30' }]);
  });

  it('leaves alone what did not move, and takes the last word of two', () => {
    const clock = entry.at.replace(':', '');
    const there = event(entry.id, `:20261003T${clock}00`);
    expect(moves(calendar(there))).toMatchObject({ moved: [], known: 1, leftBehind: [] });
    const away = event(entry.id, ':20261003T143000');
    expect(moves(calendar(away, there)).moved).toEqual([]);
    expect(moves(calendar(there, away)).moved).toHaveLength(1);
  });

  it('says what it does not know and what has no time', () => {
    const text = calendar(
      event('someone-else@elsewhere', ':20261003T143000'),
      event(null, ':20261003T143000'),
      event(entry.id, ';VALUE=DATE:20261003'),
      event(entry.id, ';TZID=Nowhere/Land:20261003T143000'),
      event(entry.id, ''),
    );
    const { moved, known, leftBehind } = moves(text);
    expect([moved, known]).toEqual([[], 0]);
    expect(leftBehind).toHaveLength(2);
    expect(leftBehind[1]).toContain('4');
  });

  it('that is none, is empty or is larger than any plan is refused in words', () => {
    for (const text of ['hello', '', calendar(), 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID'])
      expect(readCalendar(text).ok, text).toBe(false);
    const huge = calendar(...Array.from({ length: MOST_EVENTS + 1 }, () => 'BEGIN:VEVENT\r\nEND:VEVENT'));
    expect(readCalendar(huge)).toMatchObject({ ok: false });
  });
});

describe('what came back, as a sheet', () => {
  it('has a line for each clip with its measures, and one for what has no clip', () => {
    const { log, clips, outings } = makeDemo();
    const book = logbookOf(
      [...log, { ...log[0]!, id: 'other', shotId: 'other', note: '=1+1' }],
      clips,
      outings,
    );
    const text = logCsv(book, {
      nameOf: ({ shotId }) => shotId ?? '',
      zoneOf: () => 'Europe/Stockholm',
      cameraNameOf: (id) => id.toUpperCase(),
    });
    const { data } = Papa.parse<Record<string, string>>(text, { header: true });
    expect(data).toHaveLength(clips.length + 1);
    expect(data.find(({ file }) => file === 'OTR_0041.MP4')).toMatchObject({
      date: '2026-01-17',
      start: '11:05',
      shot: 'demo-skate-1',
      camera: 'OTTER',
      findings: 'smear',
      verdicts: 'smear',
    });
    const smeared = clips.find(({ measured }) => measured.file.name === 'OTR_0041.MP4')!.measured.pictures!;
    const line = data.find(({ file }) => file === 'OTR_0041.MP4')!;
    expect(Number(line['sharpness swings (%)'])).toBeCloseTo(smeared.pulsingPct!, 0);
    expect(data.find(({ shot }) => shot === 'other')).toMatchObject({ note: "'=1+1", 'tilt (deg)': '' });
  });
});
