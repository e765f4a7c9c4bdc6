import { ARCHETYPES } from '@/core/camera/archetypes';
import type { CameraProfile } from '@/core/camera/profile';
import { readIncoming } from '@/formats/incoming';
import type { Keeper } from '@/store/keeper';
import { countsText } from './exported';
import type { Took } from './took';

/** Takes in any file; an archive by its bytes. */
export async function takeFile(keeper: Keeper, file: File): Promise<Took> {
  if (/\.zip$/i.test(file.name)) return takeArchive(keeper, new Uint8Array(await file.arrayBuffer()));
  return takeText(keeper, file.name, await file.text());
}

/** Takes in the text of a file or of the clipboard. Everything is checked, or nothing taken. */
export async function takeText(keeper: Keeper, name: string, text: string): Promise<Took> {
  if (/\.csv$/i.test(name)) {
    // A shot list tells days and times; any other sheet tells modes of a camera.
    if (!/^[^\n]*\bstart\b[^\n]*\bwhat\b/.test(text)) return takeModes(keeper, name, text);
    const { takeShotList } = await import('./takeOuting');
    return takeShotList(keeper, name, text);
  }
  if (/\.ics$/i.test(name)) {
    const { takeCalendar } = await import('./takeOuting');
    return takeCalendar(keeper, text);
  }
  const read = readIncoming(text);
  if (!read.ok) return read;
  switch (read.value.kind) {
    case 'shots': {
      const { shots } = read.value;
      await keeper.addShots(shots, shots.length === 1 ? 'paste a shot' : `paste ${shots.length} shots`);
      const one = `"${shots[0]?.name ?? 'Untitled shot'}"`;
      return { ok: true, said: `Kept ${shots.length === 1 ? one : `${shots.length} shots`}.` };
    }
    case 'camera':
      return keepCamera(keeper, read.value.profile, name);
    case 'outing': {
      const { takeOutingFile } = await import('./takeOuting');
      return takeOutingFile(keeper, read.value.file);
    }
    case 'backup':
      return {
        ok: true,
        said: `Imported ${countsText(await keeper.restore(read.value.backup))}. Undo takes it back.`,
      };
  }
}

/** A sheet of modes makes a camera of its own; what a sheet does not hold is as in the main archetype. */
async function takeModes(keeper: Keeper, name: string, text: string): Promise<Took> {
  const { readModeSheet } = await import('@/formats/modeSheet/read');
  const read = readModeSheet(text, ARCHETYPES.main);
  if (!read.ok) return read;
  return keepCamera(keeper, { ...read.value, name: name.replace(/\.csv$/i, '').slice(0, 80) }, name);
}

async function keepCamera(keeper: Keeper, profile: CameraProfile, from: string): Promise<Took> {
  await keeper.addKit((id) => ({ what: 'camera', profile: { ...profile, id } }), 'add a camera');
  return { ok: true, said: `Kept the camera "${profile.name}" from ${from} in the kit.` };
}

async function takeArchive(keeper: Keeper, bytes: Uint8Array): Promise<Took> {
  const { readArchive } = await import('@/formats/outing/archive');
  const read = readArchive(bytes);
  if (!read.ok) return { ok: false, faults: [{ path: '', text: read.why }] };
  const said: string[] = [];
  for (const text of read.everything === null ? read.outings : [read.everything]) {
    const took = await takeText(keeper, 'archive.json', text);
    if (!took.ok) return took;
    said.push(took.said);
  }
  const left = read.leftBehind.length;
  if (left > 0)
    said.push(`${left} files of the archive were left behind: sheets, calendars and pictures are made anew.`);
  return { ok: true, said: said.join(' ') };
}
