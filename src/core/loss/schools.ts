import type { SchoolId, Stabilization } from '../plan/words';
import { EVEN_WEIGHTS } from './terms';
import type { Weights } from './terms';

/**
 * The schools of practice as data: what each aims at, what it weighs more or less than an even hand would, and what it
 * insists on. A pin overrides an insistence on the same setting; an insistence that the camera cannot meet is dropped
 * and said.
 */
export interface School {
  id: SchoolId;
  /** The shutter angle, degrees of the frames shown, that counts as natural; `orShakeFloor` takes the shorter. */
  aim: { angleDeg: number; orShakeFloor: boolean };
  weights: Weights;
  insists: {
    stabilizations?: readonly Stabilization[];
    shutterMode?: 'fixed' | 'auto';
    /** Shutter angle from…to, degrees, of the frames captured or of the frames that playback shows. */
    angle?: { of: 'captured' | 'shown'; fromDeg: number; toDeg: number };
    /** No shutter longer than the shake floor of the view. */
    withinShakeFloor?: boolean;
    /** Nothing in front of the lens. */
    noFilter?: boolean;
    /** Stops between the ends of the ISO window, at most. */
    isoSpanStops?: number;
    isoMax?: number;
  };
  /** The picture is steadied in the edit, at the price of a crop. */
  steadiedInEdit: boolean;
  /** Exposure offset, stops, that the school always sets; `null` leaves it to the light. */
  exposureOffsetStops: number | null;
}

const STEADIED: readonly Stabilization[] = ['standard', 'strong', 'levelHold', 'rollHold'];

export const SCHOOLS: Record<SchoolId, School> = {
  weigh: {
    id: 'weigh',
    aim: { angleDeg: 180, orShakeFloor: false },
    weights: EVEN_WEIGHTS,
    insists: {},
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  film: {
    id: 'film',
    aim: { angleDeg: 180, orShakeFloor: false },
    // Frames that are never shown halve the shown angle, which is what this school will not have.
    weights: { ...EVEN_WEIGHTS, angle: 2, cadence: 5, over: 1.5, drift: 2, smear: 0.7 },
    insists: {
      stabilizations: ['off'],
      shutterMode: 'fixed',
      angle: { of: 'captured', fromDeg: 180, toDeg: 180 },
      isoSpanStops: 1,
    },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  crisp: {
    id: 'crisp',
    aim: { angleDeg: 180, orShakeFloor: true },
    weights: { ...EVEN_WEIGHTS, smear: 2, filter: 2, strobing: 0.5 },
    insists: { stabilizations: STEADIED, shutterMode: 'fixed', withinShakeFloor: true },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  middle: {
    id: 'middle',
    aim: { angleDeg: 105, orShakeFloor: false },
    weights: { ...EVEN_WEIGHTS, filter: 1.3 },
    insists: {
      stabilizations: STEADIED,
      shutterMode: 'fixed',
      angle: { of: 'shown', fromDeg: 90, toDeg: 120 },
      isoMax: 800,
    },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  post: {
    id: 'post',
    aim: { angleDeg: 180, orShakeFloor: true },
    weights: { ...EVEN_WEIGHTS, smear: 1.5, viewWide: 0.2, card: 0.8, bitRate: 1.3 },
    insists: { stabilizations: ['off'], shutterMode: 'fixed' },
    steadiedInEdit: true,
    exposureOffsetStops: null,
  },
  handsOff: {
    id: 'handsOff',
    aim: { angleDeg: 180, orShakeFloor: false },
    weights: { ...EVEN_WEIGHTS, angle: 0.4, drift: 0.3, strobing: 0.7 },
    insists: { stabilizations: STEADIED, shutterMode: 'auto', noFilter: true },
    steadiedInEdit: false,
    exposureOffsetStops: -0.5,
  },
};
