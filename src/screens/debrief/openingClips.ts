import * as messages from '@/language/debrief';
import type { Clip } from '@/core/records/clip';
import type { Checked } from '@/core/schema/fault';
import { FILE_VERSION } from '@/core/schema/versions';
import type { ClipOpened } from '@/formats/clip/look';
import { faultText } from '@/words/faultText';
import { whyText } from '@/words/whyText';
import { openFile } from '@/workers/clips';
import type { UnderWay } from '@/workers/clips';
import { putFile, refuse, useClipFiles } from './clipFiles';
import { groupOf } from './dayTakes';
import type { Debriefed } from './dayTakes';

/** Files opened at once: one that takes long holds up no other. */
const LANES = 3;

/** Opens files, and gives the new clips in their order; stopped, it leaves the rest and says so. */
export async function allOpened(
  files: readonly File[],
  sounds: ReadonlyMap<string, File>,
  on: Debriefed,
): Promise<(Clip | null)[]> {
  const clips: (Clip | null)[] = files.map(() => null);
  const underWay = new Set<UnderWay<unknown>>();
  let [next, left, stopped] = [0, files.length, false];
  const stop = (): void => {
    stopped = true;
    for (const one of underWay) one.stop();
  };
  useClipFiles.setState({ opening: { left, stop } });
  const lane = async (): Promise<void> => {
    while (next < files.length && !stopped) {
      const at = next++;
      const file = files[at] as File;
      const known = on.kept.find((clip) => isOf(clip, file));
      // The same file again is only found again: what was measured and judged of it stays.
      if (known) putFile(known.id, file, sounds.get(file.name));
      else {
        const opening = openFile(file, file.name);
        underWay.add(opening);
        clips[at] = await opened(opening.done, file, sounds.get(file.name), on);
        underWay.delete(opening);
      }
      left -= 1;
      useClipFiles.setState({ opening: { left, stop } });
    }
  };
  await Promise.all(Array.from({ length: LANES }, lane));
  useClipFiles.setState({ opening: null });
  for (const file of files.slice(next)) refuse(file.name, messages.stoppedOpening);
  return clips;
}

/** Drawn again, a clip of the sample outing is the same, though another browser writes it at another length. */
function isOf({ demo, measured: { file: its } }: Clip, file: File): boolean {
  return its.name === file.name && (demo || its.bytes === file.size);
}

async function opened(
  reading: UnderWay<Checked<ClipOpened>>['done'],
  file: File,
  sound: File | undefined,
  { repository, outing, day }: Debriefed,
): Promise<Clip | null> {
  const read = await reading.catch((error: unknown) => whyText(error));
  if (read === null) refuse(file.name, messages.stoppedOpening);
  else if (typeof read === 'string') refuse(file.name, read);
  else if (!read.ok) refuse(file.name, read.faults.map(faultText).join('; '));
  if (read === null || typeof read === 'string' || !read.ok) return null;
  const { container, cutShort } = read.value;
  const id = repository.newId();
  const at = new Date().toISOString();
  putFile(id, file, sound);
  return {
    kind: 'lynxeye/clip',
    version: FILE_VERSION,
    id,
    createdAt: at,
    updatedAt: at,
    demo: false,
    outingId: outing.id,
    dayId: day.id,
    group: groupOf(file),
    cameraId: null,
    entryId: null,
    part: 0,
    doubt: 0,
    other: null,
    piece: null,
    byHand: false,
    startAt: container.createdAt,
    looked: 'file',
    cutShort,
    filmed: null,
    rawShake: null,
    measured: {
      file: { name: file.name, bytes: file.size },
      container,
      pictures: null,
      sound: null,
      unread: null,
      findings: [],
    },
    curves: null,
    frames: [],
    verdicts: [],
    note: '',
  };
}
