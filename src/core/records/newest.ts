import { bothOf, timeRank } from './content';

/** Lists that go on for years keep the newest: an eye changes, and five hundred answers say all that a fit can use, */
export const MOST_ANSWERS = 500;
/** and what was practised years ago says little of today. */
export const MOST_TRIED = 20_000;

/** A list with one more. */
export function withNewest<T>(list: readonly T[], one: T, most: number): T[] {
  return [...list, one].slice(-most);
}

/** The lists of two devices as one, the oldest first. */
export function newestOfBoth<T extends { at?: string | undefined }>(
  one: readonly T[],
  other: readonly T[],
  most: number,
): T[] {
  return bothOf(one, other, ({ at }) => timeRank(at)).slice(-most);
}
