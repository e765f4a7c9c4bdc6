import { nextDrill } from '@/core/drill/next';
import type * as Drills from '@/workers/drills';

/** What the worker for drills does, in the page: there are no workers under the tests. */
export const inPage: Pick<typeof Drills, 'nextDrillFor'> = {
  nextDrillFor: ({ skills, tried, now, mine }) => Promise.resolve(nextDrill(skills, tried, now, mine)),
};
