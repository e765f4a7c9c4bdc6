'use client';

import { create } from 'zustand';
import { ARCHETYPES } from '@/core/camera/archetypes';
import type { CameraProfile } from '@/core/camera/profile';
import type { Fault } from '@/core/plan/faults';
import type { Undone } from '@/store/history';
import { download } from '../parts/download';
import { useKeeper } from '../parts/keeper';
import { pickFile } from '../parts/pickFile';
import { useToast } from '../parts/toast';

/** What the shell shows over the place: the keys, and the faults of a file that was not taken. */
export const useOverlay = create<{
  keys: boolean;
  palette: boolean;
  faults: { name: string; faults: readonly Fault[] } | null;
}>(() => ({ keys: false, palette: false, faults: null }));

export interface Deeds {
  undo: () => void;
  redo: () => void;
  exportAll: () => void;
  importFile: () => void;
  resetDemo: () => void;
  showKeys: () => void;
  /** Takes in the text of a file or of the clipboard; says what it did. */
  takeIn: (name: string, text: string) => void;
}

/** The deeds that menu, buttons, keys, drop and paste share. */
export function useDeeds(): Deeds {
  const keeper = useKeeper();
  const { say, complain } = useToast();

  const guard = (deed: () => Promise<void>): void => {
    deed().catch((error: unknown) => {
      complain(
        `That was not written, and nothing was lost: ${error instanceof Error ? error.message : String(error)}`,
      );
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

  const takeIn = (name: string, text: string): void => {
    if (!keeper) return;
    if (/\.csv$/i.test(name)) {
      guard(() => takeSheet(name, text));
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
      else {
        const { shots, log, kit } = await keeper.restore(read.value.backup);
        say(`Imported ${shots} shots, ${log} log entries and ${kit} things of the kit. Undo takes it back.`);
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
        const { shots, log, kit } = backup;
        say(`Exported ${shots.length} shots, ${log.length} log entries and ${kit.length} things of the kit.`);
      }),
    importFile: () => {
      pickFile('.json,.txt,.csv,application/json,text/plain,text/csv', takeIn);
    },
    resetDemo: () =>
      guard(async () => {
        const { makeDemo } = await import('../../../demo/makeDemo');
        await keeper?.resetDemo(makeDemo());
        say('The demo shots and kit are as they ship. Your own stay.');
      }),
    showKeys: () => useOverlay.setState({ keys: true }),
    takeIn,
  };
}

const NOTHING: Promise<Undone> = Promise.resolve({ ok: false, reason: 'nothing' });
