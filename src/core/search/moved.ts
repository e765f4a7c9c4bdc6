import type { ShutterSetting } from '../loss/exposure';
import type { MotionFacts } from '../loss/movement';
import type { School } from '../loss/schools';
import { movementSum } from '../loss/table';
import { anglePrice, runningPrice, shakeFloorPrice } from '../loss/wishes';

/** The part S of a score: what a shutter makes of movement, and the wishes for it. */
export function movedScore({ weights, wishes }: School, facts: MotionFacts, shutter: ShutterSetting): number {
  return (
    movementSum(weights, facts) +
    anglePrice(wishes, facts.figures, shutter) +
    runningPrice(wishes, facts.figures, shutter, facts) +
    shakeFloorPrice(wishes, facts.figures, facts.longestLog)
  );
}
