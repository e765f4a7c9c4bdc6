import { LAMP_COLOUR } from '../vocabulary/lamps';
import type { LampKind } from '../vocabulary/lamps';
import { MOUNTS } from '../vocabulary/mounts';
import { SKY_HABITS } from '../vocabulary/outdoors';
import type { Shade } from '../vocabulary/outdoors';
import { SCENES } from '../vocabulary/scenes';
import { item } from '../units/items';
import { clamp } from '../units/stops';
import { MIRED_PER_M } from './underwater';
import type { DryLight, Light, SunLight, UnderwaterLight } from './lightSchema';
import { lampsIn } from './lamps';
import type { LightRange, RunThroughLight } from './lightRange';
import { skyAt } from './sky';
import { sunPosition } from './sun/position';
import { USUAL_SUN } from './sun/sunLight';

/**
 * The colour of a run's light as correlated colour temperature, K. Differences are told in mired, 10⁶/K, in which equal steps
 * look equal (Judd 1932). All figures are starting estimates in the order of published daylight and lamp tables.
 */
export interface LightColour {
  /** Where to lock white balance, K. */
  lockK: number;
  /** The warmest and the coolest of the run, K. */
  warmK: number;
  coolK: number;
  /** How far all of it may lie from where it is told, mired. */
  offMired: number;
  /** How far an automatic wanders by itself, mired. */
  wanderMired: number;
  from: ColourSource;
}

/** What gives the light its colour; a `lowSun` is to keep it. */
export type ColourSource = 'sky' | 'lowSun' | 'lamps' | 'unknownLamps' | 'screen' | 'mixed' | 'water';

type Seen = Pick<LightColour, 'warmK' | 'coolK' | 'offMired' | 'from'>;

export const miredOf = (kelvin: number): number => 1_000_000 / kelvin;

/** Low sun keeps its colour where white is daylight, K. */
const KEPT_K = 5400;
/** A camera's white balance is set in hundreds. */
const STEP_K = 100;
const inSteps = (kelvin: number): number => Math.round(kelvin / STEP_K) * STEP_K;

/** An automatic in light that stays, in light or headings that change, and under lamps of several kinds, mired. */
const WANDER_STEADY = 10;
const WANDER_CHANGING = 25;
const WANDER_MIXED = 35;
/** Light that varies by more than this changes in colour too, stops. */
const STEADY_WITHIN_STOPS = 1;

export function colourOfLight(light: Light, range: LightRange, run: RunThroughLight): LightColour {
  if (light.kind === 'underwater') return colourInWater(light, range, run);
  const seen = seenIn(light, range, run);
  const { from } = seen;
  // Told by light alone, the darker end may be the warmer: lamps or a low sun at night, the blue hour before.
  const [warmK, coolK] = [Math.min(seen.warmK, seen.coolK), Math.max(seen.warmK, seen.coolK)].map(
    inSteps,
  ) as [number, number];
  const lockK = from === 'lowSun' ? KEPT_K : inSteps(1_000_000 / ((miredOf(warmK) + miredOf(coolK)) / 2));
  const steady =
    range.evMax - range.evMin <= STEADY_WITHIN_STOPS &&
    (MOUNTS[run.mount.kind].stands || from === 'lamps' || from === 'screen');
  return {
    ...seen,
    warmK,
    coolK,
    lockK,
    wanderMired:
      from === 'mixed' || from === 'unknownLamps' ? WANDER_MIXED : steady ? WANDER_STEADY : WANDER_CHANGING,
  };
}

/** A camera's white balance goes no bluer than that, K. */
export const BLUEST_K = 15_000;
/** A lamp near the lens has this little more water to cross than there and back (start). */
const LAMP_WAYS = 2;

/** How much water its light has crossed on its way to the camera, metres: from the surface, or from a lamp beside the lens. */
export function waterPathM(light: UnderwaterLight): number {
  return lampsIn(light) === 'none' ? light.depthM + light.distanceM : LAMP_WAYS * light.distanceM;
}

/** Bluer by each metre; what no lock reaches stays as a cast. */
function colourInWater(light: UnderwaterLight, range: LightRange, run: RunThroughLight): LightColour {
  const dry = lampsIn(light) === 'none' ? light.surface : { ...light.surface, lamps: light.lamps };
  const above = colourOfLight(dry, range, run);
  const mired = miredOf(above.lockK) - MIRED_PER_M * waterPathM(light);
  const reached = Math.max(mired, miredOf(BLUEST_K));
  const lockK = inSteps(1_000_000 / reached);
  return {
    lockK,
    warmK: lockK,
    coolK: lockK,
    offMired: above.offMired + (reached - mired),
    wanderMired: WANDER_CHANGING,
    from: 'water',
  };
}

function seenIn(light: DryLight, range: LightRange, { limits }: RunThroughLight): Seen {
  const lamps = lampsIn(light);
  if (limits.lamps === 'screen') return one(SCREEN_K, 10, 'screen');
  const lit = litBy(lamps, light, range, limits.lamps === 'mains');
  if (lit) return range.evMax <= LAMPS_REACH_EV ? lit : underTheSky(lit, light, range);
  return light.kind === 'scene' ? ofScenes(light, lamps) : skyIn(light, range);
}

/** The lamps of a light by themselves, told by their kind or only as being there; `null`: none, or those of a named scene. */
function litBy(lamps: LampKind, light: DryLight, range: LightRange, mains: boolean): Seen | null {
  if (lamps !== 'none' && lamps !== 'unknown') {
    const { kelvin, offMired } = LAMP_COLOUR[lamps];
    return one(kelvin, offMired, 'lamps');
  }
  if (light.kind === 'scene' || (lamps === 'none' && !mains)) return null;
  const theirs = range.evMax <= LAMPS_REACH_EV ? range.evMax : range.evMin;
  return one(between(LAMPS_BY_LIGHT, theirs), UNKNOWN_LAMPS_MIRED, 'unknownLamps');
}

/** The brightest that lamps make it, EV100: a stage. What is brighter has the sky in it (start). */
const LAMPS_REACH_EV = 11.5;

/** Lamps by day: they light the dark end of the run, where that is dark enough for them. */
function underTheSky(lit: Seen, light: DryLight, range: LightRange): Seen {
  const sky = light.kind === 'scene' ? ofScenes(light, 'none') : skyIn(light, range);
  if (range.evMin > LAMPS_REACH_EV) return sky;
  return {
    warmK: Math.min(lit.warmK, sky.warmK),
    coolK: Math.max(lit.coolK, sky.coolK),
    offMired: Math.max(lit.offMired, sky.offMired),
    from: 'mixed',
  };
}

function skyIn(light: Exclude<DryLight, { kind: 'scene' }>, range: LightRange): Seen {
  if (light.kind === 'sun') return ofSun(light);
  return {
    warmK: between(SKY_BY_LIGHT, range.evMax),
    coolK: between(SKY_BY_LIGHT, range.evMin),
    offMired: SKY_MIRED,
    from: 'sky',
  };
}

const one = (kelvin: number, offMired: number, from: ColourSource): Seen => ({
  warmK: kelvin,
  coolK: kelvin,
  offMired,
  from,
});

const SCREEN_K = 6500;
const UNKNOWN_LAMPS_MIRED = 40;
/** Of a sky told by its brightness alone, mired. */
const SKY_MIRED = 15;

type Table = readonly (readonly [at: number, kelvin: number])[];

/** A sky by the light it gives, EV100: sun, cloud, shade and wood, dusk, the blue hour; the moon is the sun's light again. */
const SKY_BY_LIGHT: Table = [
  [-1, 4200],
  [1, 8500],
  [6, 8000],
  [9, 7200],
  [11, 6800],
  [12, 6500],
  [13, 6200],
  [14, 5800],
  [15, 5500],
];

/** Lamps that nobody named, by the light they give, EV100: warm where one lives, neutral where one works and plays. */
const LAMPS_BY_LIGHT: Table = [
  [3, 2700],
  [5, 2800],
  [6, 3000],
  [7, 4000],
  [12, 4500],
];

function ofScenes({ from, to }: Extract<Light, { kind: 'scene' }>, lamps: LampKind): Seen {
  const ends = [SCENES[from], SCENES[to]];
  const kelvins = ends.map(({ kelvin }) => kelvin);
  const lit = ends.filter((end) => end.lamps).length;
  return {
    warmK: Math.min(...kelvins),
    coolK: Math.max(...kelvins),
    offMired: Math.max(...ends.map(({ offMired }) => offMired)),
    from: lamps === 'none' ? 'sky' : lit === 1 ? 'mixed' : 'unknownLamps',
  };
}

/** Sunlight by the sun's altitude, degrees. */
const SUN_K: Table = [
  [-6, 8500],
  [-2, 4500],
  [0, 2800],
  [5, 3700],
  [10, 4400],
  [20, 5100],
  [35, 5500],
  [90, 5700],
];
const CLOUD_K = 6500;
const SHADE_K: Readonly<Record<Exclude<Shade, 'open'>, number>> = {
  openShade: 7500,
  lightWood: 6300,
  denseWood: 6600,
  gorge: 7500,
};
/** A sun between these altitudes colours the sky and what it falls on, degrees. */
const LOW_SUN_DEG = [-4, 8] as const;
const SUN_MIRED = 6;

function ofSun(light: SunLight): Seen {
  const [from, to] = [Date.parse(light.from), Date.parse(light.to)];
  const shades = light.shade ?? USUAL_SUN.shade;
  const kelvins: number[] = [];
  let low = false;
  for (const at of [from, (from + to) / 2, to]) {
    // Told cloud by the hour comes before the day's sky, as it does for the light itself.
    const cloudy = skyAt(light.sky ?? USUAL_SUN.sky, light.clouds, at).likely >= SKY_HABITS.cloud.divisor;
    const { altitudeDeg } = sunPosition(light, at);
    if (cloudy) kelvins.push(CLOUD_K);
    else {
      if (shades.includes('open')) {
        kelvins.push(between(SUN_K, altitudeDeg));
        low ||= altitudeDeg > LOW_SUN_DEG[0] && altitudeDeg < LOW_SUN_DEG[1];
      }
      for (const shade of shades) if (shade !== 'open') kelvins.push(SHADE_K[shade]);
    }
  }
  return {
    warmK: Math.min(...kelvins),
    coolK: Math.max(...kelvins),
    offMired: SUN_MIRED,
    from: low ? 'lowSun' : 'sky',
  };
}

/** Straight lines between the rows of a table, and its ends beyond them. */
function between(table: Table, at: number): number {
  const above = table.findIndex(([from]) => from >= at);
  if (above <= 0) return item(table, above === 0 ? 0 : table.length - 1)[1];
  const [lowAt, low] = item(table, above - 1);
  const [highAt, high] = item(table, above);
  return low + (high - low) * clamp((at - lowAt) / (highAt - lowAt), 0, 1);
}
