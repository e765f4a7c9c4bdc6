import { start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import { clamp } from '../../units/stops';
import { atWorst } from '../movement';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  isoFree: start(0.05, 'an ISO window that never moves still may, on a bright jacket or a dark trunk'),
  isoStop: start(0.06, 'brightness follows the scene within a shot; grain comes and goes with it'),
  shutterFree: start(
    0.6,
    'an automatic shutter changes the look of movement by itself: where a fixed one holds, it is not worth half of what is just noticed',
  ),
  shutterAnyway: start(
    0.04,
    'where pictures stand crisp for themselves already no look is left to change: only the brightness follows',
  ),
  lookFrom: start(1 / 1000, 'at a thousandth a moving thing is a still picture, whatever the rate'),
  lookFull: start(1 / 200, 'from a two-hundredth on the length of its blur is what tells how it moves'),
  followed: start(0.1, 'whatever the look, a picture that follows the light is seen doing so'),
  shutterStop: start(0.08, 'each stop the shutter runs turns smooth movement choppy or back within one shot'),
};
const [ISO_FREE, ISO_STOP, SHUTTER_FREE, SHUTTER_ANYWAY, FOLLOWED, SHUTTER_STOP] = [
  slopes.isoFree.value,
  slopes.isoStop.value,
  slopes.shutterFree.value,
  slopes.shutterAnyway.value,
  slopes.followed.value,
  slopes.shutterStop.value,
];
const LOOK_FROM_LOG = Math.log2(slopes.lookFrom.value);
const LOOK_STOPS = Math.log2(slopes.lookFull.value) - LOOK_FROM_LOG;

/** What any automatic shutter drifts at least. */
export const RUNNING_AT_LEAST = slopes.shutterAnyway.value;

/** What wanders by itself is seen wandering: a little for being free, and a little for each stop it moves. */
export const drift: TermOf<'drift', ExposureFacts> = {
  id: 'drift',
  owner: 'exposure',
  seen: 'brightness, grain or the look of movement changes within the shot',
  formula:
    'isoFree, or shutterFree as far as a look is left between lookFrom and lookFull (shutterAnyway where none is), where something may move; expected stops between both ends of the light × isoStop and × shutterStop, a short dark stretch by its share',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ light, shutter, iso, exposure }) => {
    const isoMoves = iso.spanStops > 0;
    const shutterMoves = shutter.spanStops > 0;
    if (!isoMoves && !shutterMoves) return 0;
    const { aroundStops, evMax, evMin, darkWeight } = light;
    const { turn } = exposure;
    // A short dark stretch is a short change.
    let loss = isoMoves
      ? ISO_STOP * darkWeight * movedWithin(turn - evMax, turn - evMin, aroundStops, iso.spanStops)
      : 0;
    if (shutterMoves) {
      // By the light alone: what it takes at the lowest ISO, whatever the longest was set to.
      const taken = shutter.longestLog + turn;
      const look = atWorst(lookAt(taken - evMax), lookAt(taken - evMin), darkWeight);
      loss += SHUTTER_ANYWAY + look * (SHUTTER_FREE - SHUTTER_ANYWAY);
      loss +=
        (FOLLOWED + look * SHUTTER_STOP) *
        darkWeight *
        movedWithin(evMin - turn, evMax - turn, aroundStops, shutter.spanStops);
    } else loss += ISO_FREE;
    return loss;
  },
};

/** The look that a shutter has to change, 0…1: log2 of seconds. */
function lookAt(log: number): number {
  return clamp((log - LOOK_FROM_LOG) / LOOK_STOPS, 0, 1);
}

/** By how many stops that differs between two lights. */
function movedWithin(from: number, to: number, spread: number, span: number): number {
  return expectedWithin(to, spread, span) - expectedWithin(from, spread, span);
}

/** Expected stops of what follows the light but only between 0 and `span`. */
function expectedWithin(wanted: number, spread: number, span: number): number {
  return expectedExcess(wanted, spread) - expectedExcess(wanted - span, spread);
}
