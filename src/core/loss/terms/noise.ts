import { sourced, start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import { atWorst } from '../movement';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  perStop: sourced(
    0.15,
    'each doubling of ISO is half the light, and shot noise goes with its root; a stop or two is found only by looking for it',
  ),
  carefulStops: start(2, 'two stops over the base are what careful practice leaves alone'),
  pastCareful: start(0.22, 'past it grain crawls in shade and fine texture breaks up in coding'),
};
const [PER_STOP, CAREFUL, PAST_CAREFUL] = [
  slopes.perStop.value,
  slopes.carefulStops.value,
  slopes.pastCareful.value,
];

/** ISO above the standard base at the dark end, whichever colour: a flat or log picture has no less grain. */
export const noise: TermOf<'noise', ExposureFacts> = {
  id: 'noise',
  owner: 'exposure',
  seen: 'grain in the shade, by the ISO that the dark end takes',
  formula:
    'expected stops of ISO above the standard base at the dark end × perStop, those past carefulStops × pastCareful more; a short dark stretch by its share of the run',
  slopes,
  noteFrom: 0.5,
  remedies: [],
  loss: ({ sensor, light, iso, exposure }) => {
    const lowest = iso.minLog - sensor.referenceLog + sensor.noiseStops;
    const { evMin, evMax, aroundStops, darkWeight } = light;
    const dark = grainWanting(exposure.turn - evMin, aroundStops, lowest, iso.spanStops);
    if (darkWeight === 1) return dark;
    return atWorst(grainWanting(exposure.turn - evMax, aroundStops, lowest, iso.spanStops), dark, darkWeight);
  },
};

/** Of one ISO, so many stops above the reference: no window that starts there has less. */
export function grainAt(stops: number): number {
  return PER_STOP * Math.max(0, stops) + PAST_CAREFUL * Math.max(0, stops - CAREFUL);
}

/** Of an ISO that starts at `lowest` and follows what is wanted up to `span` above it. */
function grainWanting(wanted: number, spread: number, lowest: number, span: number): number {
  return (
    PER_STOP * expectedBetween(wanted, spread, lowest, span, 0) +
    PAST_CAREFUL * expectedBetween(wanted, spread, lowest, span, CAREFUL)
  );
}

/** Expected stops above `from` of a value that starts at `lowest` and follows what is wanted up to `span` above it. */
function expectedBetween(wanted: number, spread: number, lowest: number, span: number, from: number): number {
  const already = Math.max(0, lowest - from);
  const kink = Math.max(0, from - lowest);
  if (kink >= span) return already;
  return already + expectedExcess(wanted - kink, spread) - expectedExcess(wanted - span, spread);
}
