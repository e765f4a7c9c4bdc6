import type * as DayWorkers from '@/workers/day';
import { dayWork } from '@/workers/dayWork';

export const asked = { cancelled: 0 };

/** What the worker for days does, in the page: there are no workers under the tests. */
export const inPage: typeof DayWorkers = {
  knownDay: () => null,
  carriedAnswers: (...given) => Promise.resolve(dayWork.carried(...given)),
  workDay: (...given) => Promise.resolve(dayWork.work(...given)),
  solveDayJointly: (...given) => dayWork.joint(...given),
  cancelJoint: () => {
    asked.cancelled += 1;
    dayWork.cancelJoint();
  },
};
