import * as messages from '@/language/words/testClip';
import type { Solution } from '@/core/answer/solve';
import { tenths, trimmed } from '@/core/units/format';
import { exposureSpare } from '@/core/answer/spare';

/** What a test clip of this answer is looked at for, the likeliest first, with what is to be expected. */
export function testClipText(solution: Solution): string[] {
  const { loss, motion, space } = solution;
  const { brightStops, darkStops } = exposureSpare(solution);
  const points: [worth: number, text: string | null][] = [
    [
      loss.over + closeness(brightStops),
      brightStops < -AT_THE_EDGE
        ? messages.brightestIsWhite({ stops: tenths(-brightStops) })
        : brightStops < AT_THE_EDGE
          ? messages.brightestAtTheEdge
          : messages.brightestHasStops({ stops: tenths(brightStops) }),
    ],
    [
      loss.under + loss.noise + closeness(darkStops),
      darkStops < -AT_THE_EDGE
        ? messages.darkestIsDark({ stops: tenths(-darkStops) })
        : darkStops < AT_THE_EDGE
          ? messages.darkestAtTheEdge
          : messages.darkestHasStops({ stops: tenths(darkStops) }),
    ],
    [
      loss.smear + loss.strobing,
      motion.shakeSmearPctWidth > 0
        ? messages.edgesWhileItShakes({ smearPct: trimmed(motion.shakeSmearPctWidth, 2) })
        : null,
    ],
    [
      loss.stutter + loss.cadence,
      motion.stepPctWidth > 0 ? messages.movementAcross({ stepPct: trimmed(motion.stepPctWidth, 1) }) : null,
    ],
    [
      space.light.pulseHz === null ? 0 : 0.3 + loss.flicker,
      space.light.pulseHz === null
        ? null
        : messages.bandsUnderLamps({ pulseHz: trimmed(space.light.pulseHz, 0) }),
    ],
  ];
  const told = points
    .filter(([worth, text]) => worth > WORTH_A_LOOK && text !== null)
    .sort(([a], [b]) => b - a)
    .slice(0, MOST_LINES - 1)
    .flatMap(([, text]) => text ?? []);
  return [...told, messages.levelAndClear];
}

/** A look is worth it from a loss of this much on, a fifth of what a viewer just notices (start). */
const WORTH_A_LOOK = 0.2;
const MOST_LINES = 4;
/** Less than this is not told as a figure, stops. */
const AT_THE_EDGE = 0.05;

/** An end of the light with less than a stop to spare is worth a look, the less the more. */
function closeness(stops: number): number {
  return Math.max(0, 1 - Math.max(0, stops)) * 0.5;
}
