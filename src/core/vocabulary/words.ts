/** The words of the plan file, each list in the order in which a person meets them. A later version may only add. */
export const SCREENS = ['phone', 'laptop', 'desktop', 'tv', 'projector'] as const;
export const SCHOOL_IDS = ['weigh', 'film', 'crisp', 'middle', 'post', 'handsOff'] as const;
export const GRADES = ['none', 'light', 'full'] as const;
export const ARCHETYPE_IDS = ['main', 'mini', 'budget', 'phone', 'sphere', 'long'] as const;
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
/** Where on the helmet, and how long the pole. */
export const MOUNT_PLACES = ['front', 'top', 'side', 'long', 'short'] as const;
export const GROUNDS = ['smooth', 'mixed', 'rough'] as const;
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
export const SKIES = ['clear', 'thin', 'cloud', 'dark'] as const;
export const SHADES = ['open', 'openShade', 'lightWood', 'denseWood', 'gorge'] as const;
export const SUN_GROUNDS = ['grass', 'rock', 'snow', 'water', 'sand'] as const;
export const STABILIZATIONS = ['off', 'standard', 'strong', 'levelHold', 'rollHold'] as const;
export const COLOURS = ['standard', 'flat', 'log'] as const;
export const CODECS = ['avc', 'hevc'] as const;
/** How a mode records: plain video and what some cameras have beside it. */
export const RECORDINGS = [
  'video',
  'slowMotion',
  'hdr',
  'lowLight',
  'loop',
  'timeLapse',
  'movingTimeLapse',
] as const;
export const START_METHODS = [
  'button',
  'oneButton',
  'voice',
  'remote',
  'timer',
  'code',
  'phone',
  'alwaysOn',
] as const;

/** Two shots that join in one movement, and how the camera is turned and held in them. */
export const PAIR_KINDS = ['whip', 'shake', 'cover', 'falling', 'sky', 'samePlace'] as const;
export const TURN_WAYS = ['left', 'right', 'up', 'down'] as const;
export const CAMERA_HANDS = ['left', 'right', 'none'] as const;

/** What a time-lapse watches, and how long each of its pictures is open. */
export const CHANGES = [
  'crowd',
  'fastClouds',
  'mist',
  'slowClouds',
  'sunset',
  'shadows',
  'stars',
  'growth',
] as const;
export const LAPSE_LOOKS = ['half', 'blur', 'crisp'] as const;

export type Change = (typeof CHANGES)[number];
export type LapseLookId = (typeof LAPSE_LOOKS)[number];
export type PairKind = (typeof PAIR_KINDS)[number];
export type TurnWay = (typeof TURN_WAYS)[number];
export type CameraHand = (typeof CAMERA_HANDS)[number];
export type Screen = (typeof SCREENS)[number];
export type SchoolId = (typeof SCHOOL_IDS)[number];
export type Grade = (typeof GRADES)[number];
export type ArchetypeId = (typeof ARCHETYPE_IDS)[number];
export type MountKind = (typeof MOUNT_KINDS)[number];
export type MountPlace = (typeof MOUNT_PLACES)[number];
export type Ground = (typeof GROUNDS)[number];
export type Activity = (typeof ACTIVITIES)[number];
export type Stabilization = (typeof STABILIZATIONS)[number];
export type Colour = (typeof COLOURS)[number];
export type Codec = (typeof CODECS)[number];
export type Recording = (typeof RECORDINGS)[number];
export type StartMethod = (typeof START_METHODS)[number];

export type Sky = (typeof SKIES)[number];
export type Shade = (typeof SHADES)[number];
export type SunGround = (typeof SUN_GROUNDS)[number];
