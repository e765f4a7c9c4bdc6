import { lightRangeOf } from '../light/lightRange';
import type { LightRange } from '../light/lightRange';
import type { Brief } from '../plan/defaults';
import type { Pins } from '../plan/settings';
import type { Colour } from '../plan/words';
import { without } from '../plan/without';
import type { AllowedModes } from './allowedModes';
import type { Encoding } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import type { IsoWindow } from '../loss/exposureLoss';
import type { Pace } from '../motion/motionMap';
import type { Movement } from '../motion/movement';
import { movementOf } from '../loss/shutterLoss';
import type { MotionFigures } from '../loss/shutterLoss';
import type { Obstacle } from './obstacle';
import { demandsOf } from '../loss/modeLoss';
import type { Demands, FrameTerms } from '../loss/modeLoss';

/** What every school's space of one brief shares: worked out once, whichever school asks first. */
export interface Workings {
  light: LightRange;
  demands: Demands;
  allowed?: AllowedModes | Obstacle;
  /** Loss of each encoding of a mode, by mode index. */
  encodings: EncodingTerms[][];
  /** Movement by motion group, whatever the school aims at: held by the camera, and in the edit. */
  figures: [inCamera: MotionFigures[], inEdit: MotionFigures[]];
  /** Pace of the surroundings by view: projection, then angle. */
  paces: Map<string, Map<number, Pace>>;
  movement: Movement;
  filters?: readonly FilterSetting[];
  isoWindows: Map<string, readonly IsoWindow[]>;
  /** Frame terms by colour, then by mode index: in the camera, and steadied in the edit. */
  frameTerms: Partial<Record<Colour, [inCamera: FrameTerms[], inEdit: FrameTerms[]]>>;
}

/** One encoding that keeps the pins, and what it alone loses. */
export interface EncodingTerms {
  encoding: Encoding;
  bitRate: number;
  card: number;
}

/**
 * The same brief under other pins: light, movement and frames stay what they were and are not worked out again; what
 * pins choose among is.
 */
export function underPins(brief: Brief, pins: Pins): Brief {
  const pinned = { ...brief, pins };
  workings.set(pinned, { ...without(workingsOf(brief), 'allowed'), encodings: [] });
  return pinned;
}

const workings = new WeakMap<Brief, Workings>();

export function workingsOf(brief: Brief): Workings {
  const known = workings.get(brief);
  if (known) return known;
  const fresh: Workings = {
    light: lightRangeOf(brief.light, brief.limits),
    demands: demandsOf(brief),
    encodings: [],
    figures: [[], []],
    paces: new Map(),
    movement: movementOf(brief),
    isoWindows: new Map(),
    frameTerms: {},
  };
  workings.set(brief, fresh);
  return fresh;
}
