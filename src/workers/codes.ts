import { transfer, wrap } from 'comlink';
import type { Remote } from 'comlink';
import type { Taken } from '@/formats/handover/crossing';

/** What a code says: as text, and as the bytes that the text stands for. */
interface ReadCode {
  text: string;
  bytes: Uint8Array;
}

/** What the worker for codes answers: the first code in a picture; `null` where there is none. */
export interface CodesWorker {
  read: (picture: ImageData) => Promise<ReadCode | null>;
  /** Gathers the codes of a parcel from one picture after the other. */
  receive: (picture: ImageData) => Promise<Taken | null>;
  /** What came is put away. */
  beginReceiving: () => void;
  /** Begins with the other parcel that was seen. */
  receiveAnother: () => void;
}

let started: Remote<CodesWorker> | null = null;

/** The worker stays for the next picture. */
function worker(): Remote<CodesWorker> {
  started ??= wrap<CodesWorker>(
    new Worker(new URL('./codes.worker.ts', import.meta.url), { type: 'module' }),
  );
  return started;
}

/** Reads a code of squares out of pixels. */
export function readCode(picture: ImageData): Promise<ReadCode | null> {
  return worker().read(transfer(picture, [picture.data.buffer]));
}

/** The same for a row of codes that carries a parcel; all that it takes to solve it is done in the worker. */
export const receiving = {
  take: (picture: ImageData): Promise<Taken | null> =>
    worker().receive(transfer(picture, [picture.data.buffer])),
  begin: (): Promise<void> => worker().beginReceiving(),
  takeAnother: (): Promise<void> => worker().receiveAnother(),
};
