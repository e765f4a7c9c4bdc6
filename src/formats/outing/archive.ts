import * as messages from '@/language/formats/outing';
import { BlobReader, BlobWriter, TextWriter, Uint8ArrayReader, ZipReader, ZipWriter } from '@zip.js/zip.js';
import type { FileEntry } from '@zip.js/zip.js';
import type { Checked } from '@/core/schema/fault';
import type { Outing } from '@/core/records/outing';
import { outingFileOf } from '@/core/records/outingFile';
import type { Came } from '@/core/records/outingFile';
import type { ShotRecord } from '@/core/records/shotRecord';
import { outingCalendar } from './calendar';
import { budgetCsv, shotListCsv } from './csv';
import type { WorkedDay } from '@/core/day/workedDay';
import { worded } from '@/core/schema/fault';

/** One ZIP with all there is: what is read back stands in `everything.json`, the rest is for other programs and eyes. */
export type ArchiveFiles = Record<string, Uint8Array>;

export const EVERYTHING = 'everything.json';

/** The files of one outing, in a folder of its name. */
export function outingFiles(
  folder: string,
  outing: Outing,
  shots: readonly ShotRecord[],
  days: readonly WorkedDay[],
  pictures: readonly { name: string; png: Uint8Array }[],
  came: Came & { sheet: string },
): ArchiveFiles {
  return {
    [`${folder}/outing.json`]: bytesOf(JSON.stringify(outingFileOf(outing, shots, came), null, 2)),
    [`${folder}/shots.csv`]: bytesOf(shotListCsv(days, outing.zone)),
    [`${folder}/budget.csv`]: bytesOf(budgetCsv(days, outing.zone)),
    [`${folder}/came-back.csv`]: bytesOf(came.sheet),
    [`${folder}/days.ics`]: bytesOf(outingCalendar(outing, days)),
    ...Object.fromEntries(pictures.map(({ name, png }) => [`${folder}/cards/${name}.png`, png])),
  };
}

function bytesOf(text: string): Uint8Array {
  return new TextEncoder().encode(text);
}

export async function zipped(files: ArchiveFiles): Promise<Blob> {
  const writer = new ZipWriter(new BlobWriter('application/zip'), { useWebWorkers: false });
  for (const [name, bytes] of Object.entries(files)) await writer.add(name, new Uint8ArrayReader(bytes));
  return writer.close();
}

/** Bounds of what is unpacked: the texts of one archive, and the files in it. */
const MOST_UNPACKED_BYTES = 200_000_000;
const MOST_FILES = 20_000;

/** The texts of an archive that can be read back by their names, and how many files beside them are not. */
interface ArchiveRead {
  texts: { name: string; text: string }[];
  leftBehind: number;
}

/** Unpacks only what is read; each entry's checksum is held, and none may lie over another. Never throws. */
export async function readArchive(file: Blob): Promise<Checked<ArchiveRead>> {
  const no = (text: string): Checked<ArchiveRead> => ({ ok: false, faults: [worded('', text)] });
  const reader = new ZipReader(new BlobReader(file), {
    useWebWorkers: false,
    checkCrc32: true,
    checkOverlappingEntry: true,
  });
  let entries: FileEntry[];
  try {
    entries = (await reader.getEntries()).filter((entry): entry is FileEntry => !entry.directory);
  } catch {
    return no(messages.thisIsNoZIPOr);
  }
  if (entries.length > MOST_FILES)
    return no(messages.filesInItExpectedAt({ count: entries.length, mostFiles: MOST_FILES }));
  const everything = entries.filter(({ filename }) => filename === EVERYTHING);
  const wanted =
    everything.length > 0 ? everything : entries.filter(({ filename }) => filename.endsWith('/outing.json'));
  if (wanted.length === 0) return no(messages.holdsNoOuting({ everything: EVERYTHING }));
  const bytes = wanted.reduce((sum, { uncompressedSize }) => sum + uncompressedSize, 0);
  if (bytes > MOST_UNPACKED_BYTES)
    return no(
      messages.itUnpacksToMBExpected({
        bytes: Math.ceil(bytes / 1e6),
        mostUnpackedBytes: MOST_UNPACKED_BYTES / 1e6,
      }),
    );
  const texts: ArchiveRead['texts'] = [];
  for (const entry of wanted) {
    try {
      texts.push({ name: entry.filename, text: await entry.getData(new TextWriter()) });
    } catch {
      return no(messages.isDamagedInItOr({ filename: entry.filename }));
    }
  }
  await reader.close();
  return { ok: true, value: { texts, leftBehind: entries.length - wanted.length } };
}
