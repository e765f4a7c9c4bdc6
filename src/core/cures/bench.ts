import type { CameraProfile } from '../camera/profile';
import { isTimeLapse } from '../records/filmedAs';
import type { Gear } from '../records/outing';
import type { Pins } from '../records/settings';
import type { PartPins } from '../changes/pins';
import { cameraBudget } from '../day/budget';
import { outsOf } from '../day/daySheet';
import type { Resource } from '../day/daySheet';
import type { Cut } from '../day/levels';
import { answerPinned } from '../day/partAnswer';
import { partWorkOf } from '../day/partWork';
import type { Memo } from '../day/partWork';
import type { Schedule } from '../day/schedule';
import type { Recorded } from '../day/stretches';

/** What a cure is tried on: the camera that runs out, on its day. */
export interface Bench {
  day: Schedule;
  camera: CameraProfile;
  recorded: readonly Recorded[];
  gear: Gear | undefined;
  out: { cameraId: string; what: Resource } & Cut;
  memo: Memo;
}

/** What else then runs out, the soonest first; `null` where what was to be cured still does. */
export function left(
  { day, camera, out }: Bench,
  recorded: readonly Recorded[],
  gear: Gear | undefined,
): readonly Resource[] | null {
  const outs = outsOf(cameraBudget(camera, recorded, day, gear)).map(({ what }) => what);
  return outs.includes(out.what) ? null : outs;
}

/** Every plain recording of the camera under more pins, where it can bear them; and what they cost. */
export function pinned(
  { recorded, memo }: Bench,
  pinsFor: (one: Recorded) => Pins | null,
): { recorded: Recorded[]; pins: PartPins[]; addedLoss: number } {
  const pins: PartPins[] = [];
  let addedLoss = 0;
  const changed = recorded.map((one): Recorded => {
    const wanted = isTimeLapse(one.part.shot) ? null : pinsFor(one);
    if (!wanted) return one;
    const answer = answerPinned(partWorkOf(one.part, memo).space, wanted);
    if (!answer) return one;
    pins.push({ partId: one.part.id, pins: wanted });
    addedLoss = Math.max(addedLoss, answer.loss - one.answer.loss);
    return { part: one.part, answer };
  });
  return { recorded: changed, pins, addedLoss: Math.max(0, addedLoss) };
}
