import type * as Rehearse from '@/workers/rehearse';
import { rehearseWork } from '@/workers/rehearseWork';

/** What the worker for rehearsals does, in the page: there are no workers under the tests. */
export const inPage: Pick<typeof Rehearse, 'rehearse' | 'stopRehearsal' | 'lookAtDays'> = {
  rehearse: (...asked) => rehearseWork.rehearse(...asked),
  stopRehearsal: () => rehearseWork.stop(),
  lookAtDays: (from, count) => Promise.resolve(rehearseWork.look(from, count)),
};
