import * as messages from '@/language/formats';
import * as z from 'zod';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile } from '@/core/camera/profile';
import { checkFile } from '@/core/schema/checkFile';
import { checkAgainst } from '@/core/schema/faults';
import type { Checked, Fault } from '@/core/schema/fault';
import { readShot } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { readBackup } from '@/core/records/backup';
import { MOST_BYTES } from '@/core/records/backupTexts';
import type { ReadProgress, RecordsRead } from '@/core/records/backup';
import { noRecords, RECORD_TABLES } from '@/core/records/kinds';
import type { KeptRecord, Records } from '@/core/records/kinds';
import { readOutingFile } from '@/core/records/outingFile';
import { parseJson } from './json';
import { readArchive } from './outing/archive';
import { readCalendar } from './outing/calendar';
import type { CalendarTimes } from './outing/calendar';
import { isShotList, readShotListCsv } from './outing/csv';
import type { ReadShotList } from './outing/csv';
import { readModeSheet } from './modeSheet/read';
import { TAIL } from './shotText';
import { unnamedText } from '@/words/recordText';
import { faultsUnder, worded } from '@/core/schema/fault';

/** What a pasted text or a dropped file holds, checked and ready to be kept. */
export type Taking =
  | { kind: 'shots'; shots: Shot[] }
  | { kind: 'records'; records: Records }
  | { kind: 'camera'; profile: CameraProfile }
  | { kind: 'shotList'; name: string; list: ReadShotList }
  | { kind: 'calendar'; calendar: CalendarTimes };

/** A file read: what it holds, or what is wrong with it and what of it is sound all the same. */
export type IncomingRead =
  | { ok: true; taking: Taking; leftBehind: string[] }
  | {
      ok: false;
      faults: readonly Fault[];
      /** Taken only if the person agrees; `null` when there is nothing sound in it. */
      sound: Taking | null;
      /** What is not, by name. */
      faulty: string[];
    };

type OnProgress = (progress: ReadProgress) => void;

/** Larger files are refused before they are read, megabytes. */
const MOST_MEGABYTES = { text: MOST_BYTES / 1e6, sheet: 10, archive: 100 } as const;

/** Reads a file by its name's ending, else by what is in it. Never throws. */
export async function readIncomingFile(
  file: Blob,
  name: string,
  onProgress?: OnProgress,
): Promise<IncomingRead> {
  const ending = /\.(zip|csv|ics)$/i.exec(name)?.[1]?.toLowerCase();
  const most = MOST_MEGABYTES[ending === 'zip' ? 'archive' : ending ? 'sheet' : 'text'];
  if (file.size > most * 1e6)
    return refused(messages.mbExpectedAtMostMB({ count: Math.ceil(file.size / 1e6), most }));
  if (ending === 'zip') return readIncomingArchive(file, onProgress);
  return readIncoming(await file.text(), name, onProgress);
}

/** Reads a text: JSON, a sheet, a calendar, or a message that carries a shot. Never throws. */
export async function readIncoming(text: string, name = '', onProgress?: OnProgress): Promise<IncomingRead> {
  if (/\.csv$/i.test(name)) return readSheet(text, name);
  if (/\.ics$/i.test(name) || /^\s*BEGIN:VCALENDAR/i.test(text))
    return whole(readCalendar(text), (calendar) => ({ kind: 'calendar', calendar }));
  const tail = text.lastIndexOf(TAIL);
  const parsed = parseJson(
    tail >= 0 && !text.trimStart().startsWith('{') ? text.slice(tail + TAIL.length) : text,
  );
  if (!parsed.ok) return { ...parsed, sound: null, faulty: [] };
  const { value } = parsed;
  if (Array.isArray(value)) return readShots(value);
  switch (kindOf(value)) {
    case 'lynxeye/backup':
      return ofRecords(await readBackup(value, onProgress));
    case 'lynxeye/outing-file':
      return ofOuting(await readOutingFile(value));
    case 'lynxeye/camera':
      return whole(checkFile(CameraProfileSchema, value), (profile) => ({ kind: 'camera', profile }));
    default:
      return whole(readShot(value), (shot) => ({ kind: 'shots', shots: [shot] }));
  }
}

/** An archive of this app: everything kept, or some outings, which are taken all together. */
async function readIncomingArchive(file: Blob, onProgress?: OnProgress): Promise<IncomingRead> {
  const archive = await readArchive(file);
  if (!archive.ok) return { ...archive, sound: null, faulty: [] };
  const { texts, leftBehind } = archive.value;
  const left = leftBehind > 0 ? [messages.filesOfTheArchiveSheets({ leftBehind })] : [];
  const records: Record<keyof Records, KeptRecord[]> = noRecords();
  const faults: Fault[] = [];
  const faulty: string[] = [];
  for (const { name, text } of texts) {
    const read = await readIncoming(text, name, onProgress);
    if (!read.ok) {
      faults.push(
        ...read.faults.map((fault) => ({
          ...fault,
          path: fault.path === '' ? name : `${name}: ${fault.path}`,
        })),
      );
      faulty.push(...(read.faulty.length > 0 ? read.faulty : [name]));
    }
    if (read.ok) left.push(...read.leftBehind);
    const taking = read.ok ? read.taking : read.sound;
    if (taking && taking.kind !== 'records') {
      faults.push(worded(name, messages.expectedABackupOrAn));
      faulty.push(name);
    } else if (taking)
      for (const table of RECORD_TABLES) {
        // A shot of two outings stands in the file of each.
        const there = new Set(records[table].map(({ id }) => id));
        records[table].push(...taking.records[table].filter(({ id }) => !there.has(id)));
      }
  }
  const taking: Taking = { kind: 'records', records: records as Records };
  if (faults.length === 0) return { ok: true, taking, leftBehind: left };
  const some = RECORD_TABLES.some((table) => records[table].length > 0);
  return { ok: false, faults, sound: some ? taking : null, faulty };
}

/** A shot list tells days and times; any other sheet tells modes of a camera, and what it lacks is as in the main archetype. */
function readSheet(text: string, name: string): IncomingRead {
  const called = name.replace(/\.csv$/i, '').trim();
  if (isShotList(text)) {
    const list = readShotListCsv(text);
    if (!list.ok) return { ...list, sound: null, faulty: [] };
    return {
      ok: true,
      taking: { kind: 'shotList', name: called.slice(0, 120) || messages.shotList, list: list.value },
      leftBehind: list.value.leftBehind,
    };
  }
  return whole(readModeSheet(text, ARCHETYPES.main), (profile) => ({
    kind: 'camera',
    profile: { ...profile, name: called.slice(0, 80) || messages.camera },
  }));
}

/** Several shots in a list: all of them, or the sound ones if the person agrees. */
function readShots(list: readonly unknown[]): IncomingRead {
  const listed = checkAgainst(z.array(z.unknown()).min(1).max(1000), list);
  if (!listed.ok) return { ...listed, sound: null, faulty: [] };
  const shots: Shot[] = [];
  const faults: Fault[] = [];
  const faulty: string[] = [];
  list.forEach((item, index) => {
    const read = readShot(item);
    if (read.ok) {
      shots.push(read.value);
      return;
    }
    faults.push(...faultsUnder(`[${index}]`, read.faults));
    faulty.push(messages.shotNumber({ number: index + 1 }));
  });
  if (faults.length === 0) return { ok: true, taking: { kind: 'shots', shots }, leftBehind: [] };
  return { ok: false, faults, sound: shots.length > 0 ? { kind: 'shots', shots } : null, faulty };
}

function ofRecords(read: RecordsRead): IncomingRead {
  if (read.ok) return { ok: true, taking: { kind: 'records', records: read.records }, leftBehind: [] };
  const { faults, sound, faulty } = read;
  return {
    ok: false,
    faults,
    sound: sound && { kind: 'records', records: sound },
    faulty: faulty.map(({ table, name }) => name ?? unnamedText(table)),
  };
}

/** An outing that names shots which are not with it is taken as it is, and so is the rest: it says which. */
function ofOuting(read: RecordsRead): IncomingRead {
  const incoming = ofRecords(read);
  if (incoming.ok || read.ok || !incoming.sound || read.faulty.length > 0) return incoming;
  const strays = read.faults.flatMap(({ problem }) => (problem.code === 'shotNotInFile' ? [problem.id] : []));
  if (strays.length < read.faults.length) return incoming;
  return {
    ok: true,
    taking: incoming.sound,
    leftBehind: [messages.entriesWithoutAShot({ count: strays.length })],
  };
}

function whole<T>(read: Checked<T>, take: (value: T) => Taking): IncomingRead {
  return read.ok
    ? { ok: true, taking: take(read.value), leftBehind: [] }
    : { ok: false, faults: read.faults, sound: null, faulty: [] };
}

function refused(text: string): IncomingRead {
  return { ok: false, faults: [worded('', text)], sound: null, faulty: [] };
}

function kindOf(value: unknown): unknown {
  return typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
}
