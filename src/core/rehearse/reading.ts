import { livedThrough } from './way';
import type { Way } from './way';

/** What a reading of the light before the run is worth. */
export interface ReadingWorth {
  /** How often it would change what is set, share. */
  changes: number;
  /** Loss that it saves on the mean; never below 0. */
  savesLoss: number;
}

/** How far a reading is off, one standard deviation, stops (start): by its picture's tone. */
const READING_ERROR_STOPS = 0.2;
/** Stops of the grid, and how far it goes, in spreads. */
const POINTS = 81;
const REACH = 5;

/**
 * Expected value of sample information of one reading, Raiffa & Schlaifer 1961, ch. 5: light normal about the likely, the
 * reading normal about the light. Without it one way must serve all light; with it the best for what was read is taken. By
 * sums over a grid, no draws: it cannot come out negative.
 */
export function worthOfReading(
  ways: readonly Way[],
  { evMin, evMax }: { evMin: number; evMax: number },
  spreadStops: number,
): ReadingWorth {
  if (spreadStops <= 0 || ways.length < 2) return { changes: 0, savesLoss: 0 };
  const step = (2 * REACH * spreadStops) / (POINTS - 1);
  const offs = Array.from({ length: POINTS }, (_, at) => -REACH * spreadStops + at * step);
  const left = Math.sqrt(1 / (1 / spreadStops ** 2 + 1 / READING_ERROR_STOPS ** 2));
  const told = Math.sqrt(spreadStops ** 2 - left ** 2);
  const losses = ways.map((way) =>
    offs.map((off) => livedThrough(way, { evMin: evMin + off, evMax: evMax + off, shake: 0, speed: 0 }).loss),
  );
  const after = losses.map((own) => offs.map((middle) => meanAbout(own, offs, middle, left)));
  const weights = offs.map((middle) => Math.exp(-0.5 * (middle / told) ** 2));
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const means = after.map((own) => own.reduce((sum, loss, at) => sum + loss * (weights[at] ?? 0), 0) / whole);
  const best = means.indexOf(Math.min(...means));
  let [changes, saves] = [0, 0];
  weights.forEach((weight, at) => {
    const here = after.map((own) => own[at] ?? 0);
    const least = Math.min(...here);
    const before = here[best] ?? least;
    if (least < before) changes += weight;
    saves += weight * (before - least);
  });
  return { changes: changes / whole, savesLoss: saves / whole };
}

/** Mean of a tabled loss about a middle, known to within a spread. */
function meanAbout(
  values: readonly number[],
  places: readonly number[],
  middle: number,
  spread: number,
): number {
  let [sum, whole] = [0, 0];
  places.forEach((place, at) => {
    const weight = Math.exp(-0.5 * ((place - middle) / spread) ** 2);
    sum += weight * (values[at] ?? 0);
    whole += weight;
  });
  return sum / whole;
}
