import { create } from 'zustand';

/** Files dropped on the page, waiting for the part that reads them. */
interface Incoming {
  /** Photographs and tracks. */
  files: readonly File[];
  drop: (files: readonly File[]) => void;
  done: () => void;
  clips: readonly File[];
  dropClips: (clips: readonly File[]) => void;
  clipsTaken: () => void;
}

export const useIncoming = create<Incoming>((set) => ({
  files: [],
  drop: (files) => set({ files }),
  done: () => set({ files: [] }),
  clips: [],
  dropClips: (clips) => set({ clips }),
  clipsTaken: () => set({ clips: [] }),
}));

/** Whether a file is one for the readings of a shot, by its type or its ending. */
export function isForReadings({ name, type }: Pick<File, 'name' | 'type'>): boolean {
  return type.startsWith('image/') || /\.(gpx|kml|tcx|jpe?g|hei[cf]|png|tiff?|webp)$/i.test(name);
}
