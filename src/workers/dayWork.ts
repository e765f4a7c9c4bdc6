import { curesOf } from '@/core/cures/cures';
import { daySheet, outsOf } from '@/core/day/daySheet';
import { inPlanOf } from '@/core/day/inPlan';
import { jointDay } from '@/core/cures/jointDay';
import type { Memo } from '@/core/day/partWork';
import { scheduleOf } from '@/core/day/schedule';
import { wallClock } from '@/formats/clock';
import type { DayWorker } from './day';
import { shortAnswerOf } from './shortAnswer';

const memo: Memo = new Map();
let wanted = 0;
/** Between two looks at whether it was cancelled, milliseconds. */
const SLICE_MS = 25;

/** What the worker for days does; the page's tests call it without one. */
export const dayWork: DayWorker = {
  work(day, gear) {
    const sheet = daySheet(day, gear, memo);
    const outs = sheet.cameras.flatMap(({ budget }) => outsOf(budget));
    return { sheet, cures: outs.flatMap((out) => curesOf(day, gear, sheet, out, memo)) };
  },
  carried(outing, dayId, shots) {
    const kept = new Map(shots.map((record) => [record.id, record]));
    const day = scheduleOf(outing, dayId, kept, wallClock(outing.zone));
    const sheet = daySheet(day, outing.gear, memo);
    return new Map(
      day.parts
        .filter(({ part }) => part === 0)
        .map((part) => [
          part.entryId,
          shortAnswerOf(part.shot, inPlanOf(part, sheet.parts.get(part.id) ?? null)),
        ]),
    );
  },
  async joint(day, gear, onProgress) {
    wanted += 1;
    const mine = wanted;
    const steps = jointDay(day, gear, memo);
    let since = performance.now();
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) return step.value;
      if (performance.now() - since < SLICE_MS) continue;
      onProgress(step.value);
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== wanted) return null;
      since = performance.now();
    }
  },
  cancelJoint() {
    wanted += 1;
  },
};
