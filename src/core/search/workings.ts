import { colourOfLight } from '../light/kelvin';
import type { LightColour } from '../light/kelvin';
import { asRange, lightRangeOf } from '../light/lightRange';
import type { LightRange } from '../light/lightRange';
import type { Brief } from '../brief/brief';
import type { Pins } from '../records/settings';
import { omit } from '../units/omit';
import type { AllowedModes } from './allowedModes';
import type { Encoding } from '../camera/modeTable';
import type { FilterSetting } from '../filters/kit';
import type { IsoWindow } from '../loss/exposure';
import type { Movement } from '../motion/movement';
import { movementOf } from '../loss/movement';
import type { MotionFigures, RateFigures, ViewFigures } from '../loss/movement';
import type { Obstacle } from './obstacle';
import { glareIn } from '../loss/glare';
import type { Glare } from '../loss/glare';
import { pictureLight } from '../loss/picture';
import type { PictureLight } from '../loss/picture';
import { demandsOf } from '../loss/frame';
import type { Demands } from '../loss/frame';

/** What every school's space of one brief shares: worked out once, whichever school asks first. */
export interface Workings {
  light: LightRange;
  lightColour: LightColour;
  picture: PictureLight;
  glare: Glare;
  demands: Demands;
  allowed?: AllowedModes | Obstacle;
  /** Loss of each encoding that the pins leave, by file group. */
  encodings: Map<number, readonly EncodingLosses[]>;
  /** Movement by view: projection, then angle; and by frame rate. */
  views: Map<string, Map<number, ViewFigures>>;
  rates: Map<number, RateFigures>;
  /** Both together by motion group: held by the camera, and in the edit. */
  figures: [inCamera: MotionFigures[], inEdit: MotionFigures[]];
  movement: Movement;
  filters?: readonly FilterSetting[];
  isoWindows: Map<string, readonly IsoWindow[]>;
  /** Terms of the delivered frame by frame group: in the camera, and steadied in the edit. */
  frameLosses: [inCamera: Map<number, readonly number[]>, inEdit: Map<number, readonly number[]>];
}

/** One encoding that keeps the pins, and what it alone loses. */
export interface EncodingLosses {
  encoding: Encoding;
  losses: readonly number[];
}

/**
 * The same brief under other pins: light, movement and frames stay what they were and are not worked out again; what
 * pins choose among is.
 */
export function underPins(brief: Brief, pins: Pins): Brief {
  const pinned = { ...brief, pins };
  workings.set(pinned, { ...omit(workingsOf(brief), 'allowed'), encodings: new Map() });
  return pinned;
}

/** The same brief in another light: what the light has no part in is not worked out again. */
export function underLight(brief: Brief, light: LightRange): Brief {
  const relit = { ...brief, light: asRange(brief.light, light.evMin, light.evMax) };
  const { figures, rates, ...shared } = workingsOf(brief);
  const samePulse = light.pulseHz === shared.light.pulseHz;
  workings.set(relit, {
    ...shared,
    light,
    lightColour: colourOfLight(relit.light, light, brief),
    picture: pictureLight(relit, light),
    glare: glareIn(relit, light),
    figures: samePulse ? figures : [[], []],
    rates: samePulse ? rates : new Map<number, RateFigures>(),
  });
  return relit;
}

const workings = new WeakMap<Brief, Workings>();

export function workingsOf(brief: Brief): Workings {
  const known = workings.get(brief);
  if (known) return known;
  const light = lightRangeOf(brief.light, brief);
  const fresh: Workings = {
    light,
    lightColour: colourOfLight(brief.light, light, brief),
    picture: pictureLight(brief, light),
    glare: glareIn(brief, light),
    demands: demandsOf(brief),
    encodings: new Map(),
    views: new Map(),
    rates: new Map(),
    figures: [[], []],
    movement: movementOf(brief),
    isoWindows: new Map(),
    frameLosses: [new Map(), new Map()],
  };
  workings.set(brief, fresh);
  return fresh;
}
