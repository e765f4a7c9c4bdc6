import * as messages from '@/language/workers';
import { proxy, wrap } from 'comlink';
import type { Remote } from 'comlink';
import type { PictureTone } from '@/core/light/readings';
import type { CameraProfile } from '@/core/camera/profile';
import type { Checked } from '@/core/schema/fault';
import type { ReadProgress } from '@/core/records/backup';
import type { TrackFigures, TrackPoint } from '@/core/track/track';
import type { IncomingRead } from '@/formats/incoming';
import type { PhotoRead } from '@/formats/photo/readPhoto';
import { WordedError } from '@/words/whyText';

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
  /** Any file that can be kept: JSON, a sheet, a calendar, an archive; the name's ending tells which. */
  readIncoming: (file: Blob, name: string, onProgress: OnProgress) => Promise<IncomingRead>;
  readText: (text: string, name: string, onProgress: OnProgress) => Promise<IncomingRead>;
  /** A sheet of modes for a camera that is there. */
  readModes: (file: Blob, base: CameraProfile) => Promise<Checked<CameraProfile>>;
}

export type OnProgress = (progress: ReadProgress) => void;

/** The way to stop a job from outside: `now` is set while it runs. */
export interface JobStop {
  asked: boolean;
  now: () => void;
}

/**
 * Starts a worker, asks it one thing, and ends it: files are rare and their memory is better given back. Stopping ends the
 * worker and settles the promise.
 */
export async function askFiles<T>(
  ask: (worker: Remote<FilesWorker>, onProgress: OnProgress) => Promise<T>,
  {
    stop,
    onProgress = () => undefined,
    mostSeconds = 120,
  }: { stop?: JobStop; onProgress?: OnProgress; mostSeconds?: number } = {},
): Promise<T> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new WordedError(messages.theReaderDidNotStart)));
    timer = setTimeout(
      () => reject(new WordedError(messages.itTookLongerThanS({ mostSeconds }))),
      mostSeconds * 1000,
    );
    if (stop)
      stop.now = () => {
        stop.asked = true;
        reject(new Error('stopped'));
      };
  });
  try {
    return await Promise.race([ask(wrap<FilesWorker>(worker), proxy(onProgress)), failed]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
