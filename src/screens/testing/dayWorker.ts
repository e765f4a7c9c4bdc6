import { dayRemediesOf } from '@/core/day/dayRemedies';
import { daySheet, outsOf } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/partWork';
import { jointDay } from '@/core/day/jointDay';
import type * as DayWorkers from '@/workers/day';

/** Answers of shots are kept from one day to the next, as the worker keeps them. */
const memo: Memo = new Map();

export const asked = { cancelled: 0 };

/** The work of the worker for days, done in the page. */
export const inPage: typeof DayWorkers = {
  knownDay: () => null,
  carriedAnswers: () => Promise.resolve(new Map()),
  workDay: (day, gear) => {
    const sheet = daySheet(day, gear, memo);
    const remedies = sheet.cameras.flatMap(({ budget }) =>
      outsOf(budget).flatMap((out) => dayRemediesOf(day, gear, sheet, out, memo)),
    );
    return Promise.resolve({ sheet, remedies });
  },
  solveDayJointly: (day, gear, onProgress) => {
    const steps = jointDay(day, gear, memo);
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) return Promise.resolve(step.value);
      onProgress(step.value);
    }
  },
  cancelJoint: () => {
    asked.cancelled += 1;
  },
};
