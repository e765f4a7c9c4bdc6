import type { Corrected } from '@/core/learn/learn';
import type { Kept } from '@/core/learn/takes';
import { WorkerClient } from './workerClient';

/** What the worker for learning answers. */
export interface LearnWorker {
  learn: (kept: Kept) => Corrected[];
}

const worker = new WorkerClient<LearnWorker>(
  () => new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' }),
);

export const learnFrom = (kept: Kept): Promise<Corrected[]> =>
  worker.ask<Corrected[]>((learning) => learning.learn(kept));
