import { start } from '../../units/estimate';
import { SMEAR_TOLERANCE_PCT } from '../../motion/shake';
import { atWorst } from '../movement';
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
    'octaves of the longest shutter over the shake floor × perOctave, a short dark stretch by its share of the run; × unsteady where nothing is steadied',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ figures: { steady, shakeFloorLog }, brightLog, darkLog, darkWeight }) =>
    (steady ? PER_OCTAVE : PER_OCTAVE * UNSTEADY) *
    atWorst(Math.max(0, brightLog - shakeFloorLog), Math.max(0, darkLog - shakeFloorLog), darkWeight),
};
