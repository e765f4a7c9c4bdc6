import { start } from '../../units/estimate';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  perStop: start(
    0.04,
    'each stop of glass is one more thing to fit, drop and smudge: enough to take the lighter of two that serve alike',
  ),
};
const PER_STOP = slopes.perStop.value;

/** What the filter does besides darkening stands with its kind in `filters/kit.ts`, on the same scale. */
export const filter: TermOf<'filter', ExposureFacts> = {
  id: 'filter',
  owner: 'exposure',
  seen: 'glass to carry and clean; what a polarizer, variable or haze filter does besides darkening',
  formula: 'stops of glass × perStop + what its kind does besides darkening',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ filter: glass }) => glass.cast + PER_STOP * glass.stops,
};
