import { start } from '../../units/estimate';
import { STROBING_STEP_PCT } from '../movement';
import type { MotionFacts } from '../movement';
import type { TermOf } from '../term';

const slopes = {
  perOctaveOfBoth: start(
    0.4,
    'a step twice the limit with half the blur that would join it is not yet noticed; four times with a quarter is plain',
  ),
  blurShare: start(1 / 6, 'blur that fills a sixth of the step joins two pictures for the eye'),
  most: start(3, 'past that it is simply all strobing'),
};
const [PER_OCTAVE, BLUR_SHARE_LOG, MOST] = [
  slopes.perOctaveOfBoth.value,
  Math.log2(slopes.blurShare.value),
  slopes.most.value,
];
/** Share of the step that blur must fill, or it may strobe. */
export const STROBING_BLUR_SHARE = slopes.blurShare.value;

/** Long steps between frames with little blur in each, at the shortest shutter that the light takes. */
export const strobing: TermOf<'strobing', MotionFacts> = {
  id: 'strobing',
  owner: 'motion',
  seen: 'near things jump across the frame as single pictures',
  formula: `octaves of the step over ${STROBING_STEP_PCT} % of the width × octaves of blur missing from blurShare of the step × perOctaveOfBoth, at most \`most\`; typical and worst movement three to one`,
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ figures, brightLog }) => {
    if (figures.stepOctaves === 0) return 0;
    const missing = Math.max(0, BLUR_SHARE_LOG - brightLog + figures.shownLog);
    return Math.min(MOST, PER_OCTAVE * figures.stepOctaves * missing);
  },
};
