import { create } from 'zustand';

/** What is at hand of clips while the page is open: their files, which are read where they lie and never kept, and looks under way. */
interface ClipFiles {
  files: ReadonlyMap<string, File>;
  /** By clip: the sound that lies beside it. */
  sounds: ReadonlyMap<string, File>;
  /** By clip: how far a look has come, 0…1, and the way to stop it. */
  looking: ReadonlyMap<string, { share: number; stop: () => void }>;
  /** Waiting to be looked at. */
  waiting: readonly string[];
  /** Files that could not be taken, with why. */
  refused: readonly { name: string; why: string }[];
  /** How many files are still to be opened, and the way to leave them. */
  opening: { left: number; stop: () => void } | null;
  /** Sample clips that are being drawn: which of how many, and how far all of them are, 0…1. */
  filming: { number: number; of: number; share: number; stop: () => void } | null;
}

export const useClipFiles = create<ClipFiles>(() => ({
  files: new Map(),
  sounds: new Map(),
  looking: new Map(),
  waiting: [],
  refused: [],
  opening: null,
  filming: null,
}));

export function putFile(id: string, file: File, sound?: File): void {
  useClipFiles.setState(({ files, sounds }) => ({
    files: new Map([...files, [id, file]]),
    ...(sound ? { sounds: new Map([...sounds, [id, sound]]) } : {}),
  }));
}

export function putLook(id: string, look: { share: number; stop: () => void } | null): void {
  useClipFiles.setState(({ looking }) => {
    const next = new Map(looking);
    if (look) next.set(id, look);
    else next.delete(id);
    return { looking: next };
  });
}

export function refuse(name: string, why: string): void {
  useClipFiles.setState(({ refused }) => ({ refused: [...refused, { name, why }] }));
}
