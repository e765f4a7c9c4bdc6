import type { ReasonPage } from './reasonPages';

/** What an answer warns of, that of a time-lapse among it; with the page on which it is reasoned. */
export const PAGE_OF_WARNING = {
  over: 'light',
  under: 'light',
  noise: 'light',
  smear: 'steadiness',
  strobing: 'shutter',
  stutter: 'playback',
  cadence: 'conforming',
  flicker: 'flicker',
  viewNarrow: 'view',
  faceNear: 'view',
  tilt: 'steadiness',
  margin: 'steadiness',
  resolution: 'view',
  bitRate: 'card',
  card: 'card',
  power: 'power',
  heat: 'power',
  speed: 'shutter',
  start: 'playback',
  flare: 'light',
  seam: 'view',
  reflection: 'vehicles',
  depth: 'underWater',
  colourCast: 'underWater',
  backlight: 'contrast',
  glare: 'polarizers',
  exposeLapse: 'timeLapse',
  safety: 'cautions',
} as const satisfies Record<string, ReasonPage>;
type WarningCode = keyof typeof PAGE_OF_WARNING;
export const WARNING_CODES = Object.keys(PAGE_OF_WARNING) as [WarningCode, ...WarningCode[]];
