import type * as Rehearse from '@/workers/rehearse';
import { rehearseWork } from '@/workers/rehearseWork';

/** What the worker for rehearsals does, in the page: there are no workers under the tests. */
export const inPage: typeof Rehearse = {
  // A few of the days: that more of them tell more is the core’s.
  rehearse: (day, wish, tell) => rehearseWork.rehearse(day, { ...wish, draws: wish.draws / 20 }, tell),
  stopRehearsal: () => rehearseWork.stop(),
  sayOfDays: (...asked) => rehearseWork.say(...asked),
  lookAtDays: (from, count) => Promise.resolve(rehearseWork.look(from, count)),
  forCards: (...asked) => Promise.resolve(rehearseWork.cards(...asked)),
  searchTimes: (...asked) => rehearseWork.times(...asked),
  stopTimes: () => rehearseWork.stopTimes(),
};
