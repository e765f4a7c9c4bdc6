import type { Activity, Role, Scenery } from '@/core/vocabulary/activities';
import type { Change, TimeLapseLookId } from '@/core/vocabulary/timeLapses';
import type { Codec, Colour, Grade, Recording, Stabilization } from '@/core/vocabulary/modes';
import type { Ground, MountKind, MountPlace } from '@/core/vocabulary/mounts';
import type { CameraHand, PairKind, TurnWay } from '@/core/vocabulary/pairs';
import type { SchoolId } from '@/core/vocabulary/schools';
import type { Screen } from '@/core/vocabulary/screens';
import type { LightMoment } from '@/core/preview/take';
import type { SceneName } from '@/core/vocabulary/scenes';
import type { CutReason, Verdict } from '@/core/records/logEntry';
import type { SettingKey } from '@/core/records/settings';

/** The words shown for the words of the plan file. Lower case, so that they can stand in a sentence. */
export const SCHOOL_LABEL: Record<SchoolId, string> = {
  weigh: 'weigh it',
  film: 'film motion',
  crisp: 'crisp first',
  middle: 'middle path',
  post: 'finish in post',
  handsOff: 'hands off',
};

export const SCHOOL_MEANS: Record<SchoolId, string> = {
  weigh: 'the least visible loss, whichever way',
  film: '180° shutter, as strong a filter as that needs, no electronic hold',
  crisp: 'no longer than the shake allows, held by the camera',
  middle: 'between the two, one step lighter',
  post: 'tall, wide and unheld; steadied in the edit',
  handsOff: 'automatic with limits, nothing on the lens',
};

export const SCENE_LABEL: Record<SceneName, string> = {
  snowSun: 'sun on snow',
  openSun: 'open sun',
  hazySun: 'hazy sun',
  brightCloud: 'bright cloud',
  overcast: 'overcast',
  openShade: 'open shade',
  heavyOvercast: 'heavy overcast',
  afterSunset: 'after sunset',
  lightWood: 'light wood',
  denseWood: 'dense wood',
  gorgeFloor: 'gorge floor',
  brightHall: 'bright hall',
  sportsHall: 'sports hall',
  litRoom: 'lit room',
  litStreet: 'lit street',
  dimHall: 'dim hall',
  fullMoon: 'full moon',
};

export const SCREEN_LABEL: Record<Screen, string> = {
  phone: 'phone',
  laptop: 'laptop',
  desktop: 'desktop screen',
  tv: 'television',
  projector: 'projector',
};

export const GRADE_LABEL: Record<Grade, string> = {
  none: 'no grading',
  light: 'light grading',
  full: 'full grading',
};

export const MOUNT_LABEL: Record<MountKind, string> = {
  helmet: 'helmet',
  cap: 'cap',
  bite: 'bite mount',
  chest: 'chest',
  shoulder: 'shoulder',
  wrist: 'wrist',
  hand: 'hand',
  handle: 'heavy handle',
  pole: 'pole',
  backPole: 'pole on the back',
  handlebar: 'handlebar',
  hull: 'hull',
  board: 'board',
  vehicleInside: 'windscreen inside',
  vehicleOutside: 'vehicle outside',
  rail: 'rail looking along',
  railBack: 'rail looking back',
  tripod: 'tripod',
  groundStand: 'ground stand',
  drone: 'drone frame',
};

export const PLACE_LABEL: Record<MountPlace, string> = {
  front: 'front',
  top: 'top',
  side: 'side',
  long: 'long',
  short: 'short',
};

export const GROUND_LABEL: Record<Ground, string> = { smooth: 'smooth', mixed: 'mixed', rough: 'rough' };

export const ACTIVITY_LABEL: Record<Activity, string> = {
  still: 'standing still',
  walking: 'walking',
  running: 'running',
  riding: 'riding',
  paddling: 'paddling',
  climbing: 'climbing',
  skating: 'skating',
  surfing: 'surfing',
  driving: 'driving',
  flying: 'flying',
  playing: 'playing',
};

export const STABILIZATION_LABEL: Record<Stabilization, string> = {
  off: 'off',
  standard: 'standard',
  strong: 'strong',
  levelHold: 'level hold',
  rollHold: 'full-roll hold',
};

export const COLOUR_LABEL: Record<Colour, string> = { standard: 'standard', flat: 'flat', log: 'log' };

export const RECORDING_LABEL: Record<Recording, string> = {
  video: 'video',
  slowMotion: 'slow motion',
  hdr: 'high dynamic range',
  lowLight: 'low-light priority',
  loop: 'loop',
  timeLapse: 'time-lapse',
  movingTimeLapse: 'moving time-lapse',
};

export const CODEC_LABEL: Record<Codec, string> = { avc: 'AVC', hevc: 'HEVC' };

export const SETTING_LABEL: Record<SettingKey, string> = {
  frameRate: 'Frame rate',
  shutterSeconds: 'Shutter',
  shutterAngleDeg: 'Shutter angle',
  shutterMode: 'Shutter mode',
  shutterFloorSeconds: 'Shortest shutter',
  filter: 'Filter',
  iso: 'ISO',
  resolution: 'Resolution',
  view: 'View',
  bitRateMbps: 'Bit rate',
  stabilization: 'Stabilization',
  whiteBalance: 'White balance',
  colour: 'Colour',
  exposureOffsetStops: 'Exposure offset',
  codec: 'Codec',
  sharpening: 'Sharpening',
  noiseReduction: 'Noise reduction',
  recording: 'Recording',
  bitDepth: 'Colour depth',
};

/** Views keep the id their profile gives them; camel case reads as words. */
export function viewLabel(id: string): string {
  return id.replace(
    /([a-z])([A-Z])/g,
    (_, before: string, after: string) => `${before} ${after.toLowerCase()}`,
  );
}

export const VERDICT_LABEL: Record<Verdict, string> = {
  good: 'good',
  tooDark: 'too dark',
  whiteSky: 'white sky',
  smear: 'smear',
  stutter: 'stutter',
  strobing: 'strobing',
  noisy: 'noisy',
  tilted: 'tilted',
  blocked: 'blocked',
  cutOff: 'cut off',
  outOfFocus: 'out of focus',
  flicker: 'flicker',
  other: 'other',
};

export const CUT_LABEL: Record<CutReason, string> = {
  cardFull: 'card full',
  batteryFlat: 'battery flat',
  tooHot: 'too hot',
  stopped: 'stopped by hand',
  unknown: 'not known',
};

export const LIGHT_MOMENT_LABEL: Record<LightMoment, string> = {
  dark: 'darkest',
  run: 'through the run',
  bright: 'brightest',
};

export const SCENE_PICTURE_LABEL: Record<Scenery, string> = {
  gorge: 'water between walls',
  trail: 'trail in a wood',
  road: 'road',
  rock: 'rock face',
  hall: 'hall',
  hut: 'hut in the evening',
};

export const PAIR_LABEL: Record<PairKind, string> = {
  whip: 'whip',
  shake: 'shake',
  cover: 'cover the lens',
  falling: 'fall',
  sky: 'meet in the sky',
  samePlace: 'jump on the same place',
};

export const PAIR_MEANS: Record<PairKind, string> = {
  whip: 'The first half ends in a fast turn, the second begins out of one: the smear hides the cut.',
  shake: 'Both are shaken at the cut. Stabilization would undo it, so it is off.',
  cover: 'A hand comes over the lens at the end and goes from it at the beginning; it cuts in the dark.',
  falling: 'The camera falls past the ground, and lands in the second place.',
  sky: 'The first half tilts up into the sky, the second comes down out of it.',
  samePlace: 'The camera stands where it stood; only what it sees has changed.',
};

export const TURN_LABEL: Record<TurnWay, string> = { left: 'left', right: 'right', up: 'up', down: 'down' };
export const HAND_LABEL: Record<CameraHand, string> = {
  left: 'left hand',
  right: 'right hand',
  none: 'no hand',
};

export const CHANGE_LABEL: Record<Change, string> = {
  crowd: 'people moving',
  fastClouds: 'fast clouds',
  mist: 'mist',
  slowClouds: 'slow clouds',
  sunset: 'sun rising or setting',
  shadows: 'shadows',
  stars: 'stars',
  growth: 'something growing',
};

export const TIME_LAPSE_LOOK_LABEL: Record<TimeLapseLookId, string> = {
  half: 'half the interval: the 180° look',
  blur: 'a blur of its own',
  crisp: 'crisp',
};

export const ROLE_LABEL: Record<Role, string> = {
  wide: 'Wide, riding along',
  near: 'Near, for speed',
  reverse: 'Reverse, the person',
  surroundings: 'Surroundings',
};
