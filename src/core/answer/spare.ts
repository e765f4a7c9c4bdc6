import type { Solution } from './solve';

/**
 * What the window of an answer has to spare at either end of its light, stops; negative: what is lost there. The bright
 * end bears the camera's guard before it goes white.
 */
export function exposureSpare({ space, candidate, exposure }: Solution): {
  brightStops: number;
  darkStops: number;
} {
  const { evMin, evMax } = space.light;
  return {
    brightStops: exposure.windowEvMax + candidate.colour.sensor.guardStops - evMax,
    darkStops: evMin - exposure.windowEvMin,
  };
}
