import type { SchoolId } from '../vocabulary/schools';
import type { ShotInput } from '../records/shot';
import type { Settings } from '../records/settings';
import type { NamedShot } from './tenShots';

/**
 * Sixty briefs, each with what a practised filmer sets for it: written down before any of them was solved, as spans within
 * which practice does not argue. A third of the bags are empty, as most bags are.
 */
export interface FilmedBrief extends NamedShot {
  as: AsFilmed;
}

/** What practice sets. Left out: it does not matter here, or practice parts on it. */
export interface AsFilmed {
  fps: readonly number[];
  /** The longest and the shortest shutter, as denominators: what is fixed stands between them, what floats meets them. */
  shutter?: readonly [longest: number, shortest: number];
  /** Shutter or ISO moves with the light by at least so many stops together, or by no more. */
  floats?: { atLeast?: number; atMost?: number };
  /** Stops of filter in front. */
  glass?: readonly [least: number, most: number];
  /** The highest ISO that may be reached. */
  isoTo?: readonly [least: number, most: number];
  hold?: readonly Settings['stabilization'][];
  /** A lock between these, kelvin; with `auto` an automatic will do as well. */
  kelvin?: readonly [low: number, high: number] | 'auto';
  orAuto?: true;
  /** The ends of the light may stand outside the window by so much, stops; where nothing is said 0.35 over and 0.7 under. */
  over?: number;
  under?: number;
}

const nd = (...factors: number[]): NonNullable<ShotInput['filters']> =>
  factors.map((factor) => ({ id: `nd${factor}`, kind: 'nd', stops: Math.round(Math.log2(factor)) }));
const EMPTY: NonNullable<ShotInput['filters']> = [];
const SOME = nd(8, 16, 32);
const FULL = nd(4, 8, 16, 32, 64);
const ev = (evMin: number, evMax = evMin): NonNullable<ShotInput['light']> => ({
  kind: 'range',
  evMin,
  evMax,
});
const scene = (
  from: Extract<NonNullable<ShotInput['light']>, { kind: 'scene' }>['from'],
  to?: Extract<NonNullable<ShotInput['light']>, { kind: 'scene' }>['from'],
): NonNullable<ShotInput['light']> => ({ kind: 'scene', from, ...(to ? { to } : {}) });
type Mount = NonNullable<ShotInput['mount']>;
const on = (
  kind: NonNullable<Mount['kind']>,
  activity: NonNullable<Mount['activity']>,
  ground: NonNullable<Mount['ground']> = 'mixed',
  rest: Partial<Mount> = {},
): Mount => ({ kind, activity, ground, ...rest });

const DAY: readonly [number, number] = [5000, 6000];
const CLOUD: readonly [number, number] = [5600, 7200];
const SHADE: readonly [number, number] = [5800, 8500];
const STEADY = ['standard', 'strong', 'levelHold', 'rollHold'] as const;
const REAL = [25, 30, 50, 60];

const brief = (
  name: string,
  mount: Mount,
  light: NonNullable<ShotInput['light']>,
  filters: NonNullable<ShotInput['filters']>,
  as: AsFilmed,
  rest: Partial<NamedShot['shot']> = {},
): FilmedBrief => ({ name, shot: { mount, light, filters, ...rest }, as });

/** Nothing in the bag, out of doors: the shutter is left to the light, at base ISO, and nothing is nailed. */
const bare = (rest: Partial<AsFilmed> = {}): AsFilmed => ({
  fps: REAL,
  floats: { atLeast: 1 },
  glass: [0, 0],
  isoTo: [100, 800],
  kelvin: DAY,
  orAuto: true,
  ...rest,
});
const slow = (slowdown: number): Partial<NamedShot['shot']> => ({ playback: { slowdown } });
const school = (id: NonNullable<NonNullable<ShotInput['look']>['school']>): Partial<NamedShot['shot']> => ({
  look: { school: id },
});
const NO_LAMPS: Partial<NamedShot['shot']> = { limits: { lamps: 'none' } };

export const FILMED_BRIEFS: readonly FilmedBrief[] = [
  // The empty bag, twenty times.
  brief(
    'Commute on a cargo bike, noon',
    on('chest', 'riding', 'smooth'),
    ev(15),
    EMPTY,
    bare({ hold: STEADY }),
  ),
  brief(
    'Gravel lane under thin cloud',
    on('helmet', 'riding'),
    ev(13.5, 14.5),
    EMPTY,
    bare({ hold: STEADY }),
  ),
  brief(
    'Farm track, low grey sky',
    on('chest', 'riding'),
    ev(11),
    EMPTY,
    bare({ kelvin: CLOUD, hold: STEADY }),
  ),
  brief('Canoe across the lake, sun and reeds', on('hull', 'paddling', 'smooth'), ev(12, 15), EMPTY, bare()),
  brief(
    'Nursery slope, snow in full sun',
    on('helmet', 'skating'),
    scene('snowSun'),
    EMPTY,
    bare({ hold: STEADY }),
  ),
  brief('Chess in the park, even cloud', on('tripod', 'still', 'smooth'), ev(13), EMPTY, {
    fps: [25, 30],
    glass: [0, 0],
    isoTo: [100, 800],
    kelvin: CLOUD,
    orAuto: true,
  }),
  brief('Drone over the harvest, noon', on('drone', 'flying'), ev(15), EMPTY, bare()),
  brief(
    'Walk and talk on the beach',
    on('pole', 'walking', 'mixed', { place: 'short' }),
    ev(14, 15),
    EMPTY,
    bare({ hold: STEADY }),
    {
      motion: { subject: { speedMps: 0, distanceM: 0.8, sizeM: 0.5, sideM: 0 } },
    },
  ),
  brief(
    'Cobbles by handlebar, open shade',
    on('handlebar', 'riding', 'rough'),
    ev(12),
    EMPTY,
    bare({ kelvin: SHADE, shutter: [250, 2000], hold: STEADY }),
  ),
  brief('Longboard wave, midday', on('board', 'surfing'), ev(15), EMPTY, bare()),
  brief(
    'Parkrun by phone, grey',
    on('hand', 'running'),
    ev(12),
    EMPTY,
    bare({ kelvin: CLOUD, hold: STEADY }),
    { camera: { archetype: 'phone' } },
  ),
  brief(
    'Boulder problem in light wood',
    on('chest', 'climbing'),
    ev(10.5, 11.5),
    EMPTY,
    bare({ kelvin: SHADE, shutter: [100, 500] }),
  ),
  brief(
    'Ice skates on the pond, bright cloud',
    on('helmet', 'skating', 'smooth'),
    ev(13, 14),
    EMPTY,
    bare({ kelvin: CLOUD, hold: STEADY }),
  ),
  brief('Wrist on the paddle, sun', on('wrist', 'paddling'), ev(15), EMPTY, bare({ hold: STEADY })),
  brief(
    'Through the windscreen, sun and cloud',
    on('vehicleInside', 'driving', 'smooth'),
    ev(13, 15),
    EMPTY,
    bare(),
  ),
  brief('Roof rack on the coast road', on('vehicleOutside', 'driving', 'smooth'), ev(15), EMPTY, bare()),
  brief(
    'Kickflip, slowed four times',
    on('groundStand', 'skating', 'smooth'),
    ev(14),
    EMPTY,
    bare({ fps: [100, 120] }),
    slow(4),
  ),
  brief('Bottom turn, slowed twice', on('board', 'surfing'), ev(15), EMPTY, bare({ fps: [50, 60] }), slow(2)),
  brief(
    'Beech wood path at a run',
    on('chest', 'running'),
    ev(9, 11),
    EMPTY,
    bare({ kelvin: SHADE, shutter: [60, 500], isoTo: [400, 800] }),
  ),
  brief(
    'Riders pass a ground stand, bright cloud',
    on('groundStand', 'riding'),
    ev(13),
    EMPTY,
    bare({ kelvin: CLOUD }),
  ),

  // With glass, by day.
  brief('Smooth road, sun, all glass', on('helmet', 'riding', 'smooth'), ev(15), FULL, {
    fps: [25, 30],
    glass: [3, 6],
    shutter: [50, 240],
    isoTo: [100, 800],
    hold: STEADY,
    kelvin: DAY,
    orAuto: true,
  }),
  brief('Rough trail, sun, all glass', on('helmet', 'riding', 'rough'), ev(14, 15), FULL, {
    fps: REAL,
    glass: [2, 5],
    shutter: [120, 500],
    isoTo: [100, 800],
    hold: STEADY,
    kelvin: DAY,
    orAuto: true,
  }),
  brief('Sun into open wood, all glass', on('helmet', 'riding', 'rough'), ev(11, 15), FULL, {
    fps: REAL,
    glass: [0, 3],
    floats: { atLeast: 2 },
    isoTo: [200, 800],
    hold: STEADY,
    kelvin: [5000, 6800],
    orAuto: true,
    under: 1,
  }),
  brief('Waterfall from a tripod, shade', on('tripod', 'still', 'smooth'), ev(11), FULL, {
    fps: [25, 30],
    glass: [2, 3],
    shutter: [30, 60],
    isoTo: [100, 800],
    hold: ['off'],
    kelvin: SHADE,
    orAuto: true,
  }),
  brief('Market from a heavy handle, sun', on('handle', 'walking', 'smooth'), ev(15), FULL, {
    fps: [25, 30],
    glass: [5, 6],
    shutter: [48, 100],
    isoTo: [100, 800],
    kelvin: DAY,
    orAuto: true,
  }),
  brief('Car bonnet, smooth road, sun', on('vehicleOutside', 'driving', 'smooth'), ev(15), FULL, {
    fps: [25, 30],
    glass: [4, 6],
    shutter: [48, 160],
    isoTo: [100, 800],
    kelvin: DAY,
    orAuto: true,
  }),
  brief('River kayak, sun on white water', on('hull', 'paddling', 'rough'), ev(14, 16), SOME, {
    fps: REAL,
    glass: [3, 5],
    shutter: [60, 400],
    isoTo: [100, 800],
    kelvin: DAY,
    orAuto: true,
  }),
  brief('Drone along the ridge, all glass', on('drone', 'flying'), ev(15), FULL, {
    fps: [25, 30],
    glass: [4, 6],
    shutter: [48, 200],
    isoTo: [100, 800],
    kelvin: DAY,
    orAuto: true,
  }),
  brief('Running by handle, bright cloud', on('handle', 'running'), ev(13), FULL, {
    fps: [25, 30],
    glass: [2, 5],
    shutter: [50, 160],
    isoTo: [100, 800],
    kelvin: CLOUD,
    orAuto: true,
  }),
  brief('Chest on the climb, thin cloud', on('chest', 'climbing'), ev(14), SOME, {
    fps: REAL,
    glass: [3, 5],
    shutter: [50, 240],
    isoTo: [100, 800],
    kelvin: [5000, 6500],
    orAuto: true,
  }),
  brief(
    'Bowl ride, slowed twice, sun',
    on('helmet', 'skating', 'smooth'),
    ev(15),
    FULL,
    {
      fps: [50, 60],
      glass: [2, 6],
      shutter: [100, 400],
      isoTo: [100, 800],
      hold: STEADY,
      kelvin: DAY,
      orAuto: true,
    },
    slow(2),
  ),
  brief(
    'Splash, slowed eight times, sun',
    on('groundStand', 'paddling'),
    ev(15),
    FULL,
    { fps: [200, 240], glass: [0, 4], shutter: [400, 2000], isoTo: [100, 800], kelvin: DAY, orAuto: true },
    slow(8),
  ),
  brief('Ski tour, sun and shade', on('chest', 'walking'), ev(13, 16), FULL, {
    fps: REAL,
    glass: [2, 6],
    floats: { atLeast: 1 },
    isoTo: [100, 800],
    kelvin: DAY,
    orAuto: true,
  }),
  brief('Forest road, dappled, all glass', on('handlebar', 'riding', 'smooth'), ev(10, 14), SOME, {
    fps: REAL,
    glass: [0, 3],
    floats: { atLeast: 2 },
    isoTo: [200, 800],
    hold: STEADY,
    kelvin: [5000, 7000],
    orAuto: true,
    under: 1,
  }),
  brief('Overcast trail, one ND8', on('helmet', 'riding', 'rough'), ev(12), nd(8), {
    fps: REAL,
    glass: [0, 0],
    shutter: [120, 600],
    isoTo: [100, 800],
    hold: STEADY,
    kelvin: CLOUD,
    orAuto: true,
  }),
  brief('Overcast road, all glass', on('helmet', 'riding', 'smooth'), ev(12), FULL, {
    fps: [25, 30],
    glass: [0, 3],
    shutter: [50, 240],
    isoTo: [100, 800],
    hold: STEADY,
    kelvin: CLOUD,
    orAuto: true,
  }),
  brief('Gorge in shade by chest', on('chest', 'climbing'), scene('gorgeFloor'), SOME, {
    fps: REAL,
    glass: [0, 0],
    shutter: [60, 250],
    isoTo: [100, 800],
    kelvin: SHADE,
    orAuto: true,
  }),
  brief('Back pole on the ridge, sun', on('backPole', 'walking'), ev(15), FULL, {
    fps: REAL,
    glass: [3, 6],
    shutter: [48, 240],
    isoTo: [100, 800],
    hold: STEADY,
    kelvin: DAY,
    orAuto: true,
  }),

  // The schools, where each is right.
  brief(
    'Film motion on rails of tarmac',
    on('vehicleOutside', 'driving', 'smooth'),
    ev(14),
    FULL,
    {
      fps: [25],
      glass: [4, 6],
      shutter: [48, 52],
      isoTo: [100, 200],
      hold: ['off', 'standard'],
      kelvin: DAY,
      orAuto: true,
    },
    school('film'),
  ),
  brief(
    'Crisp first on roots',
    on('chest', 'riding', 'rough'),
    ev(14),
    FULL,
    {
      fps: REAL,
      glass: [0, 4],
      shutter: [200, 1000],
      isoTo: [100, 800],
      hold: STEADY,
      kelvin: DAY,
      orAuto: true,
    },
    school('crisp'),
  ),
  brief(
    'Middle path, sun and shade',
    on('helmet', 'riding'),
    ev(12, 15),
    FULL,
    {
      fps: REAL,
      glass: [1, 5],
      floats: { atLeast: 1 },
      shutter: [60, 400],
      isoTo: [200, 800],
      hold: STEADY,
      kelvin: [5000, 6500],
      orAuto: true,
      under: 1,
    },
    school('middle'),
  ),
  brief(
    'Hands off all day',
    on('chest', 'walking'),
    ev(10, 15),
    FULL,
    {
      fps: REAL,
      glass: [0, 0],
      floats: { atLeast: 4 },
      isoTo: [400, 800],
      hold: STEADY,
      kelvin: [5000, 6800],
      orAuto: true,
    },
    school('handsOff'),
  ),
  brief(
    'Finish in post, smooth ride',
    on('helmet', 'riding', 'smooth'),
    ev(14),
    FULL,
    { fps: REAL, glass: [2, 6], shutter: [48, 250], hold: ['off'], kelvin: DAY, isoTo: [100, 800] },
    { look: { school: 'post', grade: 'full' } },
  ),

  // Low light and lamps.
  brief('Gym under tubes, 50 Hz', on('tripod', 'playing', 'smooth'), scene('brightHall'), EMPTY, {
    fps: [25, 50],
    glass: [0, 0],
    shutter: [50, 100],
    isoTo: [200, 800],
    kelvin: [3600, 5000],
    orAuto: true,
  }),
  brief(
    'Climbing wall by chest, tubes',
    on('chest', 'climbing'),
    scene('sportsHall'),
    EMPTY,
    {
      fps: [25, 50],
      glass: [0, 0],
      shutter: [50, 100],
      isoTo: [400, 1600],
      kelvin: [3600, 5000],
      orAuto: true,
    },
    { limits: { isoCeiling: 1600 } },
  ),
  brief('Kitchen table, tripod', on('tripod', 'still', 'smooth'), scene('litRoom'), EMPTY, {
    fps: [25],
    glass: [0, 0],
    shutter: [25, 50],
    isoTo: [200, 800],
    hold: ['off'],
    kelvin: [2600, 3600],
    orAuto: true,
  }),
  brief(
    'Workshop by head, 60 Hz',
    on('cap', 'still', 'smooth'),
    scene('litRoom'),
    EMPTY,
    {
      fps: [30, 60, 24],
      glass: [0, 0],
      shutter: [30, 60],
      isoTo: [400, 800],
      kelvin: [2600, 4500],
      orAuto: true,
    },
    { limits: { mainsHz: 60 }, playback: { timelineFps: 30 } },
  ),
  brief(
    'Night tram stop, street lamps',
    on('hand', 'walking'),
    scene('litStreet'),
    EMPTY,
    {
      fps: [25],
      glass: [0, 0],
      shutter: [25, 100],
      isoTo: [800, 1600],
      kelvin: [2000, 4000],
      orAuto: true,
      under: 2,
    },
    { limits: { isoCeiling: 1600 } },
  ),
  brief(
    'Dusk in the wood, no lamps',
    on('helmet', 'riding'),
    ev(6, 8),
    SOME,
    {
      fps: [25],
      glass: [0, 0],
      shutter: [25, 100],
      isoTo: [800, 1600],
      hold: STEADY,
      kelvin: [5500, 10_000],
      orAuto: true,
      under: 1.5,
    },
    { limits: { isoCeiling: 1600 } },
  ),
  brief('After sunset on the ridge', on('chest', 'walking'), scene('afterSunset'), EMPTY, {
    fps: [25, 30],
    glass: [0, 0],
    shutter: [25, 200],
    isoTo: [400, 800],
    kelvin: [5000, 9000],
    orAuto: true,
  }),
  brief(
    'Dawn on the jetty, tripod',
    on('tripod', 'still', 'smooth'),
    ev(7, 9),
    SOME,
    {
      fps: [25, 30],
      glass: [0, 0],
      shutter: [25, 80],
      isoTo: [100, 800],
      hold: ['off'],
      kelvin: [5000, 8000],
      orAuto: true,
    },
    NO_LAMPS,
  ),
  brief(
    'Full moon on the lake, tripod',
    on('tripod', 'still', 'smooth'),
    scene('fullMoon'),
    EMPTY,
    {
      fps: [24, 25],
      glass: [0, 0],
      shutter: [24, 50],
      isoTo: [3200, 6400],
      kelvin: [3800, 6000],
      orAuto: true,
      under: 9,
    },
    { limits: { isoCeiling: 6400, lamps: 'none' } },
  ),
  brief(
    'Ice hall, floodlit, slowed twice',
    on('helmet', 'skating', 'smooth'),
    ev(9),
    EMPTY,
    {
      fps: [50, 100],
      glass: [0, 0],
      shutter: [100, 100],
      isoTo: [200, 800],
      kelvin: [3800, 5500],
      orAuto: true,
    },
    { ...slow(2), limits: { lamps: 'mains', mainsHz: 50 } },
  ),
  brief(
    'Band room, dim',
    on('tripod', 'playing', 'smooth'),
    scene('dimHall'),
    EMPTY,
    {
      fps: [25],
      glass: [0, 0],
      shutter: [25, 50],
      isoTo: [800, 1600],
      kelvin: [2600, 4200],
      orAuto: true,
      under: 1.5,
    },
    { limits: { isoCeiling: 1600 } },
  ),

  // Other cameras, other wishes.
  brief('Sphere on a back pole, sun', on('backPole', 'riding'), ev(15), EMPTY, bare(), {
    camera: { archetype: 'sphere' },
  }),
  brief(
    'Small camera on a cap, bright cloud',
    on('cap', 'walking'),
    ev(13),
    EMPTY,
    bare({ kelvin: CLOUD, hold: STEADY }),
    { camera: { archetype: 'mini' } },
  ),
  brief(
    'Long lens along the rail, sun',
    on('rail', 'playing'),
    ev(14.5),
    SOME,
    { fps: REAL, glass: [0, 5], shutter: [50, 1000], kelvin: DAY, orAuto: true, isoTo: [100, 800] },
    { camera: { archetype: 'long' } },
  ),
  brief(
    'Cheap camera on the bars, sun and trees',
    on('handlebar', 'riding', 'smooth'),
    ev(11, 15),
    EMPTY,
    bare({ floats: { atLeast: 3 }, isoTo: [100, 800], kelvin: [5000, 6800] }),
    { camera: { archetype: 'budget' } },
  ),
  brief(
    'Graded in full, sun on a handle',
    on('handle', 'walking', 'smooth'),
    ev(15),
    nd(8, 16, 32, 64, 128, 256),
    { fps: [25, 30], glass: [5, 8], shutter: [48, 100], isoTo: [100, 800], kelvin: DAY },
    { look: { grade: 'full' } },
  ),
  brief(
    'Sixty a second for the match, sun',
    on('chest', 'playing'),
    ev(15),
    EMPTY,
    bare({ fps: [50, 60], hold: STEADY }),
    { playback: { timelineFps: 50 } },
  ),
];

/** The school that a brief is filmed under. */
export function schoolIdOf({ shot }: NamedShot): SchoolId {
  return shot.look?.school ?? 'weigh';
}
