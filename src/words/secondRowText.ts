import * as messages from '@/language/words/secondRow';
import type { Reason } from '@/core/answer/reason';
import { tenths, trimmed } from '@/core/units/format';
import { SURROUNDINGS_LABEL } from './labels';
import type { ReasonText } from './sentences';
import { evText, offsetText } from './settingText';

type Of<S extends Reason['setting']> = Extract<Reason, { setting: S }>;

/** Why white balance, colour and exposure offset stand as they do. */
export function whiteBalanceText({ auto, graded, light }: Of<'whiteBalance'>): ReasonText {
  const { from, warmK, coolK } = light;
  const steps = [
    messages.theLightIsFromToK({
      warmK,
      coolK,
      same: warmK === coolK,
      offMired: light.offMired,
      wanderMired: light.wanderMired,
    }),
  ];
  return auto
    ? {
        text: messages.automaticBecause({ from }),
        steps: [...steps, messages.lockItAtK({ from, lockK: light.lockK })],
      }
    : { text: messages.lockedBecause({ from, graded }), steps };
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
  const { cause, reflectancePct, greyPct, fullStops } = reason;
  const surroundings = SURROUNDINGS_LABEL[reason.surroundings];
  const text = reason.floats
    ? messages.offsetBecause({ cause, surroundings, faceStops: tenths(reason.faceStops) })
    : messages.everythingIsFixedSoAn;
  const metered = messages.meterReads({
    surroundings,
    reflectance: trimmed(reflectancePct, 1),
    grey: trimmed(greyPct, 0),
    fullStops: offsetText(fullStops),
  });
  return { text, steps: [messages.brightestLight({ evMax: evText(reason.evMax) }), metered] };
}
