import type { CameraAim } from '../light/sun/inFrame';
import { angleToSunDeg } from '../light/sun/inFrame';
import type { SunPosition } from '../light/sun/position';
import { mirroredLeft } from './mirrored';

/**
 * Where a polarizer works. Sky light is polarized most at 90° to the sun; light off water most at 53° from upright.
 * Stops are against all else in the picture, which the filter darkens by its nominal stops anyway.
 */
export interface PolarizerView {
  /** Darkening of the sky over the frame from its weakest to its strongest place, stops; `null`: no sky in view. */
  sky: { leastStops: number; middleStops: number; mostStops: number; angleToSunDeg: number } | null;
  /** Share of the glare off water that is left where the frame sees it best removed, 0…1; `null`: no water below. */
  glareLeft: number | null;
  verdict: PolarizerVerdict;
}

type PolarizerVerdict =
  | 'sky' // darkens the sky, evenly enough
  | 'water' // takes the glare off water
  | 'uneven' // darkens one part of a wide sky only
  | 'notWorth'; // costs its stops for little

/** Polarized share of a clear sky at 90° to the sun (start): air is never free of haze. Source of the form: Rayleigh. */
const CLEAR_SKY_SHARE = 0.8;
/** Height of sky that a frame judges the filter by, degrees over the horizon: low sky fills most of a picture. */
const LOW_SKY_DEG = 15;
/** From here a darker sky is seen; past this across one frame, as on views over 70°, it looks like a stain, stops (start). */
const SEEN_STOPS = 0.6;
const UNEVEN_STOPS = 1.5;
/** Glare has to fall by half to be worth a filter (start). */
const GLARE_WORTH = 0.5;
/** Refractive index of water. */
const WATER = 1.333;

export function polarizerView(
  sun: SunPosition,
  aim: CameraAim,
  beamShare: number,
  overWater: boolean,
): PolarizerView {
  const half = aim.verticalDeg / 2;
  const top = half - aim.pitchDeg;
  const sky = top > 1 ? skyOver(sun, aim, Math.min(LOW_SKY_DEG, top), beamShare) : null;
  const lowest = Math.min(85, half + aim.pitchDeg);
  const glareLeft = overWater && lowest > 5 ? leastGlare(Math.max(5, aim.pitchDeg - half), lowest) : null;
  const skyWorks = sky !== null && sky.mostStops >= SEEN_STOPS;
  // A dark edge beside a bright middle is as bad as a dark patch in the middle.
  const uneven =
    sky !== null && (sky.mostStops - sky.leastStops > UNEVEN_STOPS || sky.middleStops < SEEN_STOPS);
  const verdict: PolarizerVerdict =
    skyWorks && !uneven
      ? 'sky'
      : glareLeft !== null && glareLeft < GLARE_WORTH
        ? 'water'
        : skyWorks
          ? 'uneven'
          : 'notWorth';
  return { sky, glareLeft, verdict };
}

/** Darkening of sky this far from the sun, stops: `−log2(1 − p)`, `p = p90 · sin²γ / (1 + cos²γ)`. Source: Rayleigh. */
export function skyDarkeningStops(angleDeg: number, beamShare: number): number {
  const cosine = Math.cos((angleDeg * Math.PI) / 180);
  const share = (CLEAR_SKY_SHARE * beamShare * (1 - cosine ** 2)) / (1 + cosine ** 2);
  return -Math.log2(1 - share);
}

function skyOver(
  sun: SunPosition,
  aim: CameraAim,
  altitudeDeg: number,
  beamShare: number,
): NonNullable<PolarizerView['sky']> {
  const across = Array.from({ length: 21 }, (_, at) => aim.headingDeg + (at / 20 - 0.5) * aim.horizontalDeg);
  const stops = across.map((heading) =>
    skyDarkeningStops(angleToSunDeg(sun, heading, altitudeDeg), beamShare),
  );
  return {
    leastStops: Math.min(...stops),
    middleStops: skyDarkeningStops(angleToSunDeg(sun, aim.headingDeg, altitudeDeg), beamShare),
    mostStops: Math.max(...stops),
    angleToSunDeg: angleToSunDeg(sun, aim.headingDeg, altitudeDeg),
  };
}

/** Share of the mirrored light left through a polarizer turned against it, looking this far down on water. */
export function glareLeftAt(downDeg: number): number {
  return mirroredLeft(90 - downDeg, WATER);
}

function leastGlare(fromDeg: number, toDeg: number): number {
  const downs = Array.from({ length: 33 }, (_, at) => fromDeg + ((toDeg - fromDeg) * at) / 32);
  return Math.min(...downs.map(glareLeftAt));
}
