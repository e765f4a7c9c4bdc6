import { lampsIn } from '../light/lamps';
import type { LightRange } from '../light/lightRange';
import type { Light } from '../light/lightSchema';
import { angleToSunDeg } from '../light/sun/inFrame';
import { sunReaches } from '../light/sun/horizon';
import { sunPosition } from '../light/sun/position';
import { headingAt } from '../light/sun/sunLight';
import { project } from '../optics/projection';
import type { Lens } from '../optics/projection';
import type { Brief } from '../brief/brief';
import { talksToCamera } from '../brief/usual';
import type { Colour } from '../vocabulary/modes';
import { habitsOf } from '../vocabulary/mounts';
import { SHADE_STOPS } from '../vocabulary/outdoors';
import type { Sky } from '../vocabulary/outdoors';
import type { SceneName } from '../vocabulary/scenes';
import type { Surroundings } from '../vocabulary/surroundings';
import { SURROUNDINGS_HABITS } from '../vocabulary/surroundings';
import { item } from '../units/items';
import { clamp } from '../units/stops';

/**
 * The light inside one picture: what the camera's meter makes of what fills it, the sky above it, and a face against what
 * lies behind. Stops. All figures are starting estimates.
 */
export interface PictureLight {
  /** The offset that puts right what the meter makes of what fills the frame, in thirds of a stop. */
  meterStops: number;
  /** How far that may be off: meters differ in how much of it they see through. */
  meterOffStops: number;
  /** What of the frame is sky, 0…1, in the camera's usual view. */
  skyShare: number;
  /** How far the sky stands above a grey card in the run's brightest light. */
  skyStops: number;
  /** How far the face of who talks lies below what is behind it; 0: it does not, or nobody talks. */
  faceStops: number;
}

/** Middle grey, as meters take it: ISO 2720 with K = 12.5. */
export const MIDDLE_GREY_PCT = 18;
const GREY = MIDDLE_GREY_PCT / 100;
/** Pattern meters give back so much of what an even mean would be off. */
const GIVEN_BACK = 0.5;
/** And differ in that by so much of the whole, one standard deviation. */
const GIVEN_BACK_OFF = 0.2;
/** A night that is metered to a day: so much darker, where the light stays below this, EV100. */
const NIGHT_BELOW_EV = 5.5;
const NIGHT_STOPS = -0.7;
/** A camera's offset reaches further, but nobody's practice does. */
const MOST_OFFSET = 1;
const FACE_OFFSET = 1;
/** Under such a gap a face against its background is only modelled, not lost. */
const FACE_FROM_STOPS = 1.5;

export function pictureLight(brief: Brief, light: LightRange): PictureLight {
  const { surroundings, playback } = brief;
  const { fullStops: full } = meterReads(surroundings);
  const night = isNight(brief, light);
  const cure = inThirds(clamp(full * GIVEN_BACK, -MOST_OFFSET, MOST_OFFSET));
  const meterStops = night ? Math.min(cure, NIGHT_STOPS) : cure;
  const usual = usualView(brief);
  const skyShare =
    usual && brief.light.kind !== 'underwater' ? skyShareOf(brief, usual, playback.deliver) : 0;
  const skyStops = lightOfSky(brief.light, light);
  return {
    meterStops,
    meterOffStops: meterStops === 0 ? 0 : GIVEN_BACK_OFF * Math.abs(full),
    skyShare,
    skyStops,
    faceStops: faceBelow(brief, skyShare, skyStops),
  };
}

/** What a frame of that gives back against what meters take for middle grey, per cent, and the stops between the two. */
export function meterReads(surroundings: Surroundings): {
  reflectancePct: number;
  greyPct: number;
  fullStops: number;
} {
  const { reflectance } = SURROUNDINGS_HABITS[surroundings];
  return {
    reflectancePct: 100 * reflectance,
    greyPct: MIDDLE_GREY_PCT,
    fullStops: Math.log2(reflectance / GREY),
  };
}

/** The view that a camera is usually set to: what fills a frame is judged in it, whichever is then chosen. */
export function usualView({ camera }: Pick<Brief, 'camera'>): Lens | undefined {
  return camera.views.find(({ id }) => id === camera.standardView) ?? camera.views[0];
}

/** Outdoors in the dark, and where lamps stand alone in it; a lit room is no night. */
function isNight({ surroundings, light: told }: Brief, { evMax }: LightRange): boolean {
  if (told.kind === 'underwater') return false;
  if (surroundings === 'room' || surroundings === 'cabin' || surroundings === 'snow') return false;
  return evMax <= NIGHT_BELOW_EV || (evMax <= NIGHT_BELOW_EV + 1 && lampsIn(told) !== 'none');
}

const THIRDS = [0, 0.3, 0.7] as const;

/** To the thirds in which cameras set it, as they write them: 0.3, 0.7, 1. */
export function inThirds(stops: number): number {
  const thirds = Math.round(Math.abs(stops) * 3);
  const written = Math.floor(thirds / 3) + item(THIRDS, thirds % 3);
  return written === 0 ? 0 : Math.sign(stops) * written;
}

/** What of a delivered frame lies above the horizon and is sky, 0…1: by where the mount looks, and what stands there. */
export function skyShareOf(
  { mount, surroundings }: Pick<Brief, 'mount' | 'surroundings'>,
  lens: Lens,
  { width, height }: { width: number; height: number },
): number {
  if (surroundings === 'sky') return 1;
  const { open } = SURROUNDINGS_HABITS[surroundings];
  const down = (mount.pitchDeg * Math.PI) / 180;
  const horizon = project(lens, { x: 0, y: -Math.sin(down), z: Math.cos(down) });
  const tall = height / width;
  const above =
    horizon === null ? (mount.pitchDeg > 0 ? 0 : 1) : clamp((horizon.y + tall) / (2 * tall), 0, 1);
  return open * above;
}

/** The sky over a grey card on the ground in the same light: even cloud is as bright as white paper, blue about as grey. */
const SKY_STOPS: Readonly<Record<Sky, number>> = { clear: 0.3, thin: 1.2, cloud: 2.5, dark: 2.5 };

/** The same by named scenes: in shade and under trees the open sky stays as bright as it is outside. */
const SCENE_SKY_STOPS: Readonly<Record<SceneName, number>> = {
  snowSun: 0.3,
  openSun: 0.4,
  hazySun: 1.5,
  brightCloud: 2.3,
  overcast: 2.5,
  openShade: 3.3,
  heavyOvercast: 2.5,
  afterSunset: 2,
  lightWood: 4.4,
  denseWood: 6,
  gorgeFloor: 4.8,
  brightHall: 0,
  sportsHall: 0,
  litRoom: 0,
  litStreet: 0,
  dimHall: 0,
  fullMoon: 0.5,
};

/** Light told by its figures alone, EV100: sun, thin cloud, cloud and what is darker. */
const SUNNY_FROM_EV = 14.6;
const HAZY_FROM_EV = 13.6;
const SKYLIT_FROM_EV = 8;

function lightOfSky(light: Light, { evMax }: LightRange): number {
  // Under water there is no sky, but for a window overhead.
  if (light.kind === 'underwater') return 0;
  if (light.kind === 'scene') return Math.min(SCENE_SKY_STOPS[light.from], SCENE_SKY_STOPS[light.to]);
  if (light.kind === 'sun') {
    const shades = light.shade ?? ['open'];
    // Of all that is crossed the brightest.
    const lost = Math.min(...shades.map((shade) => -SHADE_STOPS[shade]));
    return SKY_STOPS[light.sky ?? 'clear'] + lost;
  }
  if (lampsIn(light) !== 'none' || evMax < SKYLIT_FROM_EV) return 0;
  if (evMax >= SUNNY_FROM_EV) return SKY_STOPS.clear;
  return evMax >= HAZY_FROM_EV ? SKY_STOPS.thin : SKY_STOPS.cloud;
}

/** An upright face gets about half of what level ground does, and the sky behind it all of it. */
const UPRIGHT_STOPS = 1;
/** Sky stands behind a face from so much of the frame on. */
const BEHIND_FROM_SHARE = 0.25;
/** Daylight in the windows behind who sits in a cabin, and the sun behind a head. */
const WINDOW_STOPS = 3;
const SUN_BEHIND_STOPS = 2.5;
/** The sun is behind whoever the camera looks at within this angle of it, degrees. */
const SUN_BEHIND_WITHIN_DEG = 60;

function faceBelow(brief: Brief, skyShare: number, skyStops: number): number {
  const { motion, sound, mount, surroundings } = brief;
  const { subject } = motion;
  if (!subject || !(talksToCamera(subject) || (sound.speech && subject.distanceM < 3))) return 0;
  const gaps = [0];
  if (skyShare >= BEHIND_FROM_SHARE && skyStops > 0) gaps.push(skyStops + UPRIGHT_STOPS);
  if (sunBehind(brief)) gaps.push(SUN_BEHIND_STOPS);
  const inCabin = surroundings === 'cabin' && habitsOf(mount.kind, mount.place).looksBack;
  if (inCabin && lampsIn(brief.light) === 'none' && skyStops > 0) gaps.push(WINDOW_STOPS);
  const gap = Math.max(...gaps);
  return gap >= FACE_FROM_STOPS ? gap : 0;
}

function sunBehind({ light, mount }: Brief): boolean {
  if (light.kind !== 'sun' || !light.headingsDeg) return false;
  const middle = (Date.parse(light.from) + Date.parse(light.to)) / 2;
  const heading = headingAt(light, middle);
  const sun = sunPosition(light, middle);
  if (heading === null || sun.apparentAltitudeDeg <= 0 || !sunReaches(light.horizon, sun)) return false;
  return angleToSunDeg(sun, heading, -mount.pitchDeg) < SUN_BEHIND_WITHIN_DEG;
}

/** What a brighter face is worth on the offset: the face first, the sky may go. */
export function faceOffset({ faceStops }: PictureLight): number {
  return faceStops > 0 ? FACE_OFFSET : 0;
}

/** Highlights that a colour keeps above middle grey, stops. */
export const HEADROOM_STOPS: Readonly<Record<Colour, number>> = { standard: 2.5, flat: 3, log: 5 };

/** How far the sky of a picture stands above what its colour keeps, when the rest is right, or its face is. */
export function skyAboveStops(picture: PictureLight, colour: Colour): number {
  return picture.skyStops + faceOffset(picture) - HEADROOM_STOPS[colour];
}

/** Light, EV100, from which a sky stands in the picture brighter than what the camera meters. */
const BRIGHT_SKY_EV = 15;
const GUARD_STOPS = -0.3;
/** A white sky is guarded where it fills so much of the frame. */
const GUARDED_FROM_SHARE = 0.2;
const WHITE_FROM_STOPS = 2;

/** Why an automatic exposure is offset. */
export type OffsetCause = 'face' | 'pale' | 'dark' | 'night' | 'school' | 'sky' | 'none';

/**
 * The offset of an automatic exposure, and why: what fills the frame first; a school's own or a guard for a bright sky
 * only where the meter is not led to darken anyway.
 */
export function offsetFor(
  picture: PictureLight,
  { evMax }: Pick<LightRange, 'evMax'>,
  schoolStops: number | null,
): { stops: number; cause: OffsetCause } {
  const { meterStops, skyShare, skyStops } = picture;
  const face = faceOffset(picture);
  if (face > 0 && face >= meterStops) return { stops: face, cause: 'face' };
  if (meterStops > 0) return { stops: meterStops, cause: 'pale' };
  const bright = evMax >= BRIGHT_SKY_EV || (skyShare >= GUARDED_FROM_SHARE && skyStops >= WHITE_FROM_STOPS);
  const guard = schoolStops ?? (bright ? GUARD_STOPS : 0);
  const stops = Math.max(-MOST_OFFSET, inTenths(meterStops + guard));
  const cause =
    meterStops < 0
      ? meterStops === NIGHT_STOPS
        ? 'night'
        : 'dark'
      : schoolStops !== null
        ? 'school'
        : bright
          ? 'sky'
          : 'none';
  return { stops, cause };
}

function inTenths(stops: number): number {
  return Math.round(stops * 10) / 10;
}
