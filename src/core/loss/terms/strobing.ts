import { start } from '../../units/estimate';
import { STROBING_STEP_PCT } from '../movement';
import { clamp } from '../../units/stops';
import type { MotionFacts } from '../movement';
import type { TermOf } from '../term';

const slopes = {
  perOctaveOfBoth: start(
    0.6,
    'a step twice the limit with half the blur that would join it is not yet noticed; four times with a quarter is plain',
  ),
  blurShare: start(1 / 6, 'blur that fills a sixth of the step joins two pictures for the eye'),
  sharpFrom: start(
    2,
    'octaves: with a quarter of that blur each picture stands sharp for itself, and sharper still changes nothing',
  ),
  most: start(2.5, 'past that it is simply all strobing, and a film to be looked at all the same'),
};
const [PER_OCTAVE, BLUR_SHARE_LOG, SHARP_FROM, MOST] = [
  slopes.perOctaveOfBoth.value,
  Math.log2(slopes.blurShare.value),
  slopes.sharpFrom.value,
  slopes.most.value,
];
/** Share of the step that blur must fill, or it may strobe. */
export const STROBING_BLUR_SHARE = slopes.blurShare.value;

/** Long steps between frames with little blur in each, at the shortest shutter that the light takes. */
export const strobing: TermOf<'strobing', MotionFacts> = {
  id: 'strobing',
  owner: 'motion',
  seen: 'near things jump across the frame as single pictures',
  formula: `octaves of the step over ${STROBING_STEP_PCT} % of the width × octaves of blur missing from blurShare of the step, up to sharpFrom, × perOctaveOfBoth, at most \`most\`; typical and worst movement three to one`,
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ figures, brightLog }) => {
    if (figures.stepOctaves === 0) return 0;
    const missing = clamp(BLUR_SHARE_LOG - brightLog + figures.shownLog, 0, SHARP_FROM);
    return Math.min(MOST, PER_OCTAVE * figures.stepOctaves * missing);
  },
};
