import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { Worth } from '@/core/worth/worth';
import { WorkerClient } from './workerClient';

/** What the worker for what to get next answers. */
export interface WorthWorker {
  worth: (outings: readonly Outing[], shots: readonly ShotRecord[]) => Worth;
}

const worker = new WorkerClient<WorthWorker>(
  () => new Worker(new URL('./worth.worker.ts', import.meta.url), { type: 'module' }),
);

export const worthIn = (outings: readonly Outing[], shots: readonly ShotRecord[]): Promise<Worth> =>
  worker.ask<Worth>((asked) => asked.worth(outings, shots));
