import type { Evidence } from './evidence';
import { TAILS, WILD_SHARE } from './figures';

/** Mean and variance of one quantity. */
export interface Normal {
  mean: number;
  variance: number;
}

/** Points of the sum, and how far it goes to either side, in spreads: past that a normal holds less than 1e-6. */
const POINTS = 41;
const REACH = 5;
/** Evenly spaced places in spreads, with the normal's weight at each. */
interface Points {
  places: Float64Array;
  weights: Float64Array;
}

function pointsOf(count: number): Points {
  const places = Float64Array.from({ length: count }, (_, at) => ((2 * at) / (count - 1) - 1) * REACH);
  return { places, weights: places.map((place) => Math.exp(-0.5 * place * place)) };
}

const USUAL_POINTS = pointsOf(POINTS);
/** An error narrower than this share of the spread needs closer points. */
const NARROW = 0.4;

/**
 * A normal quantity after one piece of evidence, whose error has heavy tails and which, by a small share, says nothing at
 * all: mean and variance by a sum over evenly spaced points. `wild`: the density of what says nothing.
 */
export function tilted(before: Normal, { says, at, error }: Evidence, wild: number): Normal {
  const spread = Math.sqrt(before.variance);
  const fine = Math.ceil((NARROW * spread) / error);
  const away = (at - before.mean) / spread;
  const scale = spread / error;
  const { places, weights } = fine <= 1 ? USUAL_POINTS : pointsOf(fine * (POINTS - 1) + 1);
  let sum = 0;
  let first = 0;
  let second = 0;
  for (let point = 0; point < places.length; point++) {
    const place = places[point] ?? 0;
    const mass = (weights[point] ?? 0) * likelihood(says, (place - away) * scale, error, wild);
    sum += mass;
    first += mass * place;
    second += mass * place * place;
  }
  if (!(sum > 0)) return before;
  const mean = first / sum;
  return {
    mean: before.mean + spread * mean,
    variance: before.variance * Math.max(1e-6, second / sum - mean * mean),
  };
}

function likelihood(says: Evidence['says'], away: number, error: number, wild: number): number {
  const sound = 1 - WILD_SHARE.value;
  if (says === 'is') return (sound * densityOfFour(away)) / error + wild;
  return sound * shareBelowOfFour(says === 'above' ? away : -away) + WILD_SHARE.value / 2;
}

/** Student's t with four degrees of freedom. Source: Student 1908. */
export function densityOfFour(t: number): number {
  const width = 1 + (t * t) / TAILS.value;
  return 0.375 / (width * width * Math.sqrt(width));
}

/** Its share below t. Source: Shaw 2006, the closed form of four degrees. */
export function shareBelowOfFour(t: number): number {
  const width = 1 + (t * t) / TAILS.value;
  return 0.5 + 0.375 * (t / Math.sqrt(width)) * (1 - (t * t) / width / 12);
}
