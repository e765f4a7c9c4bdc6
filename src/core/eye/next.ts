import { inverseOf } from '../units/matrix';
import { item } from '../units/items';
import { alongOf, chancesOf } from './fit';
import type { Posterior } from './fit';

/** Points and weights of Gauss & Hermite for a standard normal. Source: Abramowitz & Stegun 1964, table 25.10. */
const POINTS = [-2.856970013872806, -1.355626179974266, 0, 1.355626179974266, 2.856970013872806];
const WEIGHTS = [
  0.011257411327721, 0.222075922005613, 0.533333333333333, 0.222075922005613, 0.011257411327721,
];

/**
 * Which of some pairs tells most: the largest expected drop of entropy of the weights. Source: Houlsby, Huszár, Ghahramani
 * & Lengyel 2011; with `ahead` as a normal, and how sharply a person chooses, which is nobody's weight, averaged out.
 *
 * @returns its place in the list; −1 for an empty list
 */
export function tellsMost(known: Posterior, pairs: readonly { differences: readonly number[] }[]): number {
  const last = known.mean.length - 1;
  const sharpness = item(item(inverseOf(known.covariance), last), last);
  let best = -1;
  let most = -Infinity;
  for (const [at, { differences }] of pairs.entries()) {
    const told = toldBy(known, differences, sharpness);
    if (told > most) [best, most] = [at, told];
  }
  return best;
}

/** Expected drop of entropy, nats. */
function toldBy({ mean, covariance }: Posterior, differences: readonly number[], sharpness: number): number {
  const along = alongOf(mean, differences);
  const ahead = along.at(-1) ?? 0;
  let variance = 0;
  for (let row = 0; row < along.length; row++) {
    const own = along[row] ?? 0;
    if (own === 0) continue;
    const line = item(covariance, row);
    for (let column = 0; column < along.length; column++)
      variance += own * (along[column] ?? 0) * (line[column] ?? 0);
  }
  const within = (ahead * ahead) / sharpness;
  const byWeights = Math.sqrt(Math.max(0, variance - within));
  const bySharpness = Math.sqrt(within);
  let first = 0;
  let second = 0;
  let left = 0;
  for (let at = 0; at < POINTS.length; at++) {
    let ownFirst = 0;
    let ownSecond = 0;
    for (let there = 0; there < POINTS.length; there++) {
      const chances = chancesOf(ahead + byWeights * item(POINTS, at) + bySharpness * item(POINTS, there));
      ownFirst += item(WEIGHTS, there) * chances.first;
      ownSecond += item(WEIGHTS, there) * chances.second;
    }
    first += item(WEIGHTS, at) * ownFirst;
    second += item(WEIGHTS, at) * ownSecond;
    left += item(WEIGHTS, at) * entropy(ownFirst, ownSecond);
  }
  return entropy(first, second) - left;
}

function entropy(first: number, second: number): number {
  const part = (chance: number): number => (chance > 0 ? -chance * Math.log(chance) : 0);
  return part(first) + part(second) + part(1 - first - second);
}
