import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { sealed } from '../../fuzz/sealed';
import { rebased } from '@/core/records/rebased';
import { outingFileOf } from '@/core/records/outingFile';
import { readSetup } from './code/setupCode';
import { readIncoming, readIncomingFile } from './incoming';
import type { IncomingRead } from './incoming';
import { zipped } from './outing/archive';
import { readTrack } from './track/readTrack';
import { faultText } from '@/words/faultText';

const demo = makeDemo();
const outing = demo.outings[0]!;
const file = outingFileOf(outing, demo.shots, demo);
const bytesOf = (value: unknown): Uint8Array => new TextEncoder().encode(JSON.stringify(value));
const hostile = (name: string): Blob =>
  new Blob([new Uint8Array(readFileSync(new URL(`../../fuzz/hostile/${name}`, import.meta.url)))]);
const faults = (read: IncomingRead): string[] => (read.ok ? [] : read.faults.map(faultText));

describe('an archive', () => {
  const two = (second: unknown): Promise<Blob> =>
    zipped({ 'a/outing.json': bytesOf(file), 'b/outing.json': bytesOf(second) });

  it('is taken whole, or not: one faulty outing of two keeps the other back until the person agrees', async () => {
    const read = await readIncomingFile(
      await two({ ...file, outing: { ...outing, id: 'b', zone: 'Mars/Olympus' } }),
      'two.zip',
    );
    expect(faults(read)).toEqual(['b/outing.json: outing.zone: expected a time zone such as Europe/Rome']);
    expect(read).toMatchObject({
      faulty: [outing.name],
      sound: { kind: 'records', records: { outings: [{ id: outing.id }] } },
    });
    const whole = await readIncomingFile(await two({ ...file, outing: { ...outing, id: 'b' } }), 'two.zip');
    expect(whole).toMatchObject({
      ok: true,
      taking: {
        records: { outings: [{ id: outing.id }, { id: 'b' }], shots: { length: demo.shots.length } },
      },
    });
  });

  it('with one bit turned over is damaged, and says so', async () => {
    const bytes = new Uint8Array(await (await zipped({ 'everything.json': bytesOf(file) })).arrayBuffer());
    // Within the packed data, after the head of the first entry.
    bytes[200]! ^= 1;
    const [fault] = faults(await readIncomingFile(new Blob([bytes]), 'everything.zip'));
    expect(fault).toContain('damaged');
  });

  it('of entries that lie over one another is not unpacked', async () => {
    expect(faults(await readIncomingFile(hostile('overlapping.zip'), 'x.zip'))).toEqual([
      'it holds no everything.json and no outing.json',
    ]);
  });
});

describe('a sheet', () => {
  const list = (lines: string, head = 'date,start,minutes,what,name'): Promise<IncomingRead> =>
    readIncoming(`${head}\n${lines}`, '.csv');

  it('is a shot list by its columns, in whatever order; without a name it still has one', async () => {
    expect(await list('Ice,shot,10,09:00,2027-01-02', 'name,what,minutes,start,date')).toMatchObject({
      ok: true,
      taking: { kind: 'shotList', name: 'Shot list' },
    });
  });

  it('is refused in words where an outing could not hold it', async () => {
    expect(faults(await list('2027-01-02,09:00,0.33,break,Tea'))).toEqual([
      'row 2, minutes: expected at least 0.5 of a break',
    ]);
    expect(faults(await list('2027-01-02,09:00,5,shot,Ice\n'.repeat(401)))).toEqual([
      'more than 400 lines on 2027-01-02; an outing holds no more: take it in parts',
    ]);
    const dates = Array.from({ length: 32 }, (_, at) => `2027-0${1 + (at % 9)}-${10 + Math.floor(at / 9)}`);
    expect(faults(await list(dates.map((date) => `${date},09:00,5,shot,Ice`).join('\n')))).toEqual([
      'more than 31 dates; an outing holds no more: take it in parts',
    ]);
    expect(faults(await list('2027-01-02,09:00,5,shot,Ice\n'.repeat(20_000)))[0]).toContain(
      'at most 12400 lines',
    );
  });
});

describe('a calendar', () => {
  const read = (event: string): Promise<IncomingRead> =>
    readIncoming(`BEGIN:VCALENDAR\nBEGIN:VEVENT\n${event}\nEND:VEVENT\nEND:VCALENDAR`, 'x.ics');

  it('is not held up by what it says of its zones', async () => {
    expect(await readIncomingFile(hostile('everySecond.ics'), 'z.ics')).toMatchObject({
      ok: true,
      taking: {
        calendar: {
          events: [
            { uid: 'sat-01-0@lynxeye', start: { date: '2026-10-03', time: '08:50', zone: 'Europe/Rome' } },
          ],
        },
      },
    });
  });

  it('without names or starts, or with none at all, is told in our words', async () => {
    for (const event of [
      'SUMMARY:x',
      'UID:a',
      'DTSTART:20261003T085000',
      'UID:a\nDTSTART;TZID=Mars:20261003T085000',
    ])
      expect(await read(event)).toMatchObject({ ok: true, taking: { calendar: { events: [], unread: 1 } } });
    expect(faults(await readIncoming('no calendar', 'x.ics'))[0]).toContain('no calendar that can be read');
    expect(
      faults(await read('UID:a\n'.repeat(2).concat('END:VEVENT\nBEGIN:VEVENT\n'.repeat(20_001))))[0],
    ).toContain('expected at most 20000');
  });
});

describe('crafted inputs', () => {
  it('a track whose root is the name of something in the language is no track', () => {
    for (const root of ['constructor', 'toString', '__proto__'])
      expect(readTrack(`<${root}><trkpt lat="1" lon="2"/></${root}>`)).toMatchObject({
        ok: false,
        why: `expected a GPX, KML or TCX track, got <${root}>`,
      });
  });

  it('a set-up code is read only as it is written down', () => {
    const good =
      'lynxeye-setup/2;n=Helmet;cam=otter;rec=video;res=3840x2160;fps=25;view=wide%40112;stab=strong;sh=fixed%3A0.02;iso=100-800;wb=auto;col=standard;ev=0;rate=60;codec=hevc;bits=10;sharp=low;nr=low;go=10';
    const ok = (body: string): boolean => readSetup(sealed(body)).ok;
    expect(ok(good)).toBe(true);
    expect(ok(good.replace('setup/2', 'setup/1').replace('strong', 'boost'))).toBe(true);
    const crafted: [string, string][] = [
      ['n=Helmet', `n=${'x'.repeat(5000)}`],
      ['n=Helmet', 'n='],
      ['n=Helmet', 'n=two%0Alines'],
      ['n=Helmet', 'n=%20Helmet'],
      ['res=3840x2160', 'res=3840x2160x7'],
      ['res=3840x2160', 'res=0x10x20'],
      ['fixed%3A0.02', 'fixed%3A0x1'],
      ['fixed%3A0.02', 'fixed%3A0.02%3A0.01'],
      ['fixed%3A0.02', 'auto%3A0.02%3A0.03'],
      ['fixed%3A0.02', 'fixed%3A2'],
      ['iso=100-800', 'iso=100-800-1600'],
      ['iso=100-800', 'iso=1e2-800'],
      ['go=10', 'go=1e308'],
      ['go=10', 'at=5'],
      ['go=10', 'at=0001-01-01T00%3A00%3A00Z'],
      ['fps=25', 'fps=25%20'],
      ['view=wide%40112', 'view=%40112'],
      ['stab=strong', 'stab=boost'],
    ];
    for (const [from, to] of crafted) expect(ok(good.replace(from, to)), to.slice(0, 30)).toBe(false);
  });

  it('a change is put onto what is kept by then', () => {
    const change = rebased(
      { name: 'a', filter: { stops: 3, id: 'n' } },
      { name: 'a', filter: { stops: 4, id: 'n' } },
    );
    expect(change({ name: 'b', filter: { stops: 3, id: 'm' } })).toEqual({
      name: 'b',
      filter: { stops: 4, id: 'm' },
    });
  });
});
