import type { Caution } from './cautions';
import type { GearKind } from './gear';

/** Where a camera is worn or fixed, in the order in which a person meets them. */
export const MOUNT_KINDS = [
  'helmet',
  'cap',
  'bite',
  'chest',
  'shoulder',
  'wrist',
  'hand',
  'handle',
  'pole',
  'backPole',
  'handlebar',
  'hull',
  'board',
  'vehicleInside',
  'vehicleOutside',
  'rail',
  'railBack',
  'tripod',
  'groundStand',
  'drone',
] as const;
export type MountKind = (typeof MOUNT_KINDS)[number];

/** Where on the helmet, how long the pole, and which way it looks in a vehicle. */
export const MOUNT_PLACES = ['front', 'top', 'side', 'long', 'short', 'outwards', 'inwards'] as const;
export type MountPlace = (typeof MOUNT_PLACES)[number];

/** What rolls or is trodden under it. */
export const GROUNDS = ['smooth', 'mixed', 'rough'] as const;
export type Ground = (typeof GROUNDS)[number];

/** What to mind about weight, snagging and fit. */
export const MOUNT_NOTES = [
  'weightPulls',
  'weightSwings',
  'straps',
  'standsProud',
  'buzzes',
  'followsGaze',
  'followsBody',
  'slipsRound',
  'spray',
  'glass',
  'backlit',
  'wind',
  'reach',
  'trodden',
  'recoil',
] as const;
export type MountNote = (typeof MOUNT_NOTES)[number];

/** What a mount usually gives at one of its places. Metres, degrees, degrees a second. */
export interface MountHabits {
  /** Least horizontal view that still tells the ride. */
  leastViewDeg: number;
  /** View beyond which the edges bend faces and hands. */
  mostViewDeg: number;
  /** Side distance of the nearest things. */
  nearestM: number;
  /** Usual turning of the camera. */
  panDegPerS: number;
  /** Looks at the person, against the line of travel. */
  looksBack: boolean;
  /** Films through a pane whose perpendicular stands this far from the axis; `null`: through none. */
  glassDeg: number | null;
  /** Pointed at what is filmed, and not worn: a subject, where there is one, says how much to show. */
  aimed: boolean;
  /** Share of the frame that moves with the camera: cabin, cockpit, bow. */
  ridesAlong: number;
  /** Stands on its own feet: no travel unless the person says so. */
  stands: boolean;
  /** Camera above the ground. */
  heightM: number;
  /** Looks this far below the horizon. */
  pitchDeg: number;
  /** Where a subject usually is. */
  subjectM: { from: number; to: number };
  /** How far off level it usually ends up. */
  tiltRiskDeg: number;
  upsideDown: 'never' | 'sometimes' | 'usually';
  notes: readonly MountNote[];
  cautions: readonly Caution[];
  inTheWay: readonly InTheWay[];
}

/**
 * The whole record of a mount: starting estimates, one table, which a person's own figures replace shot by shot. Words
 * for it stand in the catalogue of labels.
 */
export interface Mount extends MountHabits {
  /** Shake, deg/s rms, on each ground (start); `mixed` stands between the two where only the ends are known. */
  shake: Readonly<Record<Ground, number>>;
  /** What is bolted down buzzes as well (start). */
  buzz: Buzz | null;
  /** Places on it, the usual one first: what differs there, and how the shake changes. */
  places: Readonly<Partial<Record<MountPlace, Partial<MountHabits> & { shakeFactor: number }>>>;
  /** The usual other ways to wear or fix a camera instead of this one. */
  others: readonly MountKind[];
}

/** A band of hertz, and its share of the power of the shake, 0…1. */
interface Buzz {
  lowHz: number;
  highHz: number;
  share: number;
}

/** A thing in front of the lens: a rounded bar between two points, x right, y down, z ahead of the camera, metres. */
export interface InTheWay {
  what: GearKind;
  from: readonly [number, number, number];
  to: readonly [number, number, number];
  thickM: number;
}

type Bar = InTheWay['from'];
const bar = (what: GearKind, from: Bar, to: Bar, thickM: number): InTheWay => ({ what, from, to, thickM });
const both = (what: GearKind, [x, y, z]: Bar, [toX, toY, toZ]: Bar, thickM: number): InTheWay[] =>
  [1, -1].map((side) => bar(what, [side * x, y, z], [side * toX, toY, toZ], thickM));

const hands = both('hands', [0.3, 0.36, 0.3], [0.2, 0.3, 0.66], 0.1);

type ByGround = readonly [smooth: number, mixed: number, rough: number];
const level = (rate: number): ByGround => [rate, rate, rate];

/**
 * A mount that stands free, looks level and has nothing in its way, except as said. The shake of a head, walking to
 * running, follows Grossman et al. 1988, Exp. Brain Res. 70 (peaks under 170 °/s); all other figures are starting
 * estimates which the logbook corrects.
 */
const mount = (
  [leastViewDeg, mostViewDeg]: readonly [number, number],
  nearestM: number,
  panDegPerS: number,
  heightM: number,
  [smooth, mixed, rough]: ByGround,
  rest: Partial<Mount> = {},
): Mount => ({
  leastViewDeg,
  mostViewDeg,
  nearestM,
  panDegPerS,
  heightM,
  shake: { smooth, mixed, rough },
  buzz: null,
  stands: false,
  looksBack: false,
  glassDeg: null,
  aimed: false,
  ridesAlong: 0,
  pitchDeg: 0,
  subjectM: { from: 1, to: 20 },
  tiltRiskDeg: 2,
  upsideDown: 'never',
  notes: [],
  cautions: [],
  inTheWay: [],
  places: {},
  others: ['helmet', 'chest'],
  ...rest,
});

export const MOUNTS: Readonly<Record<MountKind, Mount>> = {
  helmet: mount([90, 120], 1.5, 60, 1.75, [20, 30, 40], {
    pitchDeg: 8,
    tiltRiskDeg: 3,
    upsideDown: 'sometimes',
    notes: ['followsGaze', 'weightPulls', 'standsProud'],
    cautions: ['snag'],
    inTheWay: hands,
    places: {
      front: { shakeFactor: 1 },
      top: { shakeFactor: 1.1, heightM: 1.85, pitchDeg: 14, notes: ['followsGaze', 'standsProud'] },
      side: {
        shakeFactor: 1.1,
        tiltRiskDeg: 6,
        notes: ['followsGaze', 'weightPulls', 'standsProud'],
        inTheWay: [...hands, bar('brim', [-0.12, -0.05, 0], [-0.1, 0.05, 0.1], 0.08)],
      },
    },
    others: ['chest', 'pole'],
  }),
  cap: mount([85, 120], 1.5, 60, 1.75, [22, 33, 45], {
    pitchDeg: 8,
    tiltRiskDeg: 5,
    notes: ['followsGaze', 'slipsRound'],
    inTheWay: [...hands, bar('brim', [-0.09, -0.06, 0.1], [0.09, -0.06, 0.1], 0.015)],
  }),
  bite: mount([90, 130], 1, 50, 1.65, level(35), {
    pitchDeg: 4,
    tiltRiskDeg: 4,
    notes: ['followsGaze', 'weightPulls'],
    cautions: ['letGoInFall'],
    inTheWay: hands,
  }),
  chest: mount([100, 150], 0.8, 40, 1.35, [25, 35, 50], {
    pitchDeg: -12,
    tiltRiskDeg: 5,
    upsideDown: 'sometimes',
    notes: ['followsBody', 'straps'],
    cautions: ['hotOnSkin'],
    inTheWay: both('hands', [0.28, 0.05, 0.15], [0.2, 0.12, 0.55], 0.1),
    others: ['helmet', 'handlebar'],
  }),
  shoulder: mount([85, 120], 1, 45, 1.5, [30, 42, 60], {
    tiltRiskDeg: 8,
    notes: ['followsBody', 'straps', 'weightSwings'],
    inTheWay: [bar('head', [-0.2, -0.12, 0.02], [-0.2, 0.02, 0.02], 0.2)],
  }),
  wrist: mount([90, 150], 0.6, 90, 1.1, [50, 60, 80], {
    pitchDeg: -20,
    tiltRiskDeg: 20,
    upsideDown: 'sometimes',
    notes: ['weightSwings'],
    cautions: ['hotOnSkin'],
    inTheWay: [bar('hands', [0.02, 0.06, 0.06], [0.02, 0.07, 0.2], 0.09)],
  }),
  hand: mount([70, 112], 1, 45, 1.5, [15, 20, 30], {
    aimed: true,
    tiltRiskDeg: 4,
    subjectM: { from: 0.6, to: 10 },
    others: ['handle', 'tripod'],
  }),
  handle: mount([60, 112], 1.5, 30, 1.3, [6, 8, 12], {
    aimed: true,
    tiltRiskDeg: 1,
    notes: ['weightPulls'],
    subjectM: { from: 1, to: 10 },
  }),
  pole: mount([90, 150], 1, 40, 2.2, level(30), {
    pitchDeg: 15,
    tiltRiskDeg: 5,
    notes: ['weightSwings', 'reach'],
    subjectM: { from: 1.5, to: 6 },
    inTheWay: [bar('arm', [0.02, 0.1, 0.15], [0.06, 0.48, 0.9], 0.03)],
    places: {
      long: { shakeFactor: 1 },
      short: { shakeFactor: 0.7, heightM: 1.8, subjectM: { from: 0.6, to: 3 }, notes: ['reach'] },
    },
    others: ['backPole', 'helmet'],
  }),
  backPole: mount([95, 150], 1.2, 40, 2.6, level(30), {
    pitchDeg: 25,
    tiltRiskDeg: 5,
    notes: ['weightSwings', 'straps', 'reach'],
    subjectM: { from: 1, to: 3 },
    cautions: ['snag'],
    inTheWay: [
      bar('head', [0, 0.44, 0.8], [0, 0.32, 0.8], 0.2),
      bar('head', [-0.24, 0.6, 0.8], [0.24, 0.6, 0.8], 0.22),
    ],
  }),
  handlebar: mount([90, 130], 0.8, 40, 1.05, [40, 80, 120], {
    buzz: { lowHz: 8, highHz: 22, share: 0.5 },
    tiltRiskDeg: 3,
    upsideDown: 'usually',
    notes: ['buzzes'],
    inTheWay: [
      bar('bar', [-0.36, 0.06, 0.12], [0.36, 0.06, 0.12], 0.035),
      bar('bar', [0, 0.25, 0.35], [0, 0.6, 0.55], 0.1),
    ],
  }),
  hull: mount([95, 150], 0.8, 40, 0.4, [15, 20, 30], {
    tiltRiskDeg: 4,
    notes: ['spray'],
    subjectM: { from: 0.8, to: 2 },
    cautions: ['secondTether', 'cleanSuction'],
    inTheWay: [bar('bow', [0, 0.14, 0.1], [0, 0.1, 1.1], 0.28)],
    others: ['helmet', 'board'],
  }),
  board: mount([95, 150], 0.6, 50, 0.3, [20, 28, 40], {
    buzz: { lowHz: 6, highHz: 18, share: 0.3 },
    pitchDeg: -10,
    tiltRiskDeg: 4,
    notes: ['spray'],
    subjectM: { from: 0.6, to: 2 },
    cautions: ['secondTether', 'cleanSuction'],
    inTheWay: [bar('board', [0, 0.12, 0.05], [0, 0.14, 1.4], 0.4)],
  }),
  vehicleInside: mount([70, 110], 2, 20, 1.3, [5, 9, 15], {
    buzz: { lowHz: 8, highHz: 20, share: 0.4 },
    ridesAlong: 0.4,
    notes: ['glass', 'buzzes'],
    cautions: ['neverOperateDriving', 'windscreenClear', 'cleanSuction'],
    inTheWay: [bar('dash', [-0.8, 0.26, 0.5], [0.8, 0.26, 0.5], 0.2)],
    places: {
      // A windscreen leans back by about sixty degrees.
      outwards: { shakeFactor: 1, glassDeg: 60 },
      inwards: {
        shakeFactor: 1,
        leastViewDeg: 80,
        mostViewDeg: 130,
        nearestM: 0.5,
        looksBack: true,
        ridesAlong: 0.7,
        pitchDeg: 5,
        subjectM: { from: 0.5, to: 1.2 },
        notes: ['backlit', 'buzzes'],
        inTheWay: [],
      },
    },
  }),
  vehicleOutside: mount([70, 110], 1.5, 20, 0.9, [5, 10, 18], {
    buzz: { lowHz: 10, highHz: 28, share: 0.5 },
    notes: ['wind', 'buzzes', 'standsProud'],
    cautions: ['neverOperateDriving', 'secondTether', 'cleanSuction'],
    inTheWay: [bar('bonnet', [-0.8, 0.35, 0.5], [0.8, 0.35, 0.5], 0.25)],
  }),
  rail: mount([25, 70], 5, 30, 1.5, level(10), {
    aimed: true,
    buzz: { lowHz: 6, highHz: 16, share: 0.3 },
    notes: ['recoil', 'weightPulls'],
    subjectM: { from: 8, to: 50 },
    cautions: ['eyeProtection'],
    inTheWay: [bar('rail', [0, 0.07, 0.05], [0, 0.06, 0.7], 0.04)],
  }),
  railBack: mount([70, 120], 0.6, 30, 1.5, level(10), {
    buzz: { lowHz: 6, highHz: 16, share: 0.3 },
    looksBack: true,
    notes: ['recoil'],
    subjectM: { from: 0.3, to: 0.8 },
    cautions: ['eyeProtection'],
    inTheWay: [bar('rail', [0.02, 0.06, 0.04], [0.05, 0.08, 0.4], 0.04)],
  }),
  tripod: mount([40, 115], 3, 0, 1.4, level(0.1), {
    aimed: true,
    stands: true,
    tiltRiskDeg: 1,
    subjectM: { from: 2, to: 30 },
    others: ['groundStand', 'handle'],
  }),
  groundStand: mount([60, 120], 1, 0, 0.15, level(0.1), {
    aimed: true,
    stands: true,
    pitchDeg: -5,
    tiltRiskDeg: 3,
    notes: ['trodden', 'spray'],
    subjectM: { from: 1, to: 8 },
  }),
  drone: mount([60, 100], 8, 30, 12, level(15), {
    aimed: true,
    buzz: { lowHz: 20, highHz: 60, share: 0.4 },
    pitchDeg: 15,
    notes: ['wind', 'buzzes'],
    subjectM: { from: 5, to: 60 },
    cautions: ['droneRules'],
    inTheWay: both('rotors', [0.14, -0.05, 0.02], [0.14, -0.05, 0.2], 0.03),
  }),
};

/** The places on a mount, the usual first; none where it has none. */
export function placesOf(kind: MountKind): MountPlace[] {
  return Object.keys(MOUNTS[kind].places) as MountPlace[];
}

/** A mount as it is at this place. */
export function habitsOf(kind: MountKind, place?: MountPlace): MountHabits {
  const differs = place === undefined ? undefined : MOUNTS[kind].places[place];
  return differs ? { ...MOUNTS[kind], ...differs } : MOUNTS[kind];
}
