import * as messages from '@/language/words/secondRow';
import type { Reason } from '@/core/answer/reason';
import { tenths } from '@/core/units/format';
import type { ReasonText } from './sentences';
import { evText } from './settingText';

type Of<S extends Reason['setting']> = Extract<Reason, { setting: S }>;

/** Why white balance, colour and exposure offset stand as they do. */
export function whiteBalanceText(reason: Of<'whiteBalance'>): ReasonText {
  const text = reason.auto
    ? messages.headingToAndFromThe
    : reason.graded
      ? messages.lockedSoThatAGrade
      : reason.lamps
        ? messages.lockedForTheLamps
        : messages.lockedTheLightHardlyChanges;
  return {
    text,
    steps: [
      messages.theLightChangesByStops({ changeStops: tenths(reason.changeStops) }),
      messages.inTheMiddleOfIt({ kelvin: reason.kelvin, auto: reason.auto }),
    ],
  };
}

export function colourText(reason: Of<'colour'>): ReasonText {
  const text = {
    none: messages.postedStraightAway,
    light: messages.standsALightGrade,
    full: messages.roomForAFullGrade,
  }[reason.grade];
  return {
    text,
    steps: [
      messages.baseISOBearsStopsAbove({ baseIso: reason.baseIso, guardStops: tenths(reason.guardStops) }),
    ],
  };
}

export function offsetReasonText(reason: Of<'exposureOffsetStops'>): ReasonText {
  const text = !reason.floats
    ? messages.everythingIsFixedSoAn
    : reason.stops < 0
      ? messages.guardsABrightSkyShade
      : messages.noBrightSkyToGuard;
  return { text, steps: [messages.brightestLight({ evMax: evText(reason.evMax) })] };
}
