import { STABILIZATIONS } from '../vocabulary/modes';
import type { Codec, Colour, RecordingMode, Stabilization } from '../vocabulary/modes';
import type { Encoding, Mode } from './modeTable';
import { modesOf } from './modeTable';
import type { CameraProfile } from './profile';

/**
 * Asking a camera for things that may not go together: what is left once some wishes are held, and the cheapest to give
 * up for one more. The questions of the mode map.
 */
export interface ModeWishes {
  recording?: RecordingMode;
  resolutionId?: string;
  frameRate?: number;
  viewId?: string;
  stabilization?: Stabilization;
  codec?: Codec;
  bitDepth?: 8 | 10;
  colour?: Colour;
}

export type WishKey = keyof ModeWishes;
export const WISH_KEYS: readonly WishKey[] = [
  'recording',
  'resolutionId',
  'frameRate',
  'viewId',
  'stabilization',
  'codec',
  'bitDepth',
  'colour',
];

/** Whether a mode grants every wish; codec and depth must come in one encoding. */
export function grants(mode: Mode, wishes: ModeWishes): boolean {
  return (
    (wishes.recording === undefined || mode.recording === wishes.recording) &&
    (wishes.resolutionId === undefined || mode.resolution.id === wishes.resolutionId) &&
    (wishes.frameRate === undefined || mode.frameRate === wishes.frameRate) &&
    (wishes.viewId === undefined || mode.view.id === wishes.viewId) &&
    (wishes.stabilization === undefined || mode.stabilization === wishes.stabilization) &&
    (wishes.colour === undefined || mode.colours.includes(wishes.colour)) &&
    (wishes.codec === undefined && wishes.bitDepth === undefined
      ? true
      : mode.encodings.some((encoding) => encodingGrants(encoding, wishes)))
  );
}

function encodingGrants({ codec, bitDepth }: Encoding, wishes: ModeWishes): boolean {
  return (
    (wishes.codec === undefined || codec === wishes.codec) &&
    (wishes.bitDepth === undefined || bitDepth === wishes.bitDepth)
  );
}

interface WishOption {
  value: NonNullable<ModeWishes[WishKey]>;
  /** Some mode grants it together with all other wishes. */
  open: boolean;
}

/** Every value a camera has for one wish, and whether it still goes with the others. */
export function optionsFor(profile: CameraProfile, key: WishKey, wishes: ModeWishes): WishOption[] {
  const modes = modesOf(profile);
  const others = withoutWishes(wishes, [key]);
  const granting = modes.filter((mode) => grants(mode, others));
  return valuesOf(profile, key).map((value) => ({
    value,
    open: granting.some((mode) => grants(mode, { ...others, [key]: value })),
  }));
}

/** The values of one wish, in the order in which a person expects them. */
export function valuesOf(profile: CameraProfile, key: WishKey): NonNullable<ModeWishes[WishKey]>[] {
  const modes = modesOf(profile);
  const unique = <T>(values: readonly T[]): T[] => [...new Set(values)];
  switch (key) {
    case 'recording':
      return unique(modes.map(({ recording }) => recording));
    case 'resolutionId':
      return [...profile.resolutions]
        .sort((a, b) => b.width * b.height - a.width * a.height)
        .map(({ id }) => id);
    case 'frameRate':
      return unique(modes.map(({ frameRate }) => frameRate)).sort((a, b) => a - b);
    case 'viewId':
      return [...profile.views].sort((a, b) => b.horizontalDeg - a.horizontalDeg).map(({ id }) => id);
    case 'stabilization':
      return STABILIZATIONS.filter((one) => modes.some((mode) => mode.stabilization === one));
    case 'codec':
      return unique(modes.flatMap(({ encodings }) => encodings.map(({ codec }) => codec)));
    case 'bitDepth':
      return unique(modes.flatMap(({ encodings }) => encodings.map(({ bitDepth }) => bitDepth)));
    case 'colour':
      return unique(modes.flatMap(({ colours }) => [...colours]));
  }
}

/** What to let go of so that all other wishes are granted, and what it becomes: one line an exchange. */
export interface GiveUp {
  keys: WishKey[];
  /** The granted mode nearest to what was wished. */
  mode: Mode;
  /** How far it is from what was wished: 1 for each wish let go, and a little by how much it changes. */
  cost: number;
}

/**
 * The cheapest ways to have `wanted` (and as many other wishes as can be): fewest wishes let go, then the smallest
 * change. Empty when the wishes already go together, or when the camera has `wanted` nowhere.
 */
export function cheapestGiveUps(
  profile: CameraProfile,
  wishes: ModeWishes,
  wanted: WishKey,
  most = 4,
): GiveUp[] {
  const modes = modesOf(profile).filter((mode) => grants(mode, pick(wishes, [wanted])));
  const others = WISH_KEYS.filter((key) => key !== wanted && wishes[key] !== undefined);
  const ways = new Map<string, GiveUp>();
  for (const mode of modes) {
    const keys = others.filter((key) => !grants(mode, pick(wishes, [key])));
    // Codec and depth may each be there and still not come together.
    if (!grants(mode, withoutWishes(wishes, keys))) keys.push(wanted === 'bitDepth' ? 'codec' : 'bitDepth');
    if (keys.length === 0) return [];
    const cost = keys.reduce((sum, key) => sum + 1 + distance(profile, mode, wishes, key), 0);
    const name = keys.join();
    const known = ways.get(name);
    if (!known || cost < known.cost) ways.set(name, { keys, mode, cost });
  }
  const found = [...ways.values()];
  // Giving up more than another way does, and the same among it, is no way of its own.
  const minimal = found.filter(
    (way) => !found.some((other) => other !== way && other.keys.every((key) => way.keys.includes(key))),
  );
  return minimal.sort((a, b) => a.cost - b.cost).slice(0, most);
}

/** How far a mode is from one wish, 0…1: octaves of rate and pixels, ratio of view, steps of stabilization. */
function distance(profile: CameraProfile, mode: Mode, wishes: ModeWishes, key: WishKey): number {
  const octaves = (a: number, b: number): number => Math.min(1, Math.abs(Math.log2(a / b)) / 4);
  switch (key) {
    case 'frameRate':
      return octaves(mode.frameRate, wishes.frameRate ?? mode.frameRate);
    case 'resolutionId': {
      const wished = profile.resolutions.find(({ id }) => id === wishes.resolutionId);
      const { width, height } = mode.resolution;
      return wished ? octaves(width * height, wished.width * wished.height) : 1;
    }
    case 'viewId': {
      const wished = profile.views.find(({ id }) => id === wishes.viewId);
      return wished ? octaves(mode.view.horizontalDeg, wished.horizontalDeg) : 1;
    }
    case 'stabilization': {
      const rank = (one: Stabilization): number => STABILIZATIONS.indexOf(one);
      return Math.abs(rank(mode.stabilization) - rank(wishes.stabilization ?? 'off')) / 5;
    }
    default:
      return 0.5;
  }
}

function pick(wishes: ModeWishes, keys: readonly WishKey[]): ModeWishes {
  return Object.fromEntries(Object.entries(wishes).filter(([key]) => keys.includes(key as WishKey)));
}

export function withoutWishes(wishes: ModeWishes, keys: readonly WishKey[]): ModeWishes {
  return Object.fromEntries(Object.entries(wishes).filter(([key]) => !keys.includes(key as WishKey)));
}
