import * as z from 'zod';
import { checkFile } from '../schema/checkFile';
import type { Fault } from '../schema/fault';
import { FileVersion } from '../schema/fileVersion';
import { ClipSchema } from './clip';
import { LogEntrySchema } from './logEntry';
import { MeasuredSchema } from './measured';
import { OutingSchema } from './outing';
import type { Outing } from './outing';
import { RemovedSchema } from './removed';
import { ShotRecordSchema } from './shotRecord';
import type { ShotRecord } from './shotRecord';
import { FILE_VERSION } from '../schema/versions';
import { readRecords } from './backup';
import { RECORD_KINDS } from './kinds';
import type { RecordTable } from './kinds';
import type { RecordsRead } from './backup';

/** An outing with its shots: a file that stands alone. */
const head = { kind: z.literal('lynxeye/outing-file'), version: FileVersion };
/** As many of each kind as are kept. */
const most = (table: RecordTable): number => RECORD_KINDS[table].most;

export const OutingFileSchema = z.strictObject({
  ...head,
  outing: OutingSchema,
  shots: z.array(ShotRecordSchema).max(most('shots')),
  /** What came back of it: its clips without the clips themselves, and what the log says of its shots. */
  clips: z.array(ClipSchema).max(most('clips')).default([]),
  log: z.array(LogEntrySchema).max(most('log')).default([]),
  /** What was measured on the spot of its shots. */
  measured: z.array(MeasuredSchema).max(most('measured')).default([]),
  /** Recordings and clips of it that were removed. */
  removed: z.array(RemovedSchema).max(most('removed')).default([]),
});

type OutingFile = z.output<typeof OutingFileSchema>;

const Frame = z.strictObject({
  ...head,
  outing: z.unknown(),
  shots: z.array(z.unknown()).max(most('shots')),
  clips: z.array(z.unknown()).max(most('clips')).default([]),
  log: z.array(z.unknown()).max(most('log')).default([]),
  measured: z.array(z.unknown()).max(most('measured')).default([]),
  removed: z.array(z.unknown()).max(most('removed')).default([]),
});

/** What came back of an outing. */
export type Came = Pick<OutingFile, 'clips' | 'log' | 'measured' | 'removed'>;

/** Of everything kept, what came back of one outing. */
export function cameBackFrom({ id, days }: Outing, kept: Came): Came {
  const ids = new Set(
    days.flatMap(({ entries }) => entries.flatMap((one) => (one.what === 'shot' ? [one.shotId] : []))),
  );
  return {
    clips: kept.clips.filter(({ outingId }) => outingId === id),
    log: kept.log.filter(({ shotId }) => ids.has(shotId)),
    measured: kept.measured.filter(({ of }) => 'shotId' in of && ids.has(of.shotId)),
    removed: kept.removed.filter(({ of }) => of !== undefined && (of === id || ids.has(of))),
  };
}

export function outingFileOf(outing: Outing, shots: Iterable<ShotRecord>, came: Came): OutingFile {
  const { clips, log, measured, removed } = came;
  return {
    kind: 'lynxeye/outing-file',
    version: FILE_VERSION,
    outing,
    shots: [...shots],
    clips,
    log,
    measured,
    removed,
  };
}

/** Checks an outing file, record by record, and that every shot that a day names is in it. Never throws. */
export async function readOutingFile(input: unknown): Promise<RecordsRead> {
  const frame = checkFile(Frame, input);
  if (!frame.ok) return { ok: false, faults: frame.faults, sound: null, faulty: [] };
  const { outing, shots, clips, log, measured, removed } = frame.value;
  const read = await readRecords({ outings: [outing], shots, clips, log, measured, removed });
  const records = read.ok ? read.records : read.sound;
  const named = new Set(shots.map(idOf));
  const strays = (records?.outings ?? []).flatMap((outing) => strayShots(outing, named));
  if (read.ok && strays.length === 0) return read;
  const own = read.ok
    ? []
    : read.faults.map(({ path, problem }) => ({ path: path.replace(/^outings\[0\]/, 'outing'), problem }));
  return { ok: false, faults: [...own, ...strays], sound: records, faulty: read.ok ? [] : read.faulty };
}

/** Entries whose shot is not among these. */
export function strayShots({ days }: Outing, named: ReadonlySet<unknown>): Fault[] {
  return days.flatMap((day, at) =>
    day.entries.flatMap((entry, index) =>
      entry.what === 'shot' && !named.has(entry.shotId)
        ? [
            {
              path: `outing.days[${at}].entries[${index}].shotId`,
              problem: { code: 'shotNotInFile' as const, id: entry.shotId },
            },
          ]
        : [],
    ),
  );
}

function idOf(record: unknown): unknown {
  return typeof record === 'object' && record !== null && 'id' in record ? record.id : undefined;
}
