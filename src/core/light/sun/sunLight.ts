import { GROUND_STOPS } from '../../vocabulary/outdoors';
import type { Shade } from '../../vocabulary/outdoors';
import type { SunLight } from '../lightSchema';
import { ev100OfIlluminance } from '../exposureValue';
import { modelErrorStops, shadeStops, skyAt } from '../sky';
import { sunReaches } from './horizon';
import { cardLux, daylightOf, LIT_FROM_DEG } from './lit';
import type { Daylight } from './lit';
import { compassBetweenDeg, moonPosition, sunPosition } from './position';
import { item } from '../../units/items';

export type { SunLight };

/** What a sun light takes where nothing is said. */
export const USUAL_SUN = {
  sky: 'clear',
  shade: ['open'],
  ground: 'grass',
} as const satisfies Partial<SunLight>;

/** The light of a run at one instant, EV100. */
export interface SunLightAt {
  atMs: number;
  daylight: Daylight;
  /** Whether the sun's beam reaches the place, over the horizon and whatever stands around. */
  reached: boolean;
  /** What the run crosses under the likely sky, darkest and brightest. */
  evMin: number;
  evMax: number;
  /** The same over all the sky that the hour may bring. */
  evLow: number;
  evHigh: number;
  /** How far the model itself may be off, stops, one standard deviation. */
  errorStops: number;
}

/** Where the camera looks at an instant of the run; `null` when nobody said. */
export function headingAt(light: SunLight, atMs: number): number | null {
  const headings = light.headingsDeg;
  if (!headings?.length) return null;
  const from = Date.parse(light.from);
  const whole = Date.parse(light.to) - from;
  const along = whole === 0 ? 0 : Math.min(1, Math.max(0, (atMs - from) / whole));
  return item(headings, Math.min(headings.length - 1, Math.floor(along * headings.length)));
}

export function sunLightAt(light: SunLight, atMs: number): SunLightAt {
  const sun = sunPosition(light, atMs);
  const moon = sun.altitudeDeg < -5 ? moonPosition(light, atMs) : null;
  const name = light.sky ?? USUAL_SUN.sky;
  const sky = skyAt(name, light.clouds, atMs);
  const own = sky.named ? light.corrected?.[name] : undefined;
  const reached = sunReaches(light.horizon, sun);
  const heading = headingAt(light, atMs);
  const sunOffDeg = heading === null ? null : compassBetweenDeg(sun.azimuthDeg, heading);
  const rangeUnder = (divisor: number): { daylight: Daylight; evMin: number; evMax: number } => {
    const daylight = daylightOf(sun, moon, divisor);
    const { evMin, evMax } = crossed(light, daylight, reached, sunOffDeg);
    return { daylight, evMin: evMin + (own?.stops ?? 0), evMax: evMax + (own?.stops ?? 0) };
  };
  const likely = rangeUnder(sky.likely);
  // Neither end of the spread need be the darkest: thin cloud lights a gorge better than a blue sky does.
  const spread = sky.least === sky.most ? [likely] : [likely, rangeUnder(sky.most), rangeUnder(sky.least)];
  return {
    atMs,
    daylight: likely.daylight,
    reached,
    evMin: likely.evMin,
    evMax: likely.evMax,
    evLow: Math.min(...spread.map(({ evMin }) => evMin)),
    evHigh: Math.max(...spread.map(({ evMax }) => evMax)),
    errorStops: modelErrorStops(sky.likely, sun.altitudeDeg, own?.spreadStops),
  };
}

/** Share of the light on level ground that the beam has in full sun, down to a sun 12° high (start). */
const FULL_BEAM = 0.75;

/**
 * What a run crosses in this daylight: level ground and, where the camera's way is known, a card that faces it; where
 * it is not, a card that faces the sun. Then every shade of the run; behind the horizon none is lighter than it.
 */
function crossed(
  light: SunLight,
  daylight: Daylight,
  reached: boolean,
  sunOffDeg: number | null,
): { evMin: number; evMax: number } {
  const level = ev100OfIlluminance(daylight.horizontalLux);
  const card = ev100OfIlluminance(cardLux(daylight, sunOffDeg ?? LIT_FROM_DEG.front));
  const ground = GROUND_STOPS[light.ground ?? USUAL_SUN.ground];
  // A shade takes the beam: what it takes shrinks as the beam does, under cloud and towards night.
  const beamShare = Math.min(1, (1 - daylight.diffuseShare) / FULL_BEAM);
  const taken = (shade: Shade): number =>
    Math.min(0, shadeStops(shade, beamShare) + (light.corrected?.[shade]?.stops ?? 0));
  const behind = light.horizon && !reached ? taken(light.horizon.behind) : 0;
  const shades = (light.shade ?? USUAL_SUN.shade).map((shade) => Math.min(taken(shade), behind));
  const open = { dark: sunOffDeg === null ? level : Math.min(level, card), bright: Math.max(level, card) };
  // In shade there is no beam to face or turn from: the shade's stops are counted from level ground.
  const evs = shades.flatMap((stops) => (stops < 0 ? [level + stops] : [open.dark, open.bright]));
  return { evMin: Math.min(...evs) + ground, evMax: Math.max(...evs) + ground };
}

/** Steps in which a run is looked at; the sun turns a degree and a quarter meanwhile. */
export const STEP_MS = 5 * 60_000;

/** The instants at which a run is looked at: every five minutes, and its end. */
export function instantsOf(fromMs: number, toMs: number, stepMs = STEP_MS): number[] {
  const count = Math.floor((toMs - fromMs) / stepMs);
  const instants = Array.from({ length: count + 1 }, (_, at) => fromMs + at * stepMs);
  return instants[count] === toMs ? instants : [...instants, toMs];
}

/** All schools and pins of a brief share its light, so it is worked out once. */
const ranges = new WeakMap<SunLight, SunLightRange>();

interface SunLightRange {
  evMin: number;
  evMax: number;
  /** Of the worst instant. */
  errorStops: number;
}

/** The light of the whole run, EV100, sky's spread included, and how far the model may be off. */
export function sunLightRange(light: SunLight): SunLightRange {
  const known = ranges.get(light);
  if (known) return known;
  const range = workedOut(light);
  ranges.set(light, range);
  return range;
}

function workedOut(light: SunLight): SunLightRange {
  const run = instantsOf(Date.parse(light.from), Date.parse(light.to)).map((at) => sunLightAt(light, at));
  return {
    evMin: Math.min(...run.map(({ evLow }) => evLow)),
    evMax: Math.max(...run.map(({ evHigh }) => evHigh)),
    errorStops: Math.max(...run.map(({ errorStops }) => errorStops)),
  };
}
