import { sourced, start } from '../../units/estimate';
import { flickerResidual } from '../../light/flicker';
import type { PulseSeen } from '../../light/flicker';
import type { MotionFacts } from '../movement';
import type { TermOf } from '../term';

const slopes = {
  wholePulse: start(
    4,
    'a whole pulse beating at a few hertz spoils every picture; a quarter of it is just noticeable',
  ),
  steady: start(0.03, 'at a steady level the pulse only shifts the exposure a little'),
  bands: start(
    0.4,
    'read out line by line, a steady pulse stands as stripes across the picture: seen on walls, ceilings and faces, lost over texture',
  ),
  flashing: sourced(
    1.25,
    'around ten hertz the eye is most sensitive to flicker (after de Lange and Kelly): lamps flash',
  ),
  shimmer: start(0.5, 'faster than that the eye averages half of it away'),
};
const WHOLE_PULSE = slopes.wholePulse.value;
const SEEN: Readonly<Record<PulseSeen['seen'], number>> = {
  steady: slopes.steady.value,
  bands: slopes.bands.value,
  pulsing: 1,
  flashing: slopes.flashing.value,
  shimmer: slopes.shimmer.value,
};

/** What the exposures keep of the lamps' pulse, by how it is seen in the film as played. */
export const flicker: TermOf<'flicker', MotionFacts> = {
  id: 'flicker',
  owner: 'motion',
  seen: 'lamps pulse, or stand as stripes across the picture',
  formula:
    'share of the pulse left in an exposure × wholePulse × how it is seen when played: pulsing whole, flashing, shimmer, bands or steady',
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ figures, brightLog, darkLog }) => {
    const { pulse } = figures;
    if (pulse === null) return 0;
    const atBright = flickerResidual(pulse.pulseHz, 2 ** brightLog);
    const left =
      brightLog === darkLog ? atBright : Math.max(atBright, flickerResidual(pulse.pulseHz, 2 ** darkLog));
    return WHOLE_PULSE * SEEN[pulse.seen] * left;
  },
};
