'use client';

import { demoData } from '../parts/demoData';
import { create } from 'zustand';
import type { Undone } from '@/store/history';
import type { Keeper } from '@/store/keeper';
import { useKeeper } from '../parts/keeper';
import { pickFiles } from '../parts/pickFile';
import { useToast } from '../parts/toast';
import { writeFaultText } from '../parts/writeFault';
import type * as Giving from './giveOut';

/** What the shell shows over the place. */
export const useOverlay = create<{ keys: boolean; palette: boolean }>(() => ({
  keys: false,
  palette: false,
}));

export interface Deeds {
  undo: () => void;
  redo: () => void;
  exportAll: () => void;
  importFile: () => void;
  resetDemo: () => void;
  showKeys: () => void;
  /** Takes in the text of a file or of the clipboard; says what it did. */
  takeIn: (name: string, text: string) => void;
  /** Takes in any files, one after the other. */
  takeFiles: (files: readonly File[]) => void;
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

  const taken = (files: readonly { name: string; content: File | string }[]): void =>
    guard(async () => {
      if (!keeper) return;
      // What reads files comes with the first of them.
      const { takeFiles } = await import('./takeFiles');
      await takeFiles(keeper, files, { say, complain });
    });
  const takeAll = (files: readonly File[]): void =>
    taken(files.map((file) => ({ name: file.name, content: file })));
  const given = (give: (from: typeof Giving, keeper: Keeper) => Promise<string>): void =>
    guard(async () => {
      if (keeper) say(await give(await import('./giveOut'), keeper));
    });

  return {
    undo: () => guard(async () => told('Undone', await (keeper?.history.undo() ?? NOTHING))),
    redo: () => guard(async () => told('Done again', await (keeper?.history.redo() ?? NOTHING))),
    exportAll: () => given(({ giveEverything }, from) => giveEverything(from)),
    exportZip: () => given(({ giveArchive }, from) => giveArchive(from)),
    importFile: () => {
      pickFiles('.json,.txt,.csv,.ics,.zip,application/json,text/plain,text/csv', takeAll);
    },
    resetDemo: () =>
      guard(async () => {
        await keeper?.resetDemo(await demoData());
        say('The demo shots and kit are as they ship. Your own stay.');
      }),
    showKeys: () => useOverlay.setState({ keys: true }),
    takeIn: (name, text) => taken([{ name, content: text }]),
    takeFiles: takeAll,
  };
}

const NOTHING: Promise<Undone> = Promise.resolve({ ok: false, reason: 'nothing' });
