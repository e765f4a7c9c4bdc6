import type { ExposureFacts } from '../exposure';
import { GLARE } from '../glare';
import type { TermOf } from '../term';

/** What mirrors in the frame, and what a polarizer makes of it; worked out with the filters of a brief. */
export const glare: TermOf<'glare', ExposureFacts> = {
  id: 'glare',
  owner: 'exposure',
  seen: 'the sky mirrors on water, wet leaves or a pane and lies over what is under it; a polarizer turns, and stains a wide sky',
  formula:
    'water and leaves by their share of the frame, a pane by the share that it throws back × pane, a sky that could be deepened × the root of its share; behind a polarizer what Fresnel leaves of it, turns where it is worn and uneven in a wide blue sky',
  slopes: GLARE,
  noteFrom: null,
  remedies: [],
  loss: ({ filter }) => filter.glare,
};
