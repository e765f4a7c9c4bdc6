import { transfer, wrap } from 'comlink';
import type { Remote } from 'comlink';

/** What a code says: as text, and as the bytes that the text stands for. */
interface ReadCode {
  text: string;
  bytes: Uint8Array;
}

/** What the worker for codes answers: the first code in a picture; `null` where there is none. */
export interface CodesWorker {
  read: (picture: ImageData) => Promise<ReadCode | null>;
}

let started: Remote<CodesWorker> | null = null;

/** Reads a code of squares out of pixels; the worker stays for the next picture. */
export function readCode(picture: ImageData): Promise<ReadCode | null> {
  started ??= wrap<CodesWorker>(
    new Worker(new URL('./codes.worker.ts', import.meta.url), { type: 'module' }),
  );
  return started.read(transfer(picture, [picture.data.buffer]));
}
