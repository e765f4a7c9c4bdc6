import { start } from '../../units/estimate';
import { IDLE_SWING_DEG } from '../frame';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  feltPct: start(0.5, 'a swing of half a per cent of the width begins to be felt'),
  perOctave: start(1, 'each doubling is a step more seasick'),
  idle: start(0.15, 'a hold that has nothing to hold hunts by itself'),
};

/** Swing left over between exposures, counted from where it begins to be felt. */
export const steadiness: TermOf<'steadiness', FrameFacts> = {
  id: 'steadiness',
  owner: 'frame',
  seen: 'the picture swings with every step, bump or gust',
  formula:
    'octaves of one and the swing left in per cent of the width ÷ feltPct × perOctave; idle for a hold without work',
  slopes,
  noteFrom: 0.5,
  remedies: [],
  loss: ({ demands, mode, frame }) => {
    const idle = mode.swingDeg > 0 && demands.swingDeg < IDLE_SWING_DEG ? slopes.idle.value : 0;
    const left = demands.swingDeg - frame.swingDeg;
    return left <= 0
      ? idle
      : idle +
          slopes.perOctave.value * Math.log2(1 + (100 * left) / frame.horizontalDeg / slopes.feltPct.value);
  },
};
