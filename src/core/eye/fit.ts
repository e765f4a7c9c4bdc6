import { choleskyOf, inverseOf, solvedBy } from '../units/matrix';
import type { EyeChoice } from '../records/ownEye';
import { item } from '../units/items';
import { start } from '../units/estimate';

/** What was asked, and what was said. `differences`: loss of the second picture less that of the first, term by term. */
export interface Answered {
  differences: readonly number[];
  said: EyeChoice;
}

/**
 * What is known of how a person chooses, as one normal: natural logarithms of their weights against an even hand, and
 * last that of how sharply they choose.
 */
export interface Posterior {
  mean: readonly number[];
  covariance: readonly (readonly number[])[];
  /** Natural logarithm of how likely the answers were, over all such people. */
  evidence: number;
}

/** Of people, before they said anything. */
export const PEOPLE = {
  weightTimes: start(
    2,
    'between people what a fault weighs differs by a factor of two, one standard deviation',
  ),
  sharp: start(2, 'what is just noticed decides seven choices in eight: log-odds of two for each 1 of loss'),
  sharpSpread: start(0.4, 'some look closer than others: by half as much again either way'),
  leftOpen: start(0.25, 'of two pictures as good as each other a quarter is left undecided'),
};
const WEIGHT_SPREAD = Math.log(PEOPLE.weightTimes.value);
const SHARP_LOG = Math.log(PEOPLE.sharp.value);
const SHARP_SPREAD = PEOPLE.sharpSpread.value;
/** Rao & Kupper's threshold: of an even pair each side is chosen by (1 − leftOpen) / 2. */
const OPEN = Math.log((1 + PEOPLE.leftOpen.value) / (1 - PEOPLE.leftOpen.value));

const MOST_STEPS = 40;
const CLOSE = 1e-4;
const LEAST = 1e-12;

/** Chances that a person says the first, the second or neither, the first being ahead by log-odds. Source: Rao & Kupper 1967. */
export function chancesOf(ahead: number): Record<EyeChoice, number> {
  const first = logistic(ahead - OPEN);
  const second = logistic(-ahead - OPEN);
  return { first, second, neither: Math.max(LEAST, 1 - first - second) };
}

/** How far the first is ahead under a mean as in `Known`, log-odds. */
export function aheadOf(mean: readonly number[], differences: readonly number[]): number {
  let sum = 0;
  for (let at = 0; at < differences.length; at++) {
    const by = differences[at] ?? 0;
    if (by !== 0) sum += Math.exp(mean[at] ?? 0) * by;
  }
  return Math.exp(mean[differences.length] ?? 0) * sum;
}

/** d ahead / d mean, term by term; its last is `ahead` itself. */
export function alongOf(mean: readonly number[], differences: readonly number[]): number[] {
  const sharp = Math.exp(mean[differences.length] ?? 0);
  let ahead = 0;
  const along: number[] = [];
  for (let at = 0; at < differences.length; at++) {
    const by = differences[at] ?? 0;
    const own = by === 0 ? 0 : sharp * Math.exp(mean[at] ?? 0) * by;
    ahead += own;
    along.push(own);
  }
  along.push(ahead);
  return along;
}

/**
 * Weights from answers: the likeliest, and a normal about it (Laplace). Logistic choice on the difference of weighted loss
 * (Bradley & Terry 1952, Luce 1959), left open where it is small (Rao & Kupper 1967); normal prior at even weights in log
 * scale; the mode by Fisher scoring (McCullagh & Nelder 1989) with halved steps.
 *
 * @param terms how many terms a difference has
 */
export function fit(terms: number, answers: readonly Answered[]): Posterior {
  const before = [...new Array<number>(terms).fill(0), SHARP_LOG];
  const precision = [...new Array<number>(terms).fill(WEIGHT_SPREAD ** -2), SHARP_SPREAD ** -2];
  const likely = (mean: readonly number[]): number => logPosterior(mean, before, precision, answers);
  let mean = before;
  let value = likely(mean);
  for (let step = 0; step < MOST_STEPS; step++) {
    const { slope, information } = slopesAt(mean, before, precision, answers);
    const next = halvedUntilBetter(mean, solvedBy(choleskyOf(information), slope), value, likely);
    if (!next) break;
    const moved = Math.max(...next.mean.map((own, at) => Math.abs(own - item(mean, at))));
    ({ mean, value } = next);
    if (moved < CLOSE) break;
  }
  const covariance = inverseOf(slopesAt(mean, before, precision, answers).information);
  const spread = logDeterminant(covariance) + precision.reduce((sum, own) => sum + Math.log(own), 0);
  return { mean, covariance, evidence: value + spread / 2 };
}

function slopesAt(
  mean: readonly number[],
  before: readonly number[],
  precision: readonly number[],
  answers: readonly Answered[],
): { slope: Float64Array; information: Float64Array[] } {
  const slope = new Float64Array(mean.length);
  const information = precision.map(() => new Float64Array(mean.length));
  for (let at = 0; at < mean.length; at++) {
    slope[at] = -item(precision, at) * (item(mean, at) - item(before, at));
    item(information, at)[at] = item(precision, at);
  }
  for (const { differences, said } of answers) {
    const along = alongOf(mean, differences);
    const told = scoreAt(along.at(-1) ?? 0, said);
    for (let row = 0; row < along.length; row++) {
      const own = along[row] ?? 0;
      if (own === 0) continue;
      slope[row] = (slope[row] ?? 0) + told.slope * own;
      const line = item(information, row);
      for (let column = 0; column < along.length; column++)
        line[column] = (line[column] ?? 0) + told.information * own * (along[column] ?? 0);
    }
  }
  return { slope, information };
}

/** Of the logarithm of what was said: its slope by `ahead`, and Fisher's information of one answer there. */
function scoreAt(ahead: number, said: EyeChoice): { slope: number; information: number } {
  const { first, second, neither } = chancesOf(ahead);
  const slopes = {
    first: 1 - first,
    second: second - 1,
    neither: (second * (1 - second) - first * (1 - first)) / neither,
  };
  return {
    slope: slopes[said],
    information: first * slopes.first ** 2 + second * slopes.second ** 2 + neither * slopes.neither ** 2,
  };
}

function halvedUntilBetter(
  from: readonly number[],
  move: Float64Array,
  value: number,
  likely: (mean: readonly number[]) => number,
): { mean: number[]; value: number } | null {
  for (let share = 1; share > 1e-3; share /= 2) {
    const mean = from.map((own, at) => own + share * (move[at] ?? 0));
    const there = likely(mean);
    if (there >= value) return { mean, value: there };
  }
  return null;
}

function logPosterior(
  mean: readonly number[],
  before: readonly number[],
  precision: readonly number[],
  answers: readonly Answered[],
): number {
  let sum = 0;
  for (const [at, own] of mean.entries()) sum -= (item(precision, at) * (own - item(before, at)) ** 2) / 2;
  for (const { differences, said } of answers)
    sum += Math.log(Math.max(LEAST, chancesOf(aheadOf(mean, differences))[said]));
  return sum;
}

function logDeterminant(matrix: readonly (readonly number[])[]): number {
  return 2 * choleskyOf(matrix).reduce((sum, row, at) => sum + Math.log(row[at] ?? 1), 0);
}

function logistic(x: number): number {
  return 1 / (1 + Math.exp(-x));
}
