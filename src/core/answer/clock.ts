import type { EvWindow } from '../light/exposureValue';
import { headingAt, sunLightAt } from '../light/sun/sunLight';
import type { Solution } from './solve';

/** From when to when a shot may be filmed with the same setting. */
export interface Clock {
  /** All of its light lies inside at the planned time. */
  fits: boolean;
  /** Milliseconds since 1970 UTC; `null`: no limit within six hours of the plan. */
  fromMs: number | null;
  toMs: number | null;
}

/** How far from its time a shot may be moved, and the steps in which the limit is looked for, coarse then fine. */
const LOOK_AROUND_MS = 6 * 3_600_000;
const COARSE_MS = 30 * 60_000;
const FINE_MS = 10 * 60_000;

/**
 * The shot moved by the clock as one piece, earlier and later, until its light leaves the window (or, where it never
 * fitted, until it sticks out a quarter stop more than planned). A limit shorter than the coarse step may be missed.
 * `null` for light that knows no clock.
 */
export function holdClock({ space, candidate, exposure }: Solution): Clock | null {
  const { light } = space.brief;
  if (light.kind !== 'sun') return null;
  const missOf = ({ evMin, evMax }: EvWindow): number =>
    Math.max(
      0,
      exposure.windowEvMin - evMin,
      evMax - exposure.windowEvMax - candidate.colour.sensor.guardStops,
    );
  const now = missOf(space.light);
  const fits = now <= 0.05;
  const bearable = fits ? 0.05 : now + 0.25;
  const from = Date.parse(light.from);
  const to = Date.parse(light.to);
  // At one end of the run or the other the light leaves first; both ends and the middle stand for the run.
  const stands = (from === to ? [from] : [from, (from + to) / 2, to]).map((atMs) => {
    const heading = headingAt(light, atMs);
    return { atMs, light: heading === null ? light : { ...light, headingsDeg: [heading] } };
  });
  const bears = (by: number): boolean =>
    stands.every((one) => {
      const { evLow, evHigh } = sunLightAt(one.light, one.atMs + by);
      return missOf({ evMin: evLow, evMax: evHigh }) <= bearable;
    });
  /** How far the shot may be moved one way, or `null` for as far as is looked. */
  const reach = (way: 1 | -1): number | null => {
    for (let by = COARSE_MS; by <= LOOK_AROUND_MS; by += COARSE_MS) {
      if (bears(way * by)) continue;
      let held = by - COARSE_MS;
      while (held + FINE_MS < by && bears(way * (held + FINE_MS))) held += FINE_MS;
      return way * held;
    }
    return null;
  };
  const earlier = reach(-1);
  const later = reach(1);
  return {
    fits,
    fromMs: earlier === null ? null : from + earlier,
    toMs: later === null ? null : to + later,
  };
}
