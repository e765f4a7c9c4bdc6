import * as messages from '@/language/words/secondRow';
import type { Reason } from '@/core/answer/reason';
import { tenths } from '@/core/units/format';
import type { ReasonText } from './sentences';
import { evText } from './settingText';

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
  const text = !reason.floats
    ? messages.everythingIsFixedSoAn
    : reason.stops < 0
      ? messages.guardsABrightSkyShade
      : messages.noBrightSkyToGuard;
  return { text, steps: [messages.brightestLight({ evMax: evText(reason.evMax) })] };
}
