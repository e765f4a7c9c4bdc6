import { medianOf, quantileOf } from './series';

/** Frames that are the one before over again. */
export interface Repeats {
  /** Which frames, by their place; the first is never one. */
  repeated: boolean[];
  /** 0…1. */
  share: number;
  /** Every how manyeth frame is new; `null` where they repeat by no rule, or not at all. */
  pattern: number | null;
}

/** A repeat differs by less than this share of what frames around it differ by. */
const SHARE_OF_NEIGHBOURS = 0.2;
/** A turning point of a swing looks like a repeat: there it must differ by less than this. */
const SHARE_AT_A_TURN = 0.04;
/** Frames on either side that are compared with: an odd count, so that of every second frame the new ones are more. */
const EACH_SIDE = 7;
/** Less than this between frames, share of the range, is the rounding of codes: nothing moves. */
const STILL = 1e-4;
const LONGEST_PATTERN = 8;
const KEEPS_TO_IT = 0.8;

/**
 * Frames whose difference to the one before is under a fifth of what is usual around them. Where most frames repeat, what
 * is usual is told by the few that move, not by the median. `null`: nothing moves, so nothing tells.
 * `turns[i]`: the picture moves one way before frame i and the other way after it.
 */
export function repeatsIn(differences: ArrayLike<number>, turns: readonly boolean[] = []): Repeats | null {
  const count = differences.length;
  const all = Float64Array.from(differences);
  const told = all.subarray(1);
  if (count < 3 || quantileOf(told, 0.95) < STILL) return null;
  const repeated = Array.from({ length: count }, (_, at) => {
    if (at === 0) return false;
    const around = [
      ...all.subarray(Math.max(1, at - EACH_SIDE), at),
      ...all.subarray(at + 1, at + EACH_SIDE + 1),
    ];
    const usual = Math.max(medianOf(around), quantileOf(around, 0.95) / 2);
    const own = all[at] ?? 0;
    if (usual < STILL || own >= SHARE_OF_NEIGHBOURS * usual) return false;
    return !turns[at] || own < SHARE_AT_A_TURN * usual;
  });
  const fresh = repeated.flatMap((is, at) => (is ? [] : [at]));
  const gaps = fresh.slice(1).map((at, index) => at - (fresh[index] ?? 0));
  const share = repeated.filter(Boolean).length / count;
  const pattern = Array.from({ length: LONGEST_PATTERN - 1 }, (_, index) => index + 2).find(
    (period) => gaps.filter((gap) => gap === period).length >= KEEPS_TO_IT * gaps.length,
  );
  return { repeated, share, pattern: pattern === undefined || gaps.length < 2 ? null : pattern };
}
