import { expose } from 'comlink';
import { dayRemediesOf } from '@/core/day/dayRemedies';
import { daySheet, outsOf } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/partWork';
import { jointDay } from '@/core/day/jointDay';
import { isTimeLapse } from '@/core/records/filmedAs';
import { scheduleOf } from '@/core/day/schedule';
import { wallClock } from '@/formats/clock';
import type { DayWorker } from './day';
import { shortAnswerOf } from './shortAnswer';
import type { ShortAnswer } from './shots';

const memo: Memo = new Map();
let wanted = 0;
/** Between two looks at whether it was cancelled, milliseconds. */
const SLICE_MS = 25;

const worker: DayWorker = {
  work(day, gear) {
    const sheet = daySheet(day, gear, memo);
    const outs = sheet.cameras.flatMap(({ budget }) => outsOf(budget));
    return { sheet, remedies: outs.flatMap((out) => dayRemediesOf(day, gear, sheet, out, memo)) };
  },
  carried(outing, dayId, shots) {
    const kept = new Map(shots.map((record) => [record.id, record]));
    const day = scheduleOf(outing, dayId, kept, wallClock(outing.zone));
    const sheet = daySheet(day, outing.gear, memo);
    return new Map(
      day.parts
        .filter(({ part }) => part === 0)
        .map((part): [string, ShortAnswer] => {
          const { carried, held } = sheet.parts.get(part.id) ?? {};
          const { mainsHz } = part.brief.limits;
          // A time-lapse is held by nothing, and wears what its camera wears then.
          const pins = isTimeLapse(part.shot) && carried ? { filter: carried.settings.filter } : held?.pins;
          return [part.entryId, shortAnswerOf(part.shot, { held: pins, mainsHz })];
        }),
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

expose(worker);
