import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { heicWith, jpegWith } from '../e2e/photos/makePhoto';
import type { Shown } from '../e2e/photos/makePhoto';
import { makeDemo } from '../demo/makeDemo';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { daySheet } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import { readShot } from '@/core/records/shot';
import { backupOf } from '@/core/records/backupTexts';
import { recordChecks, RECORD_TABLES } from '@/core/records/kinds';
import { noRecords } from '@/core/records/kinds';
import { outingFileOf } from '@/core/records/outingFile';
import { trackFigures } from '@/core/track/track';
import { wallClock } from '@/formats/clock';
import { readSetup, storable, writeSetup } from '@/formats/code/setupCode';
import { readCoordinates } from '@/formats/coordinates';
import { readIncoming, readIncomingFile } from '@/formats/incoming';
import type { IncomingRead, Taking } from '@/formats/incoming';
import { writeModeSheet } from '@/formats/modeSheet/write';
import { EVERYTHING, zipped } from '@/formats/outing/archive';
import { movesOf, outingCalendar } from '@/formats/outing/calendar';
import { shotListCsv } from '@/formats/outing/csv';
import { readPhoto } from '@/formats/photo/readPhoto';
import { readTrack } from '@/formats/track/readTrack';
import { answerShot } from '@/words/answer';
import { mutatedBytes, mutatedJson, mutatedText } from './mutate';
import { sampling } from '../testing/samples';
import { faultText } from '@/words/faultText';

const demo = makeDemo();
const outing = demo.outings[0]!;
const kept = new Map(demo.shots.map((shot) => [shot.id, shot]));
const named = new Set(
  outing.days.flatMap(({ entries }) => entries.flatMap((one) => (one.what === 'shot' ? [one.shotId] : []))),
);
const days = outing.days.map(({ id }) => {
  const day = scheduleOf(outing, id, kept, wallClock(outing.zone));
  return workedDay(day, outing.gear, daySheet(day, outing.gear));
});
const backup = backupOf(
  // Some of each kind: what there is more of is alike.
  {
    ...demo,
    shots: demo.shots.slice(0, 4),
    kit: demo.kit.slice(0, 6),
    clips: demo.clips.slice(0, 3),
    log: demo.log.slice(0, 3),
  },
  '2026-10-03T10:00:00Z',
);
const outingFile = outingFileOf(
  outing,
  demo.shots.filter(({ id }) => named.has(id)),
  noRecords(),
);
const old = JSON.parse(
  JSON.stringify(backup).replaceAll('"version":3', '"version":1').replaceAll('"strong"', '"boost"'),
) as unknown;

const every = async <T>(inputs: fc.Arbitrary<T>, read: (input: T) => Promise<void> | void): Promise<void> =>
  fc.assert(
    fc.asyncProperty(inputs, async (input) => {
      await read(input);
    }),
    sampling(1000),
  );

/** Whatever a reader gives, whole or the sound part, fits the schemas: it can be kept. */
async function soundTaking(taking: Taking): Promise<void> {
  if (taking.kind === 'records') {
    const checks = await recordChecks();
    for (const table of RECORD_TABLES)
      for (const record of taking.records[table]) {
        const check = checks[table](record);
        expect(check.ok ? [] : check.faults).toEqual([]);
      }
  }
  if (taking.kind === 'shots') for (const shot of taking.shots) expect(readShot(shot).ok).toBe(true);
  if (taking.kind === 'calendar')
    for (const { date, at } of movesOf(taking.calendar, outing).moved) {
      expect(date).toMatch(/^\d{4}-\d\d-\d\d$/);
      expect(at).toMatch(/^\d\d:\d\d$/);
    }
}

/** A refusal says something, and nothing that a library said. */
async function soundRead(read: IncomingRead): Promise<void> {
  if (read.ok) await soundTaking(read.taking);
  else {
    expect(read.faults.length).toBeGreaterThan(0);
    for (const fault of read.faults)
      expect(faultText(fault)).not.toMatch(/undefined|is not a function|\bNaN\b.*NaN|Error:/);
    if (read.sound) await soundTaking(read.sound);
  }
}

describe('readers, given what hands and bad wires make of files', () => {
  it('JSON: shots, backups of either version, outings, cameras', () =>
    every(
      mutatedJson([
        demo.shots[4]!.shot,
        demo.shots[9]!.shot,
        backup,
        old,
        outingFile,
        ARCHETYPES.main,
        demo.shots.slice(0, 3).map(({ shot }) => shot),
      ]),
      async (input) => soundRead(await readIncoming(JSON.stringify(input))),
    ));

  it('a shot that is taken has an answer or a refusal', () =>
    every(mutatedJson(demo.shots.map(({ shot }) => shot)), (input) => {
      const read = readShot(input);
      if (read.ok) expect(answerShot(read.value).kind).toMatch(/^lynxeye\/(answer|refusal)$/);
    }));

  it('JSON text', () =>
    every(mutatedText([JSON.stringify(demo.shots[1]!.shot), JSON.stringify(outingFile)]), async (text) =>
      soundRead(await readIncoming(text)),
    ));

  it('sheets: shot lists and modes', () =>
    every(mutatedText([shotListCsv(days, outing.zone), writeModeSheet(ARCHETYPES.mini)]), async (text) =>
      soundRead(await readIncoming(text, 'sheet.csv')),
    ));

  it('calendars', () =>
    every(
      mutatedText([
        outingCalendar(outing, days),
        readFileSync(new URL('hostile/everySecond.ics', import.meta.url), 'utf8'),
      ]),
      async (text) => soundRead(await readIncoming(text, 'days.ics')),
    ));

  it('archives', async () => {
    const files = { [EVERYTHING]: new TextEncoder().encode(JSON.stringify(backup)) };
    const two = {
      'a/outing.json': new TextEncoder().encode(JSON.stringify(outingFile)),
      'b/outing.json': new TextEncoder().encode(
        JSON.stringify({ ...outingFile, outing: { ...outing, id: 'b' } }),
      ),
      'b/cards/x.png': new Uint8Array(200),
    };
    const zips = await Promise.all(
      [files, two].map(async (one) => new Uint8Array(await (await zipped(one)).arrayBuffer())),
    );
    await every(mutatedBytes(zips), async (bytes) =>
      soundRead(await readIncomingFile(new Blob([bytes]), 'everything.zip')),
    );
  });

  it('tracks', () =>
    every(mutatedText(TRACKS), (text) => {
      const read = readTrack(text);
      if (!read.ok) expect(read.why).not.toBe('');
      else
        for (const { speedMps } of trackFigures(read.track).minutes)
          expect(Number.isFinite(speedMps)).toBe(true);
    }));

  it('photographs', () =>
    every(mutatedBytes([new Uint8Array(jpegWith(SHOWN)), new Uint8Array(heicWith(SHOWN))]), (bytes) => {
      const read = readPhoto(bytes.buffer);
      if (!read.ok) return;
      const { place, fNumber, shutterSeconds } = read.facts;
      expect(place === null || (Math.abs(place.lat) <= 90 && Math.abs(place.lon) <= 180)).toBe(true);
      expect(fNumber > 0 && shutterSeconds > 0).toBe(true);
    }));

  it('set-up codes: what is read is written again the same', () => {
    const part = days[0]!.parts.find(({ answer }) => answer?.carried)!.answer!.carried!;
    const code = writeSetup({
      name: 'Helmet 25',
      cameraId: 'otter',
      settings: storable(part.settings),
      intervalSeconds: null,
      clock: '2026-10-03T10:10:05+02:00',
      startAfterSeconds: 10,
    });
    return every(mutatedText([code]), (text) => {
      const read = readSetup(text);
      if (read.ok) expect(readSetup(writeSetup(read.setup))).toEqual(read);
    });
  });

  it('coordinates', () =>
    every(mutatedText(['46.62, 12.30', "46° 37' 12\" N 12° 18' E", 'N46.62 E12.3']), (text) => {
      const read = readCoordinates(text);
      if (read.ok) expect(Math.abs(read.lat) <= 90 && Math.abs(read.lon) <= 180).toBe(true);
    }));
});

const SHOWN = { fNumber: [28, 10], exposureTime: [1, 200], iso: 100 } satisfies Shown;

const TRACKS = [
  `<?xml version="1.0"?><gpx><trk><name>Run</name><trkseg>${[0, 1, 2, 3]
    .map(
      (at) =>
        `<trkpt lat="46.62${at}" lon="12.3${at}"><ele>90${at}</ele><time>2026-10-03T10:1${at}:00Z</time></trkpt>`,
    )
    .join('')}</trkseg></trk></gpx>`,
  '<kml><Placemark><name>Way</name><LineString><coordinates>12.3,46.62,900 12.31,46.63,910</coordinates></LineString></Placemark></kml>',
  '<TrainingCenterDatabase><Activities><Activity><Id>x</Id><Lap><Track><Trackpoint><Time>2026-10-03T10:10:00Z</Time><Position><LatitudeDegrees>46.6</LatitudeDegrees><LongitudeDegrees>12.3</LongitudeDegrees></Position></Trackpoint></Track></Lap></Activity></Activities></TrainingCenterDatabase>',
];
