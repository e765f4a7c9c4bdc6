'use client';

import { create } from 'zustand';
import { ARCHETYPES } from '@/core/camera/archetypes';
import type { CameraProfile } from '@/core/camera/profile';
import type { Fault } from '@/core/plan/faults';
import type { Undone } from '@/store/history';
import { download, downloadBlob } from '../parts/download';
import { useKeeper } from '../parts/keeper';
import { pickAnyFile } from '../parts/pickFile';
import { useToast } from '../parts/toast';
import { writeFaultText } from '../parts/writeFault';
import type { Took } from './takeOuting';

/** What the shell shows over the place: the keys, and the faults of a file that was not taken. */
export const useOverlay = create<{
  keys: boolean;
  palette: boolean;
  faults: { name: string; faults: readonly Fault[] } | null;
}>(() => ({ keys: false, palette: false, faults: null }));

/** Choice that counts the changes since everything was last exported. */
export const CHANGES_SINCE_EXPORT = 'changesSinceExport';

export interface Deeds {
  undo: () => void;
  redo: () => void;
  exportAll: () => void;
  importFile: () => void;
  resetDemo: () => void;
  showKeys: () => void;
  /** Takes in the text of a file or of the clipboard; says what it did. */
  takeIn: (name: string, text: string) => void;
  /** Takes in any file; an archive by its bytes. */
  takeFile: (file: File) => void;
  exportZip: () => void;
}

/** The deeds that menu, buttons, keys, drop and paste share. */
export function useDeeds(): Deeds {
  const keeper = useKeeper();
  const { say, complain } = useToast();

  const guard = (deed: () => Promise<void>): void => {
    deed().catch((error: unknown) => {
      complain(writeFaultText(error));
    });
  };
  const told = (verb: string, result: Undone): void => {
    if (result.ok) say(`${verb}: ${result.label}`);
    else if (result.reason === 'changedElsewhere')
      say('This was changed in another window meanwhile, so it was left as it is.');
  };

  const keepCamera = async (profile: CameraProfile, from: string): Promise<void> => {
    await keeper?.addKit((id) => ({ what: 'camera', profile: { ...profile, id } }), 'add a camera');
    say(`Kept the camera "${profile.name}" from ${from} in the kit.`);
  };

  /** A sheet of modes makes a camera of its own; what a sheet does not hold is as in the main archetype. */
  const takeSheet = async (name: string, text: string): Promise<void> => {
    const { readModeSheet } = await import('@/formats/modeSheet/read');
    const read = readModeSheet(text, ARCHETYPES.main);
    if (!read.ok) useOverlay.setState({ faults: { name, faults: read.faults } });
    else await keepCamera({ ...read.value, name: name.replace(/\.csv$/i, '').slice(0, 80) }, name);
  };

  // Comes when a file of an outing first does.
  const outings = () => import('./takeOuting');
  const took = (name: string, result: Took): void => {
    if (result.ok) say(result.said);
    else useOverlay.setState({ faults: { name, faults: result.faults } });
  };

  const takeArchive = async (name: string, bytes: Uint8Array): Promise<void> => {
    const { readArchive } = await import('@/formats/outing/archive');
    const read = readArchive(bytes);
    if (!read.ok) {
      took(name, { ok: false, faults: [{ path: '', text: read.why }] });
      return;
    }
    for (const text of read.everything === null ? read.outings : [read.everything])
      takeIn(`${name}.json`, text);
    if (read.leftBehind.length > 0)
      say(
        `${read.leftBehind.length} files of the archive were left behind: sheets, calendars and pictures are made anew from the plan.`,
      );
  };

  const takeFile = (file: File): void => {
    if (/\.zip$/i.test(file.name))
      guard(async () => takeArchive(file.name, new Uint8Array(await file.arrayBuffer())));
    else guard(async () => takeIn(file.name, await file.text()));
  };

  const takeIn = (name: string, text: string): void => {
    if (!keeper) return;
    if (/\.csv$/i.test(name)) {
      // A shot list tells days and times; any other sheet tells modes of a camera.
      const shotList = /^[^\n]*\bstart\b[^\n]*\bwhat\b/.test(text);
      guard(async () =>
        shotList
          ? took(name, await (await outings()).takeShotList(keeper, name, text))
          : takeSheet(name, text),
      );
      return;
    }
    if (/\.ics$/i.test(name)) {
      guard(async () => took(name, await (await outings()).takeCalendar(keeper, text)));
      return;
    }
    guard(async () => {
      // Reading comes with every schema there is, so it comes when it is first needed.
      const { readIncoming } = await import('@/formats/incoming');
      const read = readIncoming(text);
      if (!read.ok) {
        useOverlay.setState({ faults: { name, faults: read.faults } });
        return;
      }
      if (read.value.kind === 'shots') {
        const { shots } = read.value;
        await keeper.addShots(shots, shots.length === 1 ? 'paste a shot' : `paste ${shots.length} shots`);
        say(
          shots.length === 1 ? `Kept "${shots[0]?.name ?? 'Untitled shot'}".` : `Kept ${shots.length} shots.`,
        );
      } else if (read.value.kind === 'camera') await keepCamera(read.value.profile, name);
      else if (read.value.kind === 'outing')
        took(name, await (await outings()).takeOutingFile(keeper, read.value.file));
      else {
        const counts = await keeper.restore(read.value.backup);
        say(`Imported ${countsText(counts)}. Undo takes it back.`);
      }
    });
  };

  return {
    undo: () => guard(async () => told('Undone', await (keeper?.history.undo() ?? NOTHING))),
    redo: () => guard(async () => told('Done again', await (keeper?.history.redo() ?? NOTHING))),
    exportAll: () =>
      guard(async () => {
        if (!keeper) return;
        const backup = await keeper.backup();
        download(`lynxeye-${backup.exportedAt.slice(0, 10)}.json`, JSON.stringify(backup, null, 2));
        const { shots, log, kit, outings: days } = backup;
        await keeper.choose(CHANGES_SINCE_EXPORT, '0');
        say(
          `Exported ${countsText({ shots: shots.length, log: log.length, kit: kit.length, outings: days.length })}.`,
        );
      }),
    importFile: () => {
      pickAnyFile('.json,.txt,.csv,.ics,.zip,application/json,text/plain,text/csv', takeFile);
    },
    resetDemo: () =>
      guard(async () => {
        const { makeDemo } = await import('../../../demo/makeDemo');
        await keeper?.resetDemo(makeDemo());
        say('The demo shots and kit are as they ship. Your own stay.');
      }),
    showKeys: () => useOverlay.setState({ keys: true }),
    takeIn,
    takeFile,
    exportZip: () =>
      guard(async () => {
        if (!keeper) return;
        say('Making the archive…');
        const { everythingZip } = await import('../parts/outingArchive');
        downloadBlob('lynxeye-everything.zip', await everythingZip(keeper));
        await keeper.choose(CHANGES_SINCE_EXPORT, '0');
        say('Exported everything as one ZIP, with pictures of the cards.');
      }),
  };
}

function countsText({
  shots,
  log,
  kit,
  outings,
}: Record<'shots' | 'log' | 'kit' | 'outings', number>): string {
  const days = outings === 1 ? '1 outing' : `${outings} outings`;
  return `${shots} shots, ${days}, ${log} log entries and ${kit} things of the kit`;
}

const NOTHING: Promise<Undone> = Promise.resolve({ ok: false, reason: 'nothing' });
