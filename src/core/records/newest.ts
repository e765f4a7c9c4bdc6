import { bothOf, timeRank } from './content';
import type { EyeAnswer } from './ownEye';
import type { Tried } from './practised';

/** Lists that go on for years and keep the newest. */

/** So many answers are kept, the newest: an eye changes, and five hundred say all that a fit can use. */
export const MOST_ANSWERS = 500;

/** Answers with one more. */
export function withAnswer(answers: readonly EyeAnswer[], one: EyeAnswer): EyeAnswer[] {
  return [...answers, one].slice(-MOST_ANSWERS);
}

/** The answers of two devices, in the order of their time. */
export function answersOfBoth(one: readonly EyeAnswer[], other: readonly EyeAnswer[]): EyeAnswer[] {
  return bothOf(one, other, ({ at }) => timeRank(at)).slice(-MOST_ANSWERS);
}

/** So many are kept, the newest: what was practised years ago says little of today. */
export const MOST_TRIED = 20_000;

/** Drills with one more. */
export function withTried(tried: readonly Tried[], one: Tried): Tried[] {
  return [...tried, one].slice(-MOST_TRIED);
}

/** The drills of two devices, the oldest first. */
export function triedOnBoth(one: readonly Tried[], other: readonly Tried[]): Tried[] {
  return bothOf(one, other, ({ at }) => timeRank(at)).slice(-MOST_TRIED);
}
