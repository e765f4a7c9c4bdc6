import type { Drill } from '@/core/drill/drill';
import type { Skill } from '@/core/drill/next';
import type { Tried } from '@/core/records/practised';
import type { OwnWeights } from '@/core/vocabulary/schools';
import { WorkerClient } from './workerClient';

/** What is to be practised, and all that was. */
export interface DrillWish {
  skills: readonly Skill[];
  tried: readonly Tried[];
  now: string;
  mine: OwnWeights | null;
}

/** What the worker for drills answers: every answer of a drill is a shot solved. */
export interface DrillWorker {
  next: (wish: DrillWish) => Drill | null;
}

const worker = new WorkerClient<DrillWorker>(
  () => new Worker(new URL('./drills.worker.ts', import.meta.url), { type: 'module' }),
);

export const nextDrillFor = (wish: DrillWish): Promise<Drill | null> =>
  worker.ask<Drill | null>((asking) => asking.next(wish));
