import { create } from 'zustand';

/** Photographs and tracks dropped on the page, waiting for the part that reads them. */
export interface Incoming {
  files: readonly File[];
  drop: (files: readonly File[]) => void;
  done: () => void;
}

export const useIncoming = create<Incoming>((set) => ({
  files: [],
  drop: (files) => set({ files }),
  done: () => set({ files: [] }),
}));

/** Whether a file is one for the readings of a shot, by its type or its ending. */
export function isForReadings({ name, type }: Pick<File, 'name' | 'type'>): boolean {
  return type.startsWith('image/') || /\.(gpx|kml|tcx|jpe?g|hei[cf]|png|tiff?|webp)$/i.test(name);
}
