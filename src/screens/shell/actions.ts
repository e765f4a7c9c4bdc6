'use client';

import * as messages from '@/language/shell';
import { demoData } from '../data/demoData';
import { create } from 'zustand';
import type { Undone } from '@/store/history';
import type { Repository } from '@/store/repository';
import { useRepository } from '../data/repository';
import { pickFiles } from '../files/pickFile';
import { useToast } from '../ui/toast';
import { writeFaultText } from '../data/writeFault';
import type { ComingIn } from '../files/importFiles';
import type { CameBy } from '../files/incomingState';
import type * as Giving from '../files/exportAll';

/** What the shell shows over the place. */
export const useOverlay = create<{ keys: boolean; palette: boolean; asking: Asking | null }>(() => ({
  keys: false,
  palette: false,
  asking: null,
}));

/** What is asked before it is done. */
export interface Asking {
  title: string;
  text: string;
  /** What its press is called. */
  press: string;
  then: () => void;
}

export interface Actions {
  undo: () => void;
  redo: () => void;
  exportAll: () => void;
  importFile: () => void;
  /** Puts the demo in, where there is nothing it could replace. */
  putDemo: () => void;
  /** The same, asking first. */
  loadDemo: () => void;
  /** Erases everything kept here, asking first. */
  eraseEverything: () => void;
  showKeys: () => void;
  /** Takes in the text of a file or of the clipboard; says what it did. */
  importText: (name: string, text: string) => void;
  /** Takes in any files that the person picked or dropped, one after the other. */
  importFiles: (files: readonly File[]) => void;
  /** The same with what was handed in from without: what it would change is asked first. */
  takeHandedIn: (files: readonly ComingIn[]) => void;
  exportZip: () => void;
}

/** The actions that menu, buttons, keys, drop and paste share. */
export function useActions(): Actions {
  const repository = useRepository();
  const { say, complain } = useToast();

  const guard = (action: () => Promise<void>): void => {
    action().catch((error: unknown) => {
      complain(writeFaultText(error));
    });
  };
  const told = (verb: string, result: Undone): void => {
    if (result.ok) say(`${verb}: ${result.label}`);
    else if (result.reason === 'changedElsewhere') say(messages.thisWasChangedInAnother);
  };

  const taken = (files: readonly ComingIn[], by: CameBy): void =>
    guard(async () => {
      if (!repository) return;
      // What reads files comes with the first of them.
      const { importFiles } = await import('../files/importFiles');
      await importFiles(repository, files, by, { say, complain });
    });
  const takeAll = (files: readonly File[]): void =>
    taken(
      files.map((file) => ({ name: file.name, content: file })),
      'person',
    );
  const given = (give: (from: typeof Giving, repository: Repository) => Promise<string>): void =>
    guard(async () => {
      if (repository) say(await give(await import('../files/exportAll'), repository));
    });

  const putDemo = (): void =>
    guard(async () => {
      await repository?.resetDemo(await demoData());
      say(messages.theDemoShotsAndKit);
    });

  return {
    undo: () => guard(async () => told(messages.undone, await (repository?.history.undo() ?? NOTHING))),
    redo: () => guard(async () => told(messages.doneAgain, await (repository?.history.redo() ?? NOTHING))),
    exportAll: () => given(({ exportEverything }, from) => exportEverything(from)),
    exportZip: () => given(({ exportArchive }, from) => exportArchive(from)),
    importFile: () => {
      pickFiles('.json,.txt,.csv,.ics,.zip,application/json,text/plain,text/csv', takeAll);
    },
    putDemo,
    loadDemo: () =>
      useOverlay.setState({
        asking: {
          title: messages.loadTheDemoAsk,
          text: messages.loadTheDemoWhat,
          press: messages.loadTheDemo,
          then: putDemo,
        },
      }),
    eraseEverything: () =>
      useOverlay.setState({
        asking: {
          title: messages.eraseEverythingAsk,
          text: messages.eraseEverythingWhat,
          press: messages.eraseEverything,
          then: () =>
            guard(async () => {
              await repository?.eraseEverything();
              say(messages.everythingIsErased);
            }),
        },
      }),
    showKeys: () => useOverlay.setState({ keys: true }),
    importText: (name, text) => taken([{ name, content: text }], 'person'),
    importFiles: takeAll,
    takeHandedIn: (files) => taken(files, 'outside'),
  };
}

const NOTHING: Promise<Undone> = Promise.resolve({ ok: false, reason: 'nothing' });
