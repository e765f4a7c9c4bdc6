import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import type { PictureTone } from '@/core/light/readings';
import type { TrackFigures, TrackPoint } from '@/core/track/track';
import type { PhotoRead } from '@/formats/photo/readPhoto';

/** A photograph read: its exposure, and its picture's tone where this browser can decode it. */
export interface PhotoJob {
  read: PhotoRead;
  tone: PictureTone | null;
}

/** A track read: its figures, and few enough of its points to draw. */
export type TrackJob =
  | {
      ok: true;
      name: string | null;
      pointCount: number;
      leftOut: number;
      figures: TrackFigures;
      drawn: TrackPoint[];
    }
  | { ok: false; why: string; line: number | null };

/** What the worker for files answers. */
export interface FilesWorker {
  readPhoto: (file: Blob) => Promise<PhotoJob>;
  readTrack: (file: Blob) => Promise<TrackJob>;
}

/** Starts a worker, asks it one thing, and ends it: files are rare and their memory is better given back. */
export async function askFiles<T>(ask: (worker: Remote<FilesWorker>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || 'the reader did not start')),
    );
  });
  try {
    return await Promise.race([ask(wrap<FilesWorker>(worker)), failed]);
  } finally {
    worker.terminate();
  }
}
