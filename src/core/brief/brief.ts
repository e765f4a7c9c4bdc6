import { talksToCamera, USUAL, USUAL_FILTERS } from './usual';
import type { Activity } from '../vocabulary/activities';
import type { SceneChange, TimeLapseLookId } from '../vocabulary/timeLapses';
import type { Grade } from '../vocabulary/modes';
import type { Ground, MountKind, MountPlace } from '../vocabulary/mounts';
import type { OwnWeights, SchoolId } from '../vocabulary/schools';
import type { Surroundings } from '../vocabulary/surroundings';
import { usualSurroundings } from './surroundings';
import type { Screen } from '../vocabulary/screens';
import { ARCHETYPES } from '../camera/archetypes';
import type { CameraProfile } from '../camera/profile';
import type { Filter } from '../filters/kit';
import type { Lamps } from '../light/lamps';
import { cameraUnderWater } from '../camera/underWater';
import { USUAL_SUN } from '../light/sun/sunLight';
import { usualShakeDegPerSRms } from '../motion/shake';
import { ACTIVITY_HABITS } from '../vocabulary/activities';
import { habitsOf, placesOf } from '../vocabulary/mounts';
import type { Learned } from '../records/learned';
import { isTimeLapse } from '../records/filmedAs';
import type { Pins } from '../records/settings';
import type { Light, Shot } from '../records/shot';
import { LearnedFigures } from './learned';
import { filled } from '../units/filled';
import { omit } from '../units/omit';

/** A shot with nothing left open: what the solver works on. Units stand in the keys. */
export interface Brief {
  playback: {
    timelineFps: number;
    /** The slowest the clip is played: it is captured for that. */
    slowdown: number;
    /** The other speeds it is played at. */
    alsoSlowdowns: number[];
    deliver: { width: number; height: number };
    screen: Screen;
  };
  look: { school: SchoolId; grade: Grade; mine: OwnWeights | null };
  camera: CameraProfile;
  mount: {
    kind: MountKind;
    place?: MountPlace;
    ground: Ground;
    activity: Activity;
    tiltDeg: number;
    pitchDeg: number;
    glassDeg: number | null;
    cutDeg: number;
  };
  motion: {
    travelMps: number;
    nearestM: number;
    panDegPerS: number;
    shakeDegPerSRms: number;
    subject: { speedMps: number; distanceM: number; sizeM: number; sideM: number } | null;
  };
  light: Light;
  /** What fills most of the frame. */
  surroundings: Surroundings;
  filters: readonly Filter[];
  /** The person's own, and with them whatever else holds the shot. */
  pins: Pins;
  /** Those of the pins that are not the person's own: what the shot's day decides. */
  held: Pins;
  timeLapse: {
    change: SceneChange;
    /** `null`: the usual one for what changes. */
    intervalSeconds: number | null;
    look: TimeLapseLookId;
    blurPct: number;
    moving: boolean;
    speedUp: number;
  };
  loop: { minutes: number; leadSeconds: number; eventSeconds: number };
  /** Whether somebody is to be heard; wind over the ground, m/s. */
  sound: { speech: boolean; windMps: number };
  /** The person's own figures that it uses in the place of usual ones. */
  learned: readonly Learned[];
  limits: {
    isoCeiling: number;
    mainsHz: 50 | 60;
    lamps: Lamps;
    screenHz: number;
    recordSeconds: number;
    cardGb: number;
  };
}

/** A value nobody gave, and the default it took. */
export interface Assumed {
  path: string;
  value: unknown;
}

const USUAL_TIME_LAPSE: Brief['timeLapse'] = {
  change: 'slowClouds',
  intervalSeconds: null,
  look: 'half',
  blurPct: 1,
  moving: false,
  speedUp: 15,
};
const USUAL_LOOP: Brief['loop'] = { minutes: 5, leadSeconds: 30, eventSeconds: 20 };

/** What a plan brings to a shot that stands in it. */
export interface InPlan {
  /** What the day decides of it; where the person pinned otherwise, the person's pin stands. */
  held?: Pins | undefined;
  /** Of the lamps where the outing is, for a shot that does not say. */
  mainsHz?: 50 | 60 | undefined;
}

/** The person's own pins, without what holds the shot beside them. */
export function ownPins({ pins, held }: Brief): Pins {
  return (Object.keys(held) as (keyof Pins)[]).reduce<Pins>((left, key) => omit(left, key), pins);
}

/** Fills what a shot leaves open, and lists what it filled. Defaults of motion follow from mount and activity. */
export function briefOf(
  shot: Shot,
  { held = {}, mainsHz: mainsThere }: InPlan = {},
): { brief: Brief; assumed: Assumed[] } {
  const own = new LearnedFigures(shot.learned ?? NONE);
  const assumed: Assumed[] = [];
  const or = <T>(given: T | undefined, path: string, fallback: T): T => {
    if (given !== undefined) return given;
    assumed.push({ path, value: fallback });
    return fallback;
  };
  const { playback, look, mount: carried, motion, limits } = shot;
  if (shot.name === undefined) assumed.push({ path: 'name', value: null });
  const timelineFps = or(playback?.timelineFps, 'playback.timelineFps', USUAL.timelineFps);
  const speeds = [
    or(playback?.slowdown, 'playback.slowdown', USUAL.slowdown),
    ...(playback?.alsoSlowdowns ?? []),
  ];
  const slowdown = Math.max(...speeds);
  const alsoSlowdowns = [...new Set(speeds)].filter((speed) => speed !== slowdown).sort((a, b) => a - b);
  const deliver = or(playback?.deliver, 'playback.deliver', { ...USUAL.deliver });
  const screen = or(playback?.screen, 'playback.screen', USUAL.screen);
  const school = or(look?.school, 'look.school', USUAL.school);
  const mine = look?.mine ?? null;
  if (school === 'mine') or(look?.mine, 'look.mine', {});
  const grade = or(look?.grade, 'look.grade', USUAL.grade);
  const dry = own.camera(
    shot.camera && 'profile' in shot.camera
      ? shot.camera.profile
      : ARCHETYPES[or(shot.camera?.archetype, 'camera.archetype', USUAL.archetype)],
  );
  // Every lens sees less behind its port.
  const camera = shot.light?.kind === 'underwater' ? cameraUnderWater(dry) : dry;
  const kind = or(carried?.kind, 'mount.kind', USUAL.mount);
  const ground = or(carried?.ground, 'mount.ground', USUAL.ground);
  const activity = or(carried?.activity, 'mount.activity', USUAL.activity);
  const places = placesOf(kind);
  const place = places.find((one) => one === carried?.place) ?? places[0];
  if (place !== undefined) or(carried?.place, 'mount.place', place);
  const usual = habitsOf(kind, place);
  const tiltDeg = or(carried?.tiltDeg, 'mount.tiltDeg', 0);
  const pitchDeg = or(carried?.pitchDeg, 'mount.pitchDeg', usual.pitchDeg);
  const glassDeg = or(carried?.glassDeg, 'mount.glassDeg', usual.glassDeg);
  const cutDeg = or(carried?.cutDeg, 'mount.cutDeg', 0);
  const travel = usual.stands ? 0 : ACTIVITY_HABITS[activity].travelMps;
  const travelMps = or(motion?.travelMps, 'motion.travelMps', travel);
  const nearestM = or(motion?.nearestM, 'motion.nearestM', usual.nearestM);
  const panDegPerS = or(motion?.panDegPerS, 'motion.panDegPerS', usual.panDegPerS);
  const shake = (): number =>
    usualShakeDegPerSRms(kind, ground, activity, { place, travelMps }) *
    own.shakeFactor({ mount: kind, ground, activity });
  const shakeDegPerSRms = motion?.shakeDegPerSRms ?? or(undefined, 'motion.shakeDegPerSRms', shake());
  const given = motion?.subject;
  if (!given) assumed.push({ path: 'motion.subject', value: null });
  const subject = given
    ? {
        speedMps: or(given.speedMps, 'motion.subject.speedMps', USUAL.subject.speedMps),
        distanceM: or(given.distanceM, 'motion.subject.distanceM', USUAL.subject.distanceM),
        sizeM: or(given.sizeM, 'motion.subject.sizeM', USUAL.subject.sizeM),
        sideM: or(given.sideM, 'motion.subject.sideM', USUAL.subject.sideM),
      }
    : null;
  const speech = or(shot.sound?.speech, 'sound.speech', talksToCamera(subject));
  const told = or<Light>(shot.light, 'light', { kind: 'scene', from: 'openShade', to: 'openSun' });
  const light: Light = own.light(
    told.kind === 'sun'
      ? {
          ...told,
          sky: or(told.sky, 'light.sky', USUAL_SUN.sky),
          shade: or(told.shade, 'light.shade', [...USUAL_SUN.shade]),
          ground: or(told.ground, 'light.ground', USUAL_SUN.ground),
        }
      : told,
  );
  const surroundings = or(
    shot.surroundings,
    'surroundings',
    usualSurroundings(light, { kind, place, activity }, limits?.lamps),
  );
  const indoors = surroundings === 'room' || surroundings === 'stage' || surroundings === 'cabin';
  const windMps = or(shot.sound?.windMps, 'sound.windMps', indoors ? 0 : USUAL.windMps);
  const filters = own.filters(or(shot.filters, 'filters', [...USUAL_FILTERS]));
  const isoCeiling =
    limits?.isoCeiling ??
    or(undefined, 'limits.isoCeiling', usualCeiling(shot, own.isoCeiling(camera), camera));
  const mainsHz = or(limits?.mainsHz, 'limits.mainsHz', mainsThere ?? USUAL.mainsHz);
  const lamps = or(limits?.lamps, 'limits.lamps', 'byLight');
  const screenHz = or(limits?.screenHz, 'limits.screenHz', USUAL.screenHz);
  const recordSeconds = or(limits?.recordSeconds, 'limits.recordSeconds', USUAL.recordSeconds);
  const cardGb = or(limits?.cardGb, 'limits.cardGb', USUAL.cardGb);
  return {
    assumed,
    brief: {
      playback: { timelineFps, slowdown, alsoSlowdowns, deliver, screen },
      look: { school, grade, mine },
      camera,
      mount: {
        kind,
        ...(place === undefined ? {} : { place }),
        ground,
        activity,
        tiltDeg,
        pitchDeg,
        glassDeg,
        cutDeg,
      },
      motion: { travelMps, nearestM, panDegPerS, shakeDegPerSRms, subject },
      light,
      surroundings,
      filters,
      pins: { ...held, ...shot.pins, ...recordedAs(shot) },
      held: (Object.keys(shot.pins ?? {}) as (keyof Pins)[]).reduce((left, key) => omit(left, key), held),
      timeLapse: { ...filled(USUAL_TIME_LAPSE, shot.timeLapse), ...movingAs(shot.pins?.recording) },
      loop: filled(USUAL_LOOP, shot.loop),
      sound: { speech, windMps },
      learned: own.used(),
      limits: { isoCeiling, mainsHz, lamps, screenHz, recordSeconds, cardGb },
    },
  };
}

const NONE: readonly Learned[] = [];

/** Into the night a time-lapse is given what the sky asks: grain is less than no stars. */
function usualCeiling(shot: Shot, usual: number, { iso }: CameraProfile): number {
  const change = isTimeLapse(shot) ? shot.timeLapse?.change : undefined;
  if (change !== 'stars' && change !== 'sunset') return usual;
  return Math.max(usual, Math.min(iso.standard.max, USUAL.nightIsoCeiling));
}

/** A shot of a file that only tells a time-lapse is one. */
function recordedAs(shot: Shot): Pick<Pins, 'recording'> {
  if (!isTimeLapse(shot) || shot.pins?.recording !== undefined) return {};
  return { recording: shot.timeLapse?.moving === true ? 'movingTimeLapse' : 'timeLapse' };
}

/** A pinned recording says whether the camera moves. */
function movingAs(recording: Pins['recording']): { moving?: boolean } {
  if (recording === 'movingTimeLapse') return { moving: true };
  return recording === 'timeLapse' ? { moving: false } : {};
}
