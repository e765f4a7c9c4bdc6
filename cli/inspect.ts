import { openAsBlob } from 'node:fs';
import { basename, extname } from 'node:path';
import { briefOf } from '@/core/brief/brief';
import type { ClipReport, Container } from '@/core/records/clipReport';
import { measuredClip, unreadOf } from '@/core/inspect/measuredClip';
import type { ClipMeasures } from '@/core/inspect/seen';
import { picturesOf } from '@/core/inspect/pictures';
import { plannedShot } from '@/core/inspect/planned';
import type { PlannedShot } from '@/core/inspect/planned';
import { readShot } from '@/core/records/shot';
import { worded } from '@/core/schema/fault';
import type { Checked } from '@/core/schema/fault';
import { openClip } from '@/formats/clip/container';
import type { OpenClip } from '@/formats/clip/container';
import { soundBeside } from '@/formats/clip/sound';
import { measuredY4m } from '@/formats/clip/y4mPictures';
import { clipReport } from '@/words/clipReport';

/** The shot that clips are held against: its answer is taken to be what was filmed. */
export function shotOf(input: unknown): Checked<PlannedShot> {
  const shot = readShot(input);
  if (!shot.ok) return shot;
  const { brief } = briefOf(shot.value);
  const planned = plannedShot(brief, { recordSeconds: shot.value.limits?.recordSeconds ?? null });
  return planned
    ? { ok: true, value: planned }
    : { ok: false, faults: [worded('', 'this shot has no answer: solve says why')] };
}

/** Measures one clip. A fault's path is the file's name. */
export async function inspectClip(path: string, planned: PlannedShot | null): Promise<Checked<ClipReport>> {
  const file = await blobAt(path);
  if (!file) return { ok: false, faults: [worded(path, 'cannot be read')] };
  const opened = await openClip(file, basename(path));
  if (!opened.ok) return under(path, opened);
  const clip = opened.value;
  try {
    const read = await measured(clip, path, planned);
    if (!read.ok) return under(path, read);
    const { name, source, container, cutShort } = clip;
    const unread = unreadOf(container, { cutShort, decoded: source.kind === 'y4m' });
    const report = clipReport(measuredClip({ name, bytes: file.size }, read.value, unread, planned), planned);
    return { ok: true, value: unread === 'notDecoded' ? { ...report, unread: notHere(container) } : report };
  } finally {
    clip.close();
  }
}

/** A file that is read as it is needed, however long; `null`: it cannot be opened. */
async function blobAt(path: string): Promise<Blob | null> {
  try {
    return await openAsBlob(path);
  } catch {
    return null;
  }
}

async function measured(
  { source, file, container, cutShort }: OpenClip,
  path: string,
  planned: PlannedShot | null,
): Promise<Checked<ClipMeasures>> {
  if (source.kind === 'coded')
    return { ok: true, value: { container, cutShort, pictures: null, sound: null } };
  const read = await measuredY4m(file, source.y4m);
  if (!read.ok) return read;
  const { frames, planeWidth, blockedPct } = read.value;
  const beside = await blobAt(`${path.slice(0, path.length - extname(path).length)}.wav`);
  const heard = beside && (await soundBeside(beside));
  return {
    ok: true,
    value: {
      container: { ...container, audio: heard?.audio ?? null },
      cutShort,
      pictures: picturesOf([frames], planeWidth, { pctPerDegree: planned?.pctPerDegree, blockedPct }),
      sound: heard?.sound ?? null,
    },
  };
}

function notHere({ videoCodec }: Container): string {
  return `The command line reads pictures and sound of uncompressed files alone; the Debrief of the app reads ${videoCodec} where its browser does.`;
}

function under<T>(
  path: string,
  { faults }: Extract<Checked<T>, { ok: false }>,
): Extract<Checked<T>, { ok: false }> {
  return {
    ok: false,
    faults: faults.map((fault) => ({ ...fault, path: fault.path === '' ? path : `${path}: ${fault.path}` })),
  };
}
