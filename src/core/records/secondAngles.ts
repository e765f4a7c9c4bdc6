import type { SecondAngle, Shot } from './shot';
import { omit } from '../units/omit';

/**
 * A shot with several cameras holds its main camera as any shot does, and the others under `secondAngles`. Each of them
 * reads as a shot of its own: what they share comes from the whole, the rest is its own. The second half of a pair is
 * read the same way; it also has its own light.
 */
const OWN = ['camera', 'mount', 'motion', 'filters', 'pins'] as const;

export function cameraCount(shot: Shot): number {
  return 1 + (shot.secondAngles?.length ?? 0);
}

/** Every part that is filmed by itself: the cameras, and the second half of a pair after them. */
export function partCount(shot: Shot): number {
  return cameraCount(shot) + (shot.pair ? 1 : 0);
}

/** Whether a part is the second half of a pair. */
export function isSecondHalf(shot: Shot, index: number): boolean {
  return shot.pair !== undefined && index === cameraCount(shot);
}

/** What a part is to its shot, and what the person calls it; `null` where they gave it no name. */
export interface PartTitle {
  is: 'main' | 'angle' | 'firstHalf' | 'secondHalf';
  /** Which of the parts, counted from 1. */
  number: number;
  name: string | null;
}

/** Index 0 is the main camera. */
export function titleOfPart(shot: Shot, index: number): PartTitle {
  const number = index + 1;
  if (index === 0) {
    const half = shot.pair !== undefined && cameraCount(shot) === 1;
    return { is: half ? 'firstHalf' : 'main', number, name: null };
  }
  return isSecondHalf(shot, index)
    ? { is: 'secondHalf', number, name: shot.pair?.second.name ?? null }
    : { is: 'angle', number, name: shot.secondAngles?.[index - 1]?.name ?? null };
}

/**
 * One part as a shot of its own, under the name of the whole; 0 is the main camera. An index that is not there gives the
 * main camera.
 */
export function shotOfPart(shot: Shot, index: number): Shot {
  const main = omit(omit(shot, 'secondAngles'), 'pair');
  const half = isSecondHalf(shot, index);
  const part = half ? shot.pair?.second : shot.secondAngles?.[index - 1];
  if (index === 0 || !part) return main;
  const own = omit(part, 'name');
  const shared = keysOf(half).reduce<Shot>((rest, key) => omit(rest, key), main);
  // A second half in the same light need not tell it again.
  const light = half && !shot.pair?.second.light && main.light ? { light: main.light } : {};
  return { ...shared, ...light, ...own };
}

/** The whole shot after one of its parts changed: what is shared changes for all. */
export function withPart(shot: Shot, index: number, changed: Shot): Shot {
  const { secondAngles, pair } = shot;
  const half = isSecondHalf(shot, index);
  const old = half ? pair?.second : secondAngles?.[index - 1];
  if (index === 0 || !old)
    return {
      ...omit(omit(changed, 'secondAngles'), 'pair'),
      ...(secondAngles ? { secondAngles } : {}),
      ...(pair ? { pair } : {}),
    };
  const keys = keysOf(half);
  const mine = Object.fromEntries(
    keys.flatMap((key) => {
      // Light that only repeats the first half's stays shared.
      if (key === 'light' && half && !pair?.second.light && changed.light === shot.light) return [];
      return changed[key] === undefined ? [] : [[key, changed[key]]];
    }),
  );
  const part = { ...(old.name === undefined ? {} : { name: old.name }), ...mine };
  const shared = keys.reduce<Shot>((rest, key) => omit(rest, key), changed);
  const main = Object.fromEntries(keys.flatMap((key) => (shot[key] === undefined ? [] : [[key, shot[key]]])));
  const { name } = shot;
  return {
    ...omit(shared, 'name'),
    ...(name === undefined ? {} : { name }),
    ...main,
    ...(secondAngles
      ? {
          secondAngles: half
            ? secondAngles
            : secondAngles.map((one, at) => (at === index - 1 ? (part as SecondAngle) : one)),
        }
      : {}),
    ...(pair ? { pair: half ? { ...pair, second: part } : pair } : {}),
  };
}

function keysOf(half: boolean): readonly ((typeof OWN)[number] | 'light')[] {
  return half ? [...OWN, 'light'] : OWN;
}

/** The main camera and the second angles that a shot may have. */
export const MOST_CAMERAS = 4;

export function addCamera(shot: Shot, second: SecondAngle): Shot {
  return { ...shot, secondAngles: [...(shot.secondAngles ?? []), second] };
}

export function removeCamera(shot: Shot, index: number): Shot {
  const left = (shot.secondAngles ?? []).filter((_, at) => at !== index - 1);
  const bare = omit(shot, 'secondAngles');
  return left.length === 0 ? bare : { ...bare, secondAngles: left };
}
