/**
 * How much of its samples a test draws: a tenth in every test run, the whole with `npm run fuzz`, from a seed that it tells.
 * A test that draws takes its number and its seed from here.
 */
const SHARE = Number(process.env.LYNXEYE_SAMPLES ?? 0.1);
/** Turns the seed of every test; 0 in a test run, which so draws the same each time. */
const TURN = Number(process.env.LYNXEYE_SEED ?? 0);
/** Fewer than these show nothing. */
const LEAST = 2;

/** Whether all is looked at, and not a part that every test run can bear. */
export const whole = SHARE >= 1;

/** How many of so many samples are drawn. */
export function samples(all: number): number {
  return Math.max(Math.min(LEAST, all), Math.round(all * SHARE));
}

/** The seed of a test in this run. */
export function seeded(seed: number): number {
  return (seed + TURN) | 0;
}

/** The same as fast-check takes it. */
export function sampling(all: number, seed = 1): { numRuns: number; seed: number } {
  return { numRuns: samples(all), seed: seeded(seed) };
}
