/**
 * Stops and the standard ladders on which cameras and filters move.
 * A stop is a factor of two in light; all logarithms here are base 2.
 */

/** Stops between two amounts: positive when `to` is the larger. Both must be above zero. */
export function stopsBetween(from: number, to: number): number {
  return Math.log2(to / from);
}

/** The optical density of a filter of so many stops: the common logarithm of what it divides the light by. */
export function densityOf(stops: number): number {
  return stops * Math.log10(2);
}

/**
 * Shutter times in third stops as they are engraved, from 1/8000 s to 1 s, shortest first, in seconds.
 * The engraved values are the rounded ones of ISO 516 (1/125, not 1/128), because those are what a camera
 * offers and what a card must say.
 */
export const THIRD_STOP_SHUTTERS: readonly number[] = [
  8000, 6400, 5000, 4000, 3200, 2500, 2000, 1600, 1250, 1000, 800, 640, 500, 400, 320, 250, 200, 160, 125,
  100, 80, 60, 50, 40, 30, 25, 20, 15, 13, 10, 8, 6, 5, 4, 3, 2.5, 2, 1.6, 1.3, 1,
].map((denominator) => 1 / denominator);

/** The same from 1.3 s to half a minute, for pictures at an interval, seconds. */
export const LONG_SHUTTERS: readonly number[] = [1.3, 1.6, 2, 2.5, 3.2, 4, 5, 6, 8, 10, 13, 15, 20, 25, 30];

/** Two numbers are the same for our purposes when they differ by less than one part in a million. */
export function nearlyEqual(a: number, b: number): boolean {
  return Math.abs(a - b) <= 1e-6 * Math.max(Math.abs(a), Math.abs(b), 1e-9);
}

/** Bounds `value` to `low…high`. */
export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}
