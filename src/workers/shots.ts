import type { Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import { askedRecently, RecentlyUsed } from './recentlyUsed';
import { WorkerClient } from './workerClient';

/** What Start tells of a shot's answer. */
export type ShortAnswer =
  | {
      settings: Settings;
      /** How many warnings are more than notes. */
      cautions: number;
      /** The first of them. */
      caution?: string;
      whyFilter: string;
    }
  /** Why there is none. */
  | { refused: string };

/** What the worker of Start answers. */
export interface ShotsWorker {
  solve: (shot: Shot) => ShortAnswer;
}

/** Answers kept; a person scrolls through no more of them at a time. */
const MOST_KEPT = 1000;

const worker = new WorkerClient<ShotsWorker>(
  () => new Worker(new URL('./shots.worker.ts', import.meta.url), { type: 'module' }),
);
/** By content: the same brief has the same answer, whichever record holds it. */
const known = new RecentlyUsed<Promise<ShortAnswer>>(MOST_KEPT);

/** The answer of a kept shot, worked out beside the page and remembered. */
export function shortAnswer(shot: Shot): Promise<ShortAnswer> {
  return askedRecently(known, JSON.stringify(shot), () =>
    worker.ask<ShortAnswer>((shots) => shots.solve(shot)),
  );
}
