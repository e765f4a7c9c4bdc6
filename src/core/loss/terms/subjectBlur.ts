import { start } from '../../units/estimate';
import { atWorst, SUBJECT_BLUR_TOLERANCE_PCT } from '../movement';
import type { MotionFacts } from '../movement';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(
    1,
    `past ${SUBJECT_BLUR_TOLERANCE_PCT} % of the width a face or a number is no longer read; twice that it is a streak`,
  ),
};
const PER_OCTAVE = slopes.perOctave.value;

/** The subject passing across the view, too blurred to read, at the longest shutter that the light takes. */
export const subjectBlur: TermOf<'subjectBlur', MotionFacts> = {
  id: 'subjectBlur',
  owner: 'motion',
  seen: 'what should be read in passing is a streak',
  formula: `octaves of the longest shutter over the one that blurs the subject by ${SUBJECT_BLUR_TOLERANCE_PCT} % of the width × perOctave, a short dark stretch by its share of the run`,
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ figures: { subjectFloorLog }, brightLog, darkLog, darkWeight }) =>
    PER_OCTAVE *
    atWorst(Math.max(0, brightLog - subjectFloorLog), Math.max(0, darkLog - subjectFloorLog), darkWeight),
};
