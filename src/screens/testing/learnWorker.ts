import { learn } from '@/core/learn/learn';
import { wallClock } from '@/formats/clock';
import type * as Learn from '@/workers/learn';

/** What the worker for learning does, in the page: there are no workers under the tests. */
export const inPage: Pick<typeof Learn, 'learnFrom'> = {
  learnFrom: (kept) => Promise.resolve(learn(kept, wallClock)),
};
