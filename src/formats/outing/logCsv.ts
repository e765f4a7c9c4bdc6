import Papa from 'papaparse';
import type { Recording } from '@/core/inspect/logbook';
import type { Clip } from '@/core/records/clip';
import { trimmed } from '@/core/units/format';
import { dateAndTime } from '../clock';

/** How a recording is told by name and clock. */
export interface Told {
  nameOf: (recording: Recording) => string;
  zoneOf: (recording: Recording) => string;
  cameraNameOf: (cameraId: string) => string;
}

/** What came back, a line for each clip, and one for what has none; figures are empty where they could not be told. */
export function logCsv(book: readonly Recording[], told: Told): string {
  const data = book.flatMap((recording) =>
    (recording.clips.length === 0 ? [null] : recording.clips).map((clip) =>
      COLUMNS.map(([, cell]) => cell(recording, clip, told)),
    ),
  );
  return Papa.unparse(
    { fields: COLUMNS.map(([name]) => name), data },
    // A cell that a sheet program would take for a formula is written as text.
    { escapeFormulae: true, newline: '\r\n' },
  );
}

type Cell = (recording: Recording, clip: Clip | null, told: Told) => string;

const startOf = (recording: Recording, clip: Clip | null, told: Told): { date: string; time: string } =>
  dateAndTime(clip?.startAt ? Date.parse(clip.startAt) : recording.atMs, told.zoneOf(recording));
const figure =
  (of: (clip: Clip) => number | null | undefined, decimals = 1): Cell =>
  (_, clip) => {
    const value = clip && of(clip);
    return value == null ? '' : trimmed(value, decimals);
  };

const COLUMNS: readonly [name: string, cell: Cell][] = [
  ['date', (...of) => startOf(...of).date],
  ['start', (...of) => startOf(...of).time],
  ['shot', (recording, _, { nameOf }) => nameOf(recording)],
  [
    'camera',
    ({ cameraIds }, clip, { cameraNameOf }) =>
      (clip?.cameraId ? [clip.cameraId] : cameraIds).map(cameraNameOf).join(' '),
  ],
  ['file', ({ entry }, clip) => clip?.measured.file.name ?? entry?.clip?.file ?? ''],
  ['length (s)', figure(({ measured }) => measured.container.durationSeconds)],
  ['size (MB)', figure(({ measured }) => measured.file.bytes / 1e6)],
  ['width (px)', figure(({ measured }) => measured.container.width, 0)],
  ['height (px)', figure(({ measured }) => measured.container.height, 0)],
  ['frame rate (fps)', figure(({ measured }) => measured.container.nominalFps, 2)],
  ['bit rate (Mbit/s)', figure(({ measured }) => measured.container.bitRateMbps)],
  ['looked at', (_, clip) => clip?.looked ?? ''],
  [
    'verdicts',
    ({ verdicts }, clip) => (clip && clip.verdicts.length > 0 ? clip.verdicts : verdicts).join(' '),
  ],
  ['cut off by', ({ entry }, clip) => clip?.cutReason ?? entry?.cutReason ?? ''],
  ['note', ({ entry }, clip) => [entry?.note, clip?.note].filter(Boolean).join(' ')],
  ['findings', (_, clip) => clip?.measured.findings.map(({ code }) => code).join(' ') ?? ''],
  ['white at worst (%)', figure(({ measured }) => measured.pictures?.clippedPct.worst, 2)],
  ['black at worst (%)', figure(({ measured }) => measured.pictures?.crushedPct.worst, 2)],
  ['middle (stops from grey)', figure(({ measured }) => measured.pictures?.middleStops.median, 2)],
  ['sharpness swings (%)', figure(({ measured }) => measured.pictures?.pulsingPct)],
  ['blur (0 to 1)', figure(({ measured }) => measured.pictures?.blur?.median, 2)],
  ['repeated frames (%)', figure(({ measured }) => measured.pictures?.repeatedPct)],
  [
    'shake (% of width a second)',
    figure(({ measured }) => measured.pictures?.movement?.shakePctWidthPerSRms),
  ],
  ['tilt (deg)', figure(({ measured }) => measured.pictures?.tiltDeg)],
  ['flicker (Hz)', figure(({ measured }) => measured.pictures?.flicker?.hz)],
  ['flicker (%)', figure(({ measured }) => measured.pictures?.flicker?.pct)],
  ['grain (dB below white)', figure(({ measured }) => measured.pictures?.noiseDb)],
  ['sound (dB)', figure(({ measured }) => measured.sound?.levelDb)],
  ['wind (% of the time)', figure(({ measured }) => measured.sound?.windPct)],
];
