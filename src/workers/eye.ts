import type { EyeQuestion } from '@/core/eye/question';
import type { EyeAnswer } from '@/core/records/ownEye';
import { WorkerClient } from './workerClient';

/** What the worker for a person's eye answers: finding the pairs takes it a second, once. */
export interface EyeWorker {
  ask: (answers: readonly EyeAnswer[]) => EyeQuestion | null;
}

const worker = new WorkerClient<EyeWorker>(
  () => new Worker(new URL('./eye.worker.ts', import.meta.url), { type: 'module' }),
);

export const askAfter = (answers: readonly EyeAnswer[]): Promise<EyeQuestion | null> =>
  worker.ask<EyeQuestion | null>((asking) => asking.ask(answers));
