import type { Reason } from '@/core/answer/reason';
import { tenths } from '@/core/units/format';
import type { ReasonText } from './sentences';
import { evText } from './settingText';

type Of<S extends Reason['setting']> = Extract<Reason, { setting: S }>;

/** Why white balance, colour and exposure offset stand as they do. */
export function whiteBalanceText(reason: Of<'whiteBalance'>): ReasonText {
  const text = reason.auto
    ? 'Heading to and from the sun changes the colour.'
    : reason.graded
      ? 'Locked, so that a grade holds from clip to clip.'
      : reason.lamps
        ? 'Locked for the lamps.'
        : 'Locked: the light hardly changes.';
  return {
    text,
    steps: [
      `The light changes by ${tenths(reason.changeStops)} stops.`,
      `In the middle of it the light is about ${reason.kelvin} K${reason.auto ? ', to lock at for a grade or to match cameras' : ''}.`,
    ],
  };
}

export function colourText(reason: Of<'colour'>): ReasonText {
  const text = {
    none: 'Posted straight away.',
    light: 'Stands a light grade.',
    full: 'Room for a full grade.',
  }[reason.grade];
  return {
    text,
    steps: [`Base ISO ${reason.baseIso}; bears ${tenths(reason.guardStops)} stops above the window.`],
  };
}

export function offsetReasonText(reason: Of<'exposureOffsetStops'>): ReasonText {
  const text = !reason.floats
    ? 'Everything is fixed, so an offset would do nothing.'
    : reason.stops < 0
      ? 'Guards a bright sky; shade is lifted in the edit.'
      : 'No bright sky to guard.';
  return { text, steps: [`Brightest light ${evText(reason.evMax)}.`] };
}
