import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Outing, OutingFile } from '@/core/plan/outing';
import type { ShotRecord } from '@/core/plan/shotRecord';
import { outingCalendar } from './calendar';
import { budgetCsv, shotListCsv } from './csv';
import type { FiledDay } from './dayRows';

/** One ZIP with all there is: what is read back stands in `everything.json`, the rest is for other programs and eyes. */
export type ArchiveFiles = Record<string, Uint8Array>;

export const EVERYTHING = 'everything.json';

/** The files of one outing, in a folder of its name. */
export function outingFiles(
  folder: string,
  outing: Outing,
  shots: readonly ShotRecord[],
  days: readonly FiledDay[],
  pictures: readonly { name: string; png: Uint8Array }[],
): ArchiveFiles {
  const file: OutingFile = { kind: 'lynxeye/outing-file', version: 1, outing, shots: [...shots] };
  return {
    [`${folder}/outing.json`]: strToU8(JSON.stringify(file, null, 2)),
    [`${folder}/shots.csv`]: strToU8(shotListCsv(days, outing.zone)),
    [`${folder}/budget.csv`]: strToU8(budgetCsv(days, outing.zone)),
    [`${folder}/days.ics`]: strToU8(outingCalendar(outing, days)),
    ...Object.fromEntries(pictures.map(({ name, png }) => [`${folder}/cards/${name}.png`, png])),
  };
}

export function zipped(files: ArchiveFiles): Uint8Array<ArrayBuffer> {
  return Uint8Array.from(zipSync(files, { level: 6 }));
}

export type ArchiveRead =
  | { ok: true; everything: string | null; outings: string[]; leftBehind: string[] }
  | { ok: false; why: string };

/** What of an archive can be read back, and the names of what is not. */
export function readArchive(bytes: Uint8Array): ArchiveRead {
  let files: ArchiveFiles;
  try {
    files = unzipSync(bytes);
  } catch {
    return { ok: false, why: 'this is no ZIP, or it is damaged' };
  }
  const names = Object.keys(files);
  const text = (name: string): string => strFromU8(files[name] ?? new Uint8Array());
  const everything = names.includes(EVERYTHING) ? text(EVERYTHING) : null;
  const outings = everything === null ? names.filter((name) => name.endsWith('/outing.json')) : [];
  if (everything === null && outings.length === 0)
    return { ok: false, why: `it holds no ${EVERYTHING} and no outing.json` };
  const used = new Set([EVERYTHING, ...outings]);
  return {
    ok: true,
    everything,
    outings: outings.map(text),
    leftBehind: names.filter((name) => !used.has(name) && !name.endsWith('/')),
  };
}
