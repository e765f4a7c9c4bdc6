import type { Remote } from 'comlink';
import { readIncoming, readIncomingFile } from '@/formats/incoming';
import { readModeSheet } from '@/formats/modeSheet/read';
import type { FilesWorker, JobStop } from '@/workers/files';
import type * as FilesWorkers from '@/workers/files';

/** Holds the next reading until it is let go, so that it can be stopped meanwhile. */
export const reading: { held: Promise<void> | null } = { held: null };

const worker: Partial<FilesWorker> = {
  readIncoming: readIncomingFile,
  readText: readIncoming,
  readModes: async (file, base) => readModeSheet(await file.text(), base),
};

/** What the worker for files reads of the open files, read in the page. */
export const inPage: typeof FilesWorkers = {
  askFiles: async (ask, options) => {
    const { stop, onProgress } = options ?? {};
    await reading.held;
    return Promise.race([
      ask(worker as Remote<FilesWorker>, onProgress ?? (() => undefined)),
      stoppedBy(stop),
    ]);
  },
};

function stoppedBy(stop: JobStop | undefined): Promise<never> {
  return new Promise((_, reject) => {
    if (stop)
      stop.now = () => {
        stop.asked = true;
        reject(new Error('stopped'));
      };
  });
}
