'use client';

import { create } from 'zustand';
import type { Fault } from '@/core/plan/faults';
import type { Undone } from '@/store/history';
import type { Keeper } from '@/store/keeper';
import { useKeeper } from '../parts/keeper';
import { pickAnyFile } from '../parts/pickFile';
import { useToast } from '../parts/toast';
import { writeFaultText } from '../parts/writeFault';
import type * as Giving from './giveOut';
import type * as Taking from './takeIn';
import type { Took } from './took';

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

  /** What reads and writes files comes with every schema there is, so it comes when it is first needed. */
  const taken = (name: string, take: (from: typeof Taking, keeper: Keeper) => Promise<Took>): void =>
    guard(async () => {
      if (!keeper) return;
      const result = await take(await import('./takeIn'), keeper);
      if (result.ok) say(result.said);
      else useOverlay.setState({ faults: { name, faults: result.faults } });
    });
  const takeFile = (file: File): void => taken(file.name, ({ takeFile: take }, into) => take(into, file));
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
      pickAnyFile('.json,.txt,.csv,.ics,.zip,application/json,text/plain,text/csv', takeFile);
    },
    resetDemo: () =>
      guard(async () => {
        const { makeDemo } = await import('../../../demo/makeDemo');
        await keeper?.resetDemo(makeDemo());
        say('The demo shots and kit are as they ship. Your own stay.');
      }),
    showKeys: () => useOverlay.setState({ keys: true }),
    takeIn: (name, text) => taken(name, ({ takeText }, into) => takeText(into, name, text)),
    takeFile,
  };
}

const NOTHING: Promise<Undone> = Promise.resolve({ ok: false, reason: 'nothing' });
