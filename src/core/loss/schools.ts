import type { SchoolId, Stabilization } from '../vocabulary/words';
import type { Aim } from './movement';
import { EVEN_WEIGHTS } from './table';
import type { Weights } from './table';
import { start } from './term';
import type { Wishes } from './wishes';

/**
 * The schools of practice as data: what each aims at, what it weighs more or less than an even hand would, and what it
 * wishes for, at which price. Nothing a school wishes is a wall: a picture it would destroy outbids it.
 */
export interface School {
  id: SchoolId;
  aim: Aim;
  weights: Weights;
  wishes: Wishes;
  /** The picture is steadied in the edit, at the price of a crop. */
  steadiedInEdit: boolean;
  /** Exposure offset, stops, that the school always sets; `null` leaves it to the light. */
  exposureOffsetStops: number | null;
}

const STEADIED: readonly Stabilization[] = ['standard', 'strong', 'levelHold', 'rollHold'];

export const SCHOOLS: Record<SchoolId, School> = {
  weigh: {
    id: 'weigh',
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: false },
    weights: EVEN_WEIGHTS,
    wishes: {},
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  film: {
    id: 'film',
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: false },
    // Frames that are never shown halve the shown angle, which is what this school will not have.
    weights: { ...EVEN_WEIGHTS, angle: 2, cadence: 5, over: 1.5, drift: 2, smear: 0.7 },
    wishes: {
      stabilization: {
        among: ['off'],
        price: start(4, 'the movement itself is the picture; electronic steadying pulses at 180°'),
      },
      shutterMode: { mode: 'fixed', price: start(3, 'a shutter that runs is no look at all') },
      angle: {
        fromDeg: 180,
        toDeg: 180,
        price: start(1.5, 'exactly 180° is the look: worth a stop of white or of dark, not two'),
      },
      isoSpan: {
        stops: 1,
        price: start(
          0.15,
          'a fixed ISO at base, or a narrow window: dearer than grain, cheaper than a dark shade',
        ),
      },
    },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  crisp: {
    id: 'crisp',
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: true },
    weights: { ...EVEN_WEIGHTS, smear: 1.2, filter: 2, strobing: 0.5 },
    wishes: {
      stabilization: {
        among: STEADIED,
        price: start(1.5, 'a still picture is what the short shutter is for'),
      },
      shutterMode: {
        mode: 'fixed',
        price: start(1, 'the floor is known before the run; a running shutter is not needed'),
      },
      withinShakeFloor: {
        price: start(
          0.7,
          'not a trace of smear on a still picture: worth a stop of shade, not the whole dusk',
        ),
      },
    },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  middle: {
    id: 'middle',
    aim: { angleDeg: 105, withinStops: 0.21, orShakeFloor: false },
    weights: { ...EVEN_WEIGHTS, filter: 1.3 },
    wishes: {
      stabilization: { among: STEADIED, price: start(1, 'a little blur and a steadied picture go together') },
      shutterMode: {
        mode: 'fixed',
        price: start(0.8, 'set once for sun and shade, the window does the rest'),
      },
      angle: {
        fromDeg: 90,
        toDeg: 120,
        price: start(0.8, 'between natural and crisp is the point; sun and shade come first'),
      },
      isoMax: { iso: 800, price: start(0.2, 'grain above 800 spoils what the rest has won') },
    },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  post: {
    id: 'post',
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: true },
    weights: { ...EVEN_WEIGHTS, smear: 1.2, viewWide: 0.2, card: 0.8, bitRate: 1.3 },
    wishes: {
      stabilization: {
        among: ['off'],
        price: start(2, 'steadied twice, the picture warps: motion data wants the frame as it fell'),
      },
      shutterMode: {
        mode: 'fixed',
        price: start(1.5, 'an evening of work is not spent on blur that comes and goes'),
      },
    },
    steadiedInEdit: true,
    exposureOffsetStops: null,
  },
  handsOff: {
    id: 'handsOff',
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: false },
    weights: { ...EVEN_WEIGHTS, angle: 0.4, drift: 0.3, strobing: 0.7 },
    wishes: {
      stabilization: { among: STEADIED, price: start(1.5, 'whatever comes is held') },
      shutterMode: { mode: 'auto', price: start(3, 'the camera follows light that nobody can reach it in') },
      noFilter: { price: start(2, 'nothing in front of the lens is left to forget or to lose') },
    },
    steadiedInEdit: false,
    exposureOffsetStops: -0.5,
  },
};
