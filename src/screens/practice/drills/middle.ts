import { item } from '@/core/units/items';

/** The middle one of a list that is not empty, or the mean of the middle two. */
export function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = (sorted.length - 1) / 2;
  return (item(sorted, Math.floor(half)) + item(sorted, Math.ceil(half))) / 2;
}

/** For each place the middle of the last so many up to it. */
export function runningMiddle(values: readonly number[], count: number): number[] {
  return values.map((_, at) => middleOf(values.slice(Math.max(0, at + 1 - count), at + 1)));
}
