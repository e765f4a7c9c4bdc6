import { expose } from 'comlink';
import { curesOf } from '@/core/day/cures';
import { daySheet, outsOf } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/daySheet';
import { jointDay } from '@/core/day/jointDay';
import { placedDay } from '@/core/day/placedDay';
import type { PlacedDay } from '@/core/day/placedDay';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { wallClock } from '@/formats/clock';
import type { DayWorker } from './day';

const memo: Memo = new Map();
let wanted = 0;
/** Between two looks at whether it was cancelled, milliseconds. */
const SLICE_MS = 25;

const worker: DayWorker = {
  work(outing, dayId, shots) {
    const day = placed(outing, dayId, shots);
    const sheet = daySheet(day, outing.gear, memo);
    const outs = sheet.cameras.flatMap(({ budget }) => outsOf(budget));
    return { dayId, sheet, cures: outs.flatMap((out) => curesOf(day, outing.gear, sheet, out, memo)) };
  },
  async joint(outing, dayId, shots, onProgress) {
    wanted += 1;
    const mine = wanted;
    const steps = jointDay(placed(outing, dayId, shots), outing.gear, memo);
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

function placed(outing: Outing, dayId: string, shots: readonly ShotRecord[]): PlacedDay {
  return placedDay(outing, dayId, new Map(shots.map((shot) => [shot.id, shot])), wallClock(outing.zone));
}

expose(worker);
