import { readFileSync } from 'node:fs';
import { makeDemo } from '../demo/makeDemo';
import { daySheet } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import { wallClock } from '@/formats/clock';
import { readIncoming, readIncomingFile } from '@/formats/incoming';
import { outingCalendar } from '@/formats/outing/calendar';
import { shotListCsv } from '@/formats/outing/csv';
import { readPhoto } from '@/formats/photo/readPhoto';
import { readTrack } from '@/formats/track/readTrack';
import { answerShot } from '@/words/answer';
import { readShot } from '@/core/records/shot';

/** Inputs that once stalled everything, each beside an ordinary one of its kind: milliseconds, and the ratio of the two. */
const demo = makeDemo();
const outing = demo.outings[0]!;
const kept = new Map(demo.shots.map((shot) => [shot.id, shot]));
const days = outing.days.map(({ id }) => {
  const day = scheduleOf(outing, id, kept, wallClock(outing.zone));
  return workedDay(day, outing.gear, daySheet(day, outing.gear));
});
const file = (name: string): Buffer => readFileSync(`fuzz/hostile/${name}`);
const calendar = outingCalendar(outing, days);
const sheet = shotListCsv(days, outing.zone);
const event = calendar.slice(calendar.indexOf('BEGIN:VEVENT'), calendar.indexOf('END:VEVENT') + 12);
const manyEvents = calendar.replace('BEGIN:VEVENT', `${event.repeat(20_000)}BEGIN:VEVENT`);
const line = sheet.split('\r\n')[1]!;
const track = (points: number): string =>
  `<gpx><trk><trkseg>${Array.from({ length: points }, (_, at) => `<trkpt lat="46.${(1e6 + at).toString().slice(1)}" lon="12.3"><time>${new Date(1.79e12 + at * 1000).toISOString()}</time></trkpt>`).join('')}</trkseg></trk></gpx>`;
const segments = new Uint8Array(40 << 20);
segments.set([0xff, 0xd8]);
for (let at = 2; at + 4 <= segments.length; at += 4) segments.set([0xff, 0xe1, 0, 2], at);

const solved = (text: string): string => {
  const shot = readShot(JSON.parse(text));
  return shot.ok ? answerShot(shot.value).kind : (shot.faults[0]?.problem.code ?? '');
};
type Read = () => unknown;
const CASES: [what: string, hostile: Read, ordinary: Read][] = [
  [
    'a calendar whose zone recurs every second',
    () => readIncoming(file('everySecond.ics').toString(), 'x.ics'),
    () => readIncoming(calendar, 'x.ics'),
  ],
  [
    'a calendar of 20,000 events',
    () => readIncoming(manyEvents, 'x.ics'),
    () => readIncoming(calendar, 'x.ics'),
  ],
  [
    'an archive of overlapping entries',
    () => readIncomingFile(new Blob([new Uint8Array(file('overlapping.zip'))]), 'x.zip'),
    () => readIncoming(JSON.stringify(demo.shots[0]!.shot)),
  ],
  [
    'a shot list of 20,000 lines',
    () => readIncoming(`${sheet}\r\n${`${line}\r\n`.repeat(20_000)}`, 'x.csv'),
    () => readIncoming(sheet, 'x.csv'),
  ],
  [
    '40 stacked variable filters, solved',
    () => solved(file('stackedFilters.json').toString()),
    () => solved(JSON.stringify(demo.shots[4]!.shot)),
  ],
  [
    'a camera of 40,000 modes, solved',
    () => solved(file('fortyThousandModes.json').toString()),
    () => solved(JSON.stringify(demo.shots[4]!.shot)),
  ],
  [
    '40 MB of empty segments as a photograph',
    () => readPhoto(segments.buffer),
    () => readPhoto(segments.buffer.slice(0, 40)),
  ],
  ['a track of 500,000 points', () => readTrack(track(500_000)), () => readTrack(track(5000))],
];

for (const [what, hostile, ordinary] of CASES) {
  await ordinary();
  const times: number[] = [];
  let came: unknown;
  for (const read of [ordinary, hostile]) {
    const start = performance.now();
    came = await read();
    times.push(performance.now() - start);
  }
  const [usual = 0, slow = 0] = times;
  const words = typeof came === 'string' ? came : JSON.stringify(came).slice(0, 90);
  console.log(
    `${what}: ${slow.toFixed(0)} ms, ${(slow / Math.max(usual, 0.01)).toFixed(0)} times an ordinary one; ${words.slice(0, 90)}`,
  );
}
