import { start } from '../../units/estimate';
import { IDLE_SWING_DEG, weakerHoldSuffices } from '../frame';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  feltPct: start(0.5, 'a swing of half a per cent of the width begins to be felt'),
  perOctave: start(1, 'each doubling is a step more seasick'),
  idle: start(0.4, 'a hold that has nothing to hold hunts by itself: it is no way to crop'),
  stronger: start(
    0.5,
    'a stronger hold than the swing asks for wanders after turns and shows its soft corners: it is no way to crop',
  ),
  swims: start(
    3.5,
    'a hold follows the world outside: with the cabin over a third of the frame, the cabin swims',
  ),
};

/** Swing left over between exposures, counted from where it begins to be felt. */
export const steadiness: TermOf<'steadiness', FrameFacts> = {
  id: 'steadiness',
  owner: 'frame',
  seen: 'the picture swings with every step, bump or gust; or what rides along swims in it',
  formula:
    'octaves of one and the swing left in per cent of the width ÷ feltPct × perOctave, less the share of the frame that rides along; idle for a hold without work, stronger for more of it than the swing asks for, swims for any in a cabin',
  slopes,
  noteFrom: 0.5,
  remedies: [],
  loss: ({ brief, demands, mode, frame }) => {
    const { swingDeg, ridesAlong, swims } = demands;
    const held = frame.swingDeg > 0;
    const hold =
      (held && swims ? slopes.swims.value : 0) +
      (mode.swingDeg > 0 && swingDeg < IDLE_SWING_DEG ? slopes.idle.value : 0) +
      (weakerHoldSuffices({ brief, demands, mode }) ? slopes.stronger.value : 0);
    const left = swingDeg - frame.swingDeg;
    if (left <= 0) return hold;
    const octaves = Math.log2(1 + (100 * left) / frame.horizontalDeg / slopes.feltPct.value);
    return hold + slopes.perOctave.value * (1 - ridesAlong) * octaves;
  },
};
