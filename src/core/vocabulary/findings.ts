import type { ReasonPage } from './reasonPages';

/** What is found in a clip that came back; with the page on which it is reasoned. */
export const PAGE_OF_FINDING = {
  over: 'light',
  under: 'light',
  drift: 'light',
  smear: 'steadiness',
  stutter: 'playback',
  strobing: 'shutter',
  noise: 'light',
  tilt: 'steadiness',
  soft: 'view',
  flicker: 'flicker',
  shake: 'steadiness',
  bitRate: 'card',
  cutOff: 'card',
  frameRate: 'playback',
  size: 'view',
  wind: 'sound',
  clippedSound: 'sound',
  silent: 'sound',
} as const satisfies Record<string, ReasonPage>;
export type FindingCode = keyof typeof PAGE_OF_FINDING;
export const FINDING_CODES = Object.keys(PAGE_OF_FINDING) as [FindingCode, ...FindingCode[]];
