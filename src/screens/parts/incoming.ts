import { create } from 'zustand';

/** A photograph or track dropped on the page, waiting for the part that reads it. */
export interface Incoming {
  file: File | null;
  drop: (file: File) => void;
  done: () => void;
}

export const useIncoming = create<Incoming>((set) => ({
  file: null,
  drop: (file) => set({ file }),
  done: () => set({ file: null }),
}));

/** Whether a file is one for the readings of a shot, by its type or its ending. */
export function isForReadings({ name, type }: Pick<File, 'name' | 'type'>): boolean {
  return type.startsWith('image/') || /\.(gpx|kml|tcx|jpe?g|hei[cf]|png|tiff?|webp)$/i.test(name);
}
