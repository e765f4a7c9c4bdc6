import { UNCERTAIN_INPUTS } from './simulated';
import type { UncertainInput } from './simulated';

/** An input that drives a loss, with its share of what all of them explain of it. */
export interface Driver {
  input: UncertainInput;
  share: number;
}

/** Less than this is chance. */
const SHARE_FROM = 0.03;

/**
 * What drives a loss: squared rank correlations, shares of their sum. Ranks, since losses bend: what is monotone counts
 * whole. Source: Saltelli & Sobol' 1995 (rank transformed measures of importance).
 */
export function driversOf(
  losses: ArrayLike<number>,
  inputs: Readonly<Record<UncertainInput, ArrayLike<number>>>,
): Driver[] {
  const ranked = ranksOf(losses);
  if (!ranked) return [];
  const squares = UNCERTAIN_INPUTS.map((input) => {
    const its = ranksOf(inputs[input]);
    return { input, square: its ? correlationOf(ranked, its) ** 2 : 0 };
  });
  // Two independent lists of so many ranks agree by chance to this.
  const chance = 4 / Math.max(1, losses.length);
  const told = squares.filter(({ square }) => square > chance);
  const sum = told.reduce((all, { square }) => all + square, 0);
  return told
    .map(({ input, square }) => ({ input, share: square / sum }))
    .filter(({ share }) => share >= SHARE_FROM)
    .sort((one, other) => other.share - one.share);
}

/** Ranks about their mean, ties sharing theirs; `null`: all are equal. */
function ranksOf(values: ArrayLike<number>): Float64Array | null {
  const order = Array.from({ length: values.length }, (_, at) => at).sort(
    (a, b) => (values[a] ?? 0) - (values[b] ?? 0),
  );
  const ranks = new Float64Array(values.length);
  let from = 0;
  while (from < order.length) {
    const value = values[order[from] ?? 0];
    let to = from + 1;
    while (to < order.length && values[order[to] ?? 0] === value) to += 1;
    if (to - from === order.length) return null;
    for (let at = from; at < to; at++) ranks[order[at] ?? 0] = (from + to - 1) / 2 - (order.length - 1) / 2;
    from = to;
  }
  return ranks;
}

function correlationOf(one: Float64Array, other: Float64Array): number {
  let [both, own, its] = [0, 0, 0];
  for (let at = 0; at < one.length; at++) {
    const [a, b] = [one[at] ?? 0, other[at] ?? 0];
    both += a * b;
    own += a * a;
    its += b * b;
  }
  return both / Math.sqrt(own * its);
}
