import { start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  isoFree: start(0.05, 'an ISO window that never moves still may, on a bright jacket or a dark trunk'),
  isoStop: start(0.06, 'brightness follows the scene within a shot; grain comes and goes with it'),
  shutterFree: start(
    0.5,
    'an automatic shutter changes the look of movement by itself: where a fixed one holds, it is not worth half of what is just noticed',
  ),
  shutterStop: start(0.15, 'each stop the shutter runs turns smooth movement choppy or back within one shot'),
};
const [ISO_FREE, ISO_STOP, SHUTTER_FREE, SHUTTER_STOP] = [
  slopes.isoFree.value,
  slopes.isoStop.value,
  slopes.shutterFree.value,
  slopes.shutterStop.value,
];

/** What any automatic shutter drifts at least. */
export const RUNNING_AT_LEAST = slopes.shutterFree.value;

/** What wanders by itself is seen wandering: a little for being free, and a little for each stop it moves. */
export const drift: TermOf<'drift', ExposureFacts> = {
  id: 'drift',
  owner: 'exposure',
  seen: 'brightness, grain or the look of movement changes within the shot',
  formula:
    'shutterFree or isoFree where something may move; expected stops between both ends of the light × isoStop and × shutterStop',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ light, shutter, iso, exposure }) => {
    const isoMoves = iso.spanStops > 0;
    const shutterMoves = shutter.spanStops > 0;
    if (!isoMoves && !shutterMoves) return 0;
    const { spreadStops, evMax, evMin } = light;
    const { turn } = exposure;
    let loss = shutterMoves ? SHUTTER_FREE : ISO_FREE;
    if (isoMoves)
      loss +=
        ISO_STOP *
        (expectedWithin(turn - evMin, spreadStops, iso.spanStops) -
          expectedWithin(turn - evMax, spreadStops, iso.spanStops));
    if (shutterMoves)
      loss +=
        SHUTTER_STOP *
        (expectedWithin(evMax - turn, spreadStops, shutter.spanStops) -
          expectedWithin(evMin - turn, spreadStops, shutter.spanStops));
    return loss;
  },
};

/** Expected stops of what follows the light but only between 0 and `span`. */
function expectedWithin(wanted: number, spread: number, span: number): number {
  return expectedExcess(wanted, spread) - expectedExcess(wanted - span, spread);
}
