import type { EyeAnswer } from '../records/ownEye';
import { start } from '../units/estimate';
import { SeededRandom, named } from '../units/seededRandom';
import { item } from '../units/items';
import { SEEN_TERMS } from '../vocabulary/terms';
import type { SeenTerm } from '../vocabulary/terms';
import { aheadOf, fit } from './fit';
import type { Answered, Posterior } from './fit';
import { tellsMost } from './next';
import { questionKey } from './pairs';
import type { EyePair } from './pairs';

/** Pairs that tell of weights, and those among them that show whether somebody looks. */
export const TELLING = 12;
export const PLAIN = 4;
export const COURSE = TELLING + PLAIN;

/** Who answers by a coin, of all who answer. */
const AT_RANDOM = start(0.25, 'one in four taps along');

/** A weight by its median and where it is nine times in ten. */
export interface Fitted {
  term: SeenTerm;
  weight: number;
  low: number;
  high: number;
}

/** What answers say of a person. */
export interface EyeReading {
  answers: number;
  weights: Fitted[];
  /** Of the choices made, so many are what these weights would choose. */
  agree: number;
  chosen: number;
  /** Of the pairs where one was plainly worse, in so many that one was taken or it was left open. */
  plain: number;
  plainMissed: number;
  /** How likely the answers are no better than a coin's, 0…1; `null` before there are enough of them. */
  atRandom: number | null;
}

/** Fewer answers than this do not tell a coin from an eye. */
const ENOUGH = TELLING;
const NINETY = 1.645;
/** Which side a picture stands on, and which of what is plainly worse is asked: without a pattern that a hand could follow. */
const SEED = 1;
const TURN = named('turn');
const WHICH = named('which');

/** What is known of a person from what they said. */
export function knownFrom(answers: readonly EyeAnswer[]): Posterior {
  return fit(SEEN_TERMS.length, answers.map(answeredOf));
}

export function readEye(answers: readonly EyeAnswer[]): EyeReading {
  const known = knownFrom(answers);
  const chosen = answers.filter(({ said }) => said !== 'neither');
  const plain = answers.filter((one) => one.plain);
  return {
    answers: answers.length,
    weights: SEEN_TERMS.map((term, at) => {
      const off = item(known.mean, at);
      const spread = NINETY * Math.sqrt(item(item(known.covariance, at), at));
      return { term, weight: Math.exp(off), low: Math.exp(off - spread), high: Math.exp(off + spread) };
    }),
    agree: chosen.filter((one) => predicted(known, one) === one.said).length,
    chosen: chosen.length,
    plain: plain.length,
    plainMissed: plain.filter((one) => one.said !== better(one)).length,
    atRandom: answers.length < ENOUGH ? null : chanceOfCoin(known, answers),
  };
}

/** Whether the answers are more likely a coin's than anybody's. */
export function isAtRandom({ atRandom }: EyeReading): boolean {
  return atRandom !== null && atRandom > 0.5;
}

/** The next pair to ask, and which of its two stands first; `null`: all were asked. */
export function nextPair<P extends Pick<EyePair, 'differences' | 'plain' | 'names'>>(
  pairs: readonly P[],
  answers: readonly EyeAnswer[],
): { pair: P; turned: boolean } | null {
  const asked = new Set(answers.map((one) => questionKey(one.differences)));
  const left = pairs.filter(({ names }) => !names.some((name) => asked.has(name)));
  const plain = left.filter((one) => one.plain);
  const drawn = new SeededRandom(SEED, answers.length);
  const turned = drawn.even(TURN) < 0.5;
  const asksPlain = answers.length < COURSE && answers.length % (COURSE / PLAIN) === COURSE / PLAIN - 2;
  if (asksPlain && plain.length > 0)
    return { pair: item(plain, Math.floor(drawn.even(WHICH) * plain.length)), turned };
  const telling = left.filter((one) => !one.plain);
  const pair = telling[tellsMost(knownFrom(answers), telling)];
  return pair ? { pair, turned } : null;
}

function answeredOf({ differences, said }: EyeAnswer): Answered {
  return { differences: SEEN_TERMS.map((term) => differences[term] ?? 0), said };
}

function predicted({ mean }: Posterior, looked: EyeAnswer): EyeAnswer['said'] {
  return aheadOf(mean, answeredOf(looked).differences) > 0 ? 'first' : 'second';
}

/** Of a pair where one is plainly worse. */
function better({ differences }: EyeAnswer): EyeAnswer['said'] {
  return Object.values(differences).reduce((sum, by) => sum + by, 0) > 0 ? 'first' : 'second';
}

/** Against a coin that leaves any share of the pairs open, as likely as any other. Source: Bayes's rule, Laplace 1774. */
function chanceOfCoin({ evidence }: Posterior, answers: readonly EyeAnswer[]): number {
  const count = answers.length;
  const open = answers.filter(({ said }) => said === 'neither').length;
  const coin =
    logFactorial(open) + logFactorial(count - open) - logFactorial(count + 1) - (count - open) * Math.LN2;
  const odds = (AT_RANDOM.value / (1 - AT_RANDOM.value)) * Math.exp(coin - evidence);
  return odds / (1 + odds);
}

function logFactorial(n: number): number {
  let sum = 0;
  for (let at = 2; at <= n; at++) sum += Math.log(at);
  return sum;
}
