import { start } from '../units/estimate';
import type { Estimate } from '../units/estimate';
import type { Stabilization } from './modes';
import type { TermId } from './terms';

/**
 * The schools of practice as data: what each aims at, what it weighs more or less than an even hand would, and what it
 * wishes for, at which price. Nothing a school wishes is a wall: a picture it would destroy outbids it.
 */
export interface SchoolHabits {
  aim: ShutterAim;
  /** Against an even 1; what is not named weighs that. */
  weights: Readonly<Partial<Record<TermId, number>>>;
  wishes: SchoolWishes;
  /** The picture is steadied in the edit, at the price of a crop. */
  steadiedInEdit: boolean;
  /** Exposure offset, stops, that the school always sets; `null` leaves it to the light. */
  exposureOffsetStops: number | null;
}

/** The shutter a school aims at. */
export interface ShutterAim {
  /** Of the frames shown, degrees. */
  angleDeg: number;
  /** Stops around it that still count as it. */
  withinStops: number;
  /** The shake floor where that is shorter. */
  orShakeFloor: boolean;
}

/**
 * What a school wishes for beside its aim and weights, each with the price its followers would pay to keep it, on the
 * scale of the losses. Whatever breaks a wish pays its price, pinned or not; so a wish yields exactly where keeping it
 * costs more, and no pin makes a score better.
 */
export interface SchoolWishes {
  stabilization?: { among: readonly Stabilization[]; price: Estimate };
  shutterMode?: { mode: 'fixed' | 'auto'; price: Estimate };
  /** Shutter angle from…to, degrees of the frames shown. */
  angle?: { fromDeg: number; toDeg: number; price: Estimate };
  /** No shutter longer than the shake floor of the view. */
  withinShakeFloor?: { price: Estimate };
  /** No shutter that stands where the light leaves it, and where the camera would have kept the light by running it. */
  lightKept?: { price: Estimate };
  /** Nothing in front of the lens. */
  noFilter?: { price: Estimate };
  /** Stops between the ends of the ISO window, each more at its price. */
  isoSpan?: { stops: number; price: Estimate };
  /** Highest ISO, each stop above at its price. */
  isoMax?: { iso: number; price: Estimate };
}

const STEADIED: readonly Stabilization[] = ['standard', 'strong', 'levelHold', 'rollHold'];

/** Every school's: a look that holds is worth nothing on a picture that does not. */
const lightKept = {
  price: start(5, 'what a running shutter would have kept nobody forgives to a still look'),
};

export const SCHOOL_HABITS = {
  weigh: {
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: false },
    weights: {},
    wishes: { lightKept },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  film: {
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: false },
    // Frames that are never shown halve the shown angle, which is what this school will not have.
    weights: { angle: 2, cadence: 5, over: 1.5, smear: 0.7 },
    wishes: {
      lightKept,
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
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: true },
    weights: { smear: 1.2, filter: 2, strobing: 0.5 },
    wishes: {
      lightKept,
      stabilization: {
        among: STEADIED,
        price: start(1.5, 'a still picture is what the short shutter is for'),
      },
      shutterMode: {
        mode: 'fixed',
        price: start(
          0.4,
          'the floor is known before the run: a running shutter is needed only for light that will not fit',
        ),
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
    aim: { angleDeg: 105, withinStops: 0.21, orShakeFloor: false },
    weights: { filter: 1.3 },
    wishes: {
      lightKept,
      stabilization: { among: STEADIED, price: start(1, 'a little blur and a steadied picture go together') },
      shutterMode: {
        mode: 'fixed',
        price: start(0.3, 'set once for sun and shade, as far as the window does the rest'),
      },
      angle: {
        fromDeg: 90,
        toDeg: 120,
        price: start(0.7, 'between natural and crisp is the point; sun and shade come first'),
      },
      isoMax: { iso: 800, price: start(0.2, 'grain above 800 spoils what the rest has won') },
    },
    steadiedInEdit: false,
    exposureOffsetStops: null,
  },
  post: {
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: true },
    // The evening in the edit is what this school is; what it gives up is counted in pixels.
    weights: { smear: 1.2, viewWide: 0.2, card: 0.8, bitRate: 1.3, editCrop: 0 },
    wishes: {
      lightKept,
      stabilization: {
        among: ['off'],
        price: start(2, 'steadied twice, the picture warps: motion data wants the frame as it fell'),
      },
      shutterMode: {
        mode: 'fixed',
        price: start(0.4, 'blur that comes and goes is work in the edit; a white sky is past all work'),
      },
    },
    steadiedInEdit: true,
    exposureOffsetStops: null,
  },
  handsOff: {
    aim: { angleDeg: 180, withinStops: 0, orShakeFloor: false },
    weights: { angle: 0.4, drift: 0.3, strobing: 0.7 },
    wishes: {
      lightKept,
      stabilization: { among: STEADIED, price: start(1.5, 'whatever comes is held') },
      shutterMode: { mode: 'auto', price: start(3, 'the camera follows light that nobody can reach it in') },
      noFilter: { price: start(2, 'nothing in front of the lens is left to forget or to lose') },
    },
    steadiedInEdit: false,
    exposureOffsetStops: -0.5,
  },
} as const satisfies Record<string, SchoolHabits>;

/** A school that stands ready. */
type ReadySchool = keyof typeof SCHOOL_HABITS;
export const READY_SCHOOLS = Object.keys(SCHOOL_HABITS) as [ReadySchool, ...ReadySchool[]];

/** A school of practice, or the person's own: weights that were fitted to what their eye prefers. */
export type SchoolId = ReadySchool | 'mine';
export const SCHOOL_IDS: readonly [SchoolId, ...SchoolId[]] = [...READY_SCHOOLS, 'mine'];

/** What a person's own eye weighs, against an even 1; what is not named weighs that. */
export type OwnWeights = Readonly<Partial<Record<TermId, number>>>;
