import type { TurnWay } from '../vocabulary/pairs';
import type { Pair } from '../records/shot';
import type { PairSheet } from '../together/pairSheet';
import type { Solution } from '../answer/solve';
import { takeOf } from './takeOf';
import type { PreviewTake } from './take';

/** The last of the first half and the first of the second, each this long, seconds of film. */
const HALF_SECONDS = 1;
/** A camera that looks up to the sky turns no faster than a head, degrees a second (start). */
const SKY_TURN_DEG_PER_S = 90;

/** Two takes that follow one another: the end of the first half and the beginning of the second, joined as the pair says. */
export function joinOf(
  pair: Pair,
  sheet: PairSheet,
  first: Solution,
  second: Solution,
): [PreviewTake, PreviewTake] {
  const half = ({ space, candidate }: Solution): PreviewTake =>
    takeOf(space, candidate, {
      slowdown: space.brief.playback.slowdown,
      moment: 'bright',
      filmSeconds: HALF_SECONDS,
    });
  const [a, b] = [half(first), half(second)];
  const [turnA, turnB] = sheet.halves.map(({ turnDegPerS }) => turnDegPerS) as [number, number];
  switch (pair.kind) {
    case 'whip':
      return [
        whip(a, 'whipOut', pair.turn ?? 'right', turnA),
        whip(b, 'whipIn', pair.turn ?? 'right', turnB),
      ];
    case 'falling':
      return [whip(a, 'whipOut', 'down', turnA), whip(b, 'whipIn', 'down', turnB)];
    case 'sky':
      return [whip(a, 'whipOut', 'up', SKY_TURN_DEG_PER_S), whip(b, 'whipIn', 'down', SKY_TURN_DEG_PER_S)];
    case 'shake':
    case 'cover': {
      const what = pair.kind;
      return [
        { ...still(a), join: { what, side: 'out' } },
        { ...still(b), join: { what, side: 'in' } },
      ];
    }
    case 'samePlace':
      return [still(a), still(b)];
  }
}

function whip(take: PreviewTake, turning: 'whipOut' | 'whipIn', way: TurnWay, degPerS: number): PreviewTake {
  const sign = way === 'right' || way === 'down' ? 1 : -1;
  return {
    ...take,
    turning,
    turnAxis: way === 'left' || way === 'right' ? 'yaw' : 'pitch',
    movement: { ...take.movement, turnDegPerS: sign * degPerS },
  };
}

function still(take: PreviewTake): PreviewTake {
  return { ...take, movement: { ...take.movement, turnDegPerS: 0 } };
}
