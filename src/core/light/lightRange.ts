import type { Light } from './lightSchema';
import { ev100OfIlluminance } from './exposureValue';
import { isLamplit, lampsIn, pulseOf } from './lamps';
import type { LampsToldBy } from './lamps';
import type { MountKind } from '../vocabulary/mounts';
import { MOUNTS } from '../vocabulary/mounts';
import { evOfReading, rangeOfReadings } from './readings';
import { depthStops } from './underwater';
import { SCENES } from '../vocabulary/scenes';
import { sunLightRange } from './sun/sunLight';

/** The light of a whole run, EV100, and the pulse of the lamps in it, Hz, if any. */
export interface LightRange {
  evMin: number;
  evMax: number;
  /** How far either end may lie from where it is told, stops: one standard deviation, by how the light is known. */
  spreadStops: number;
  /** How far it wanders within the run beyond what is told, stops: one standard deviation. */
  wanderStops: number;
  /** Both together: what an exposure meets around either end. */
  aroundStops: number;
  /** What the dark end and the bright end weigh, 0…1: a short stretch by its share of the run, half of it and more whole. */
  darkWeight: number;
  brightWeight: number;
  pulseHz: number | null;
}

/** What all light of one day is off by together, stops (start): the air is clearer or hazier than its name. */
export const DAY_LIGHT_STOPS = 0.3;

/** What of a run decides how its light goes: its lamps, and how the camera is carried through it. */
export interface RunThroughLight {
  limits: LampsToldBy;
  mount: { kind: MountKind };
}

/** The light a shot describes, whichever way it was told, with its lamps. Source for scenes: `scenes.ts`. */
export function lightRangeOf(light: Light, { limits, mount }: RunThroughLight): LightRange {
  const range = evRangeOf(light);
  const lit = isLamplit(light);
  const spreadStops = spreadOf(light);
  const wanderStops = wanderOf(light, range, mount.kind, lit);
  const darkShare = darkShareOf(light, mount.kind);
  return {
    ...range,
    spreadStops,
    wanderStops,
    aroundStops: Math.hypot(spreadStops, wanderStops),
    darkWeight: weightOf(darkShare),
    brightWeight: weightOf(1 - darkShare),
    // What shines under water runs on a cell, and does not pulse with the mains.
    pulseHz: light.kind === 'underwater' ? null : pulseOf(limits, lit),
  };
}

/** Light that is known and stays, EV100: one for the whole run, or two ends that weigh alike. */
export function knownLight(evMin: number, evMax = evMin): LightRange {
  return {
    evMin,
    evMax,
    spreadStops: 0,
    wanderStops: 0,
    aroundStops: 0,
    darkWeight: 1,
    brightWeight: 1,
    pulseHz: null,
  };
}

/** The same light told by the ends of another range; its lamps and its dark stretches stay. */
export function asRange(light: Light, evMin: number, evMax: number): Light {
  if (light.kind === 'underwater') {
    const lost = depthStops(light.depthM, light.water);
    const surface = { kind: 'range' as const, evMin: evMin + lost, evMax: evMax + lost };
    return { ...light, surface };
  }
  const lamps = lampsIn(light);
  return {
    kind: 'range',
    evMin,
    evMax,
    ...(lamps === 'none' ? {} : { lamps }),
    ...(light.darkShare === undefined ? {} : { darkShare: light.darkShare }),
  };
}

/** Even in one light clouds and shade pass, and what carries the camera turns it, stops (start): so much at rest, and for each degree a second of its usual turning. */
const WANDER_STOPS = 0.2;
const WANDER_PER_DEG_PER_S = 0.25 / 60;
/** Lamps stand where they are: only near and far from them differ (start). */
const WANDER_LAMPLIT_STOPS = 0.25;
/** What is told of the light's way is no surprise: so much of it is taken off (start). */
const TOLD_SHARE = 0.25;

function wanderOf(
  light: Light,
  { evMin, evMax }: { evMin: number; evMax: number },
  mount: MountKind,
  lit: boolean,
): number {
  const { panDegPerS, stands } = MOUNTS[mount];
  if (lit) return stands ? 0 : WANDER_LAMPLIT_STOPS;
  // The sun's light is worked out for every heading and shade of the run.
  const told = light.kind === 'sun' ? 1 : TOLD_SHARE;
  return Math.max(WANDER_STOPS, WANDER_STOPS + WANDER_PER_DEG_PER_S * panDegPerS - told * (evMax - evMin));
}

/**
 * The wider a run's light, the rarer its dark end: sun and shade take turns, but what lies six stops down is an underpass
 * (start: half the run up to this width, from there by its cube). A camera that stands sees the light go by slowly.
 */
const TAKING_TURNS_STOPS = 4;
const SHORTEST_STRETCH = 0.06;

/** Share of the run spent near its dark end, 0…1: as told, else the usual one. */
export function darkShareOf(light: Light, mount: MountKind): number {
  if (light.darkShare !== undefined) return light.darkShare;
  const { evMin, evMax } = evRangeOf(light);
  const width = evMax - evMin;
  if (MOUNTS[mount].stands || width <= TAKING_TURNS_STOPS) return 0.5;
  return Math.max(SHORTEST_STRETCH, 0.5 * (TAKING_TURNS_STOPS / width) ** 3);
}

function weightOf(share: number): number {
  return Math.min(1, 2 * share);
}

/** The range alone, EV100. */
export function evRangeOf(light: Light): { evMin: number; evMax: number } {
  switch (light.kind) {
    case 'underwater': {
      const lost = depthStops(light.depthM, light.water);
      const { evMin, evMax } = evRangeOf(light.surface);
      return { evMin: evMin - lost, evMax: evMax - lost };
    }
    case 'range':
      return { evMin: light.evMin, evMax: light.evMax };
    case 'lux':
      return { evMin: ev100OfIlluminance(light.luxMin), evMax: ev100OfIlluminance(light.luxMax) };
    case 'reading': {
      const read = evOfReading({ ...light, offStops: 0 });
      return { evMin: read - light.darkerStops, evMax: read + light.brighterStops };
    }
    case 'readings':
      return rangeOfReadings(light);
    case 'sun':
      return sunLightRange(light);
    case 'scene': {
      const ends = [light.from, light.to].map((scene) => {
        const stops = light.corrected?.[scene]?.stops ?? 0;
        return { evMin: SCENES[scene].evMin + stops, evMax: SCENES[scene].evMax + stops };
      });
      return {
        evMin: Math.min(...ends.map(({ evMin }) => evMin)),
        evMax: Math.max(...ends.map(({ evMax }) => evMax)),
      };
    }
  }
}

/**
 * Standard deviation in stops of light known so (start). A scene's name covers a stop from end to end of what it is used
 * for; a reading errs by its picture's tone; a meter by how it is held. A range says where its ends are, not how it was
 * come by: as good as a reading. Of a sky see `sky.ts`.
 */
const SPREAD_STOPS = { scene: 0.5, range: 0.2, reading: 0.2, readings: 0.2, lux: 0.1 } as const;

/** A water is clearer or murkier than its name by so much of what it takes (start). */
const WATER_UNKNOWN = 0.3;

function spreadOf(light: Light): number {
  if (light.kind === 'underwater')
    return Math.hypot(spreadOf(light.surface), WATER_UNKNOWN * depthStops(light.depthM, light.water));
  if (light.kind === 'sun') return sunLightRange(light).errorStops;
  if (light.kind !== 'scene') return SPREAD_STOPS[light.kind];
  const { corrected } = light;
  return Math.max(
    ...[light.from, light.to].map((scene) => corrected?.[scene]?.spreadStops ?? SPREAD_STOPS.scene),
  );
}
