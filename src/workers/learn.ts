import type { CorrectedFigure } from '@/core/learn/learn';
import type { Kept } from '@/core/learn/takes';
import { WorkerClient } from './workerClient';

/** What the worker for learning answers. */
export interface LearnWorker {
  learn: (kept: Kept) => CorrectedFigure[];
}

const worker = new WorkerClient<LearnWorker>(
  () => new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' }),
);

export const learnFrom = (kept: Kept): Promise<CorrectedFigure[]> =>
  worker.ask<CorrectedFigure[]>((learning) => learning.learn(kept));
