import type { Caution } from './cautions';
import type { Ground, MountKind, MountPlace } from './mounts';

/** What a person does, in the order in which they meet it. */
export const ACTIVITIES = [
  'still',
  'walking',
  'running',
  'riding',
  'paddling',
  'climbing',
  'skating',
  'surfing',
  'driving',
  'flying',
  'playing',
] as const;
export type Activity = (typeof ACTIVITIES)[number];

/** The drawn places that the preview can show. */
export const SCENERIES = ['gorge', 'trail', 'lake', 'road', 'rock', 'hall', 'hut'] as const;
export type Scenery = (typeof SCENERIES)[number];

/** What a second camera is for: it rides along, shows speed, shows the person, or shows where it is. */
export const ROLES = ['wide', 'near', 'reverse', 'surroundings'] as const;
export type Role = (typeof ROLES)[number];

/** Where a second camera rides. Metres, degrees; a subject may pass at the speed of travel. */
export interface AnglePlace {
  kind: MountKind;
  place?: MountPlace;
  nearestM?: number;
  pitchDeg?: number;
  subject?: { speedMps: number | 'travel'; distanceM: number; sizeM: number };
}

/** The whole record of an activity; all figures are starting estimates. */
interface ActivityHabits {
  /** Usual travelling speed, metres per second. */
  travelMps: number;
  /** AVC-equivalent bits per pixel and frame at which coding starts to show, by how fine and fast the texture is. */
  bitsPerPixel: number;
  /** Steps a second that set the rhythm of a body on foot. */
  stepHz: number | null;
  /** Mounts whose shake this activity sets, whatever the ground, deg/s rms. */
  shake: Readonly<Partial<Record<MountKind, number>>>;
  cautions: readonly Caution[];
  /** What a person usually wears for it, and on what ground. */
  usual: { kind: MountKind; ground: Ground };
  /** What the preview draws by day, under lamps, and by day from a tripod. */
  scenery: { day: Scenery; lamplit: Scenery; onTripod: Scenery };
  /** Where a second camera of each role rides. */
  angles: Readonly<Record<Role, AnglePlace>>;
}

const ME = { speedMps: 0.5, distanceM: 1.2, sizeM: 0.9 };
const passing = (distanceM: number): NonNullable<AnglePlace['subject']> => ({
  speedMps: 'travel',
  distanceM,
  sizeM: 2,
});

export const ACTIVITY_HABITS: Readonly<Record<Activity, ActivityHabits>> = {
  still: {
    travelMps: 0,
    bitsPerPixel: 0.08,
    stepHz: null,
    shake: { helmet: 5, cap: 5, chest: 4, shoulder: 5, hand: 5, handle: 2 },
    cautions: [],
    usual: { kind: 'hand', ground: 'smooth' },
    scenery: { day: 'trail', lamplit: 'hut', onTripod: 'trail' },
    angles: {
      wide: { kind: 'hand' },
      near: { kind: 'handle', nearestM: 0.5 },
      reverse: { kind: 'hand', subject: { ...ME, speedMps: 0.2, distanceM: 0.8 } },
      surroundings: { kind: 'tripod', subject: passing(8) },
    },
  },
  walking: {
    travelMps: 1.4,
    bitsPerPixel: 0.12,
    stepHz: 1.9,
    shake: { helmet: 15, cap: 15, chest: 20, shoulder: 25, hand: 15, handle: 6 },
    cautions: [],
    usual: { kind: 'hand', ground: 'mixed' },
    scenery: { day: 'trail', lamplit: 'hut', onTripod: 'trail' },
    angles: {
      wide: { kind: 'chest' },
      near: { kind: 'groundStand', nearestM: 0.4, subject: passing(1) },
      reverse: { kind: 'hand', subject: ME },
      surroundings: { kind: 'tripod', subject: passing(10) },
    },
  },
  running: {
    travelMps: 3.5,
    bitsPerPixel: 0.16,
    stepHz: 2.8,
    shake: { helmet: 35, cap: 35, chest: 60, shoulder: 80, hand: 40, handle: 12 },
    cautions: [],
    usual: { kind: 'chest', ground: 'mixed' },
    scenery: { day: 'trail', lamplit: 'hall', onTripod: 'trail' },
    angles: {
      wide: { kind: 'helmet' },
      near: { kind: 'groundStand', nearestM: 0.5, subject: passing(1.2) },
      reverse: { kind: 'hand', subject: ME },
      surroundings: { kind: 'tripod', subject: passing(8) },
    },
  },
  riding: {
    travelMps: 6,
    bitsPerPixel: 0.2,
    stepHz: null,
    shake: {},
    cautions: [],
    usual: { kind: 'helmet', ground: 'rough' },
    scenery: { day: 'trail', lamplit: 'hall', onTripod: 'trail' },
    angles: {
      wide: { kind: 'chest' },
      near: { kind: 'handlebar', nearestM: 0.6 },
      reverse: { kind: 'backPole', subject: { ...ME, distanceM: 1.6 } },
      surroundings: { kind: 'groundStand', nearestM: 0.6, subject: passing(2.5) },
    },
  },
  paddling: {
    travelMps: 3,
    bitsPerPixel: 0.22,
    stepHz: null,
    shake: {},
    cautions: ['waterSeals'],
    usual: { kind: 'helmet', ground: 'rough' },
    scenery: { day: 'gorge', lamplit: 'hall', onTripod: 'gorge' },
    angles: {
      wide: { kind: 'helmet' },
      near: { kind: 'hull', nearestM: 0.5 },
      reverse: { kind: 'hull', subject: ME },
      surroundings: { kind: 'tripod', subject: passing(9) },
    },
  },
  climbing: {
    travelMps: 0.5,
    bitsPerPixel: 0.14,
    stepHz: null,
    shake: {},
    cautions: ['ropeFree'],
    usual: { kind: 'helmet', ground: 'mixed' },
    scenery: { day: 'rock', lamplit: 'hall', onTripod: 'rock' },
    angles: {
      wide: { kind: 'helmet' },
      near: { kind: 'wrist', nearestM: 0.3 },
      reverse: { kind: 'backPole', subject: { ...ME, distanceM: 1.6 } },
      surroundings: { kind: 'tripod', subject: passing(12) },
    },
  },
  skating: {
    travelMps: 6,
    bitsPerPixel: 0.16,
    stepHz: null,
    shake: {},
    cautions: ['jumpImpacts'],
    usual: { kind: 'chest', ground: 'smooth' },
    scenery: { day: 'lake', lamplit: 'hall', onTripod: 'hall' },
    angles: {
      wide: { kind: 'helmet' },
      near: { kind: 'wrist', nearestM: 0.5, pitchDeg: 20 },
      reverse: { kind: 'pole', subject: { ...ME, distanceM: 1.6 } },
      surroundings: { kind: 'groundStand', nearestM: 0.8, subject: passing(3) },
    },
  },
  surfing: {
    travelMps: 6,
    bitsPerPixel: 0.22,
    stepHz: null,
    shake: {},
    cautions: ['waterSeals'],
    usual: { kind: 'board', ground: 'rough' },
    scenery: { day: 'gorge', lamplit: 'hall', onTripod: 'gorge' },
    angles: {
      wide: { kind: 'bite' },
      near: { kind: 'board', nearestM: 0.4 },
      reverse: { kind: 'board', subject: ME },
      surroundings: { kind: 'tripod', subject: passing(25) },
    },
  },
  driving: {
    travelMps: 15,
    bitsPerPixel: 0.16,
    stepHz: null,
    shake: {},
    cautions: ['neverOperateDriving'],
    usual: { kind: 'vehicleInside', ground: 'smooth' },
    scenery: { day: 'road', lamplit: 'hall', onTripod: 'road' },
    angles: {
      wide: { kind: 'vehicleInside' },
      near: { kind: 'vehicleOutside', nearestM: 0.7 },
      reverse: { kind: 'vehicleInside', place: 'inwards', subject: { ...ME, distanceM: 0.8 } },
      surroundings: { kind: 'groundStand', nearestM: 1, subject: passing(5) },
    },
  },
  flying: {
    travelMps: 12,
    bitsPerPixel: 0.16,
    stepHz: null,
    shake: {},
    cautions: [],
    usual: { kind: 'helmet', ground: 'smooth' },
    scenery: { day: 'trail', lamplit: 'hall', onTripod: 'trail' },
    angles: {
      wide: { kind: 'helmet' },
      near: { kind: 'vehicleOutside', nearestM: 1 },
      reverse: { kind: 'pole', subject: { ...ME, distanceM: 1.8 } },
      surroundings: { kind: 'drone', subject: passing(20) },
    },
  },
  playing: {
    travelMps: 2,
    bitsPerPixel: 0.14,
    stepHz: null,
    shake: {},
    cautions: ['othersFilmed'],
    usual: { kind: 'tripod', ground: 'smooth' },
    scenery: { day: 'trail', lamplit: 'hall', onTripod: 'hall' },
    angles: {
      wide: { kind: 'chest' },
      near: { kind: 'groundStand', nearestM: 0.6, subject: passing(1.5) },
      reverse: { kind: 'hand', subject: ME },
      surroundings: { kind: 'tripod', subject: passing(10) },
    },
  },
};
