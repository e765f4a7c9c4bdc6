import { start } from '../../units/estimate';
import { SMEAR_TOLERANCE_PCT } from '../../motion/shake';
import type { MotionFacts } from '../movement';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(
    1,
    `at the shake floor (${SMEAR_TOLERANCE_PCT} % of the width) smear is about to show; twice that is just noticeable on a steady picture`,
  ),
  unsteady: start(0.6, 'on a picture that shakes anyway smear goes with the shake and is noticed less'),
};
const [PER_OCTAVE, UNSTEADY] = [slopes.perOctave.value, slopes.unsteady.value];

/** Shake inside one exposure, over the tolerance, at the longest shutter that the light takes. */
export const smear: TermOf<'smear', MotionFacts> = {
  id: 'smear',
  owner: 'motion',
  seen: 'the picture softens and sharpens with every bump, which no steadying takes out',
  formula:
    'octaves of the longest shutter over the shake floor × perOctave; × unsteady where nothing is steadied',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ figures, darkLog }) =>
    (figures.steady ? PER_OCTAVE : PER_OCTAVE * UNSTEADY) * Math.max(0, darkLog - figures.shakeFloorLog),
};
