import { start } from '../../units/estimate';
import { leastViewDeg } from '../frame';
import type { FrameFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(
    2,
    'half the view cuts hands, bars or the subject out of the frame: with no one behind it, for the whole run',
  ),
};

/** The ride or the subject does not fit. */
export const viewNarrow: TermOf<'viewNarrow', FrameFacts> = {
  id: 'viewNarrow',
  owner: 'frame',
  seen: 'what the shot is about lies outside the frame',
  formula: 'octaves of view short of what ride and subject want of this lens × perOctave',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ demands, mode, frame }) => {
    const least = leastViewDeg(demands, mode);
    return frame.horizontalDeg >= least ? 0 : slopes.perOctave.value * Math.log2(least / frame.horizontalDeg);
  },
};
