import type { ReasonPage } from './reasonPages';

/**
 * The ways in which a viewer sees a picture go wrong, in the order of the charts, and what a school wishes for and does not
 * get. Each is worked out by its module in `loss/terms/`;
 * the page is the one on which it is reasoned.
 */
export const PAGE_OF_TERM = {
  over: 'light',
  under: 'light',
  noise: 'light',
  meter: 'meter',
  drift: 'light',
  filter: 'light',
  glare: 'polarizers',
  angle: 'shutter',
  smear: 'steadiness',
  subjectBlur: 'shutter',
  strobing: 'shutter',
  flicker: 'flicker',
  stutter: 'playback',
  cadence: 'conforming',
  resolution: 'view',
  viewNarrow: 'view',
  viewWide: 'view',
  steadiness: 'steadiness',
  tilt: 'steadiness',
  editCrop: 'steadiness',
  bitRate: 'card',
  card: 'card',
  colour: 'schools',
  contrast: 'contrast',
  whiteBalance: 'colour',
  wish: 'schools',
} as const satisfies Record<string, ReasonPage>;
export type TermId = keyof typeof PAGE_OF_TERM;
export const TERM_IDS = Object.keys(PAGE_OF_TERM) as [TermId, ...TermId[]];

/** Every term but the school's wishes: what a person may weigh. */
export const WEIGHED_TERMS = TERM_IDS.filter((id) => id !== 'wish');

/** What two moving pictures side by side show, so that a choice between them tells something of its weight. */
export const SEEN_TERMS = [
  'over',
  'under',
  'noise',
  'angle',
  'smear',
  'subjectBlur',
  'strobing',
  'stutter',
  'viewNarrow',
  'viewWide',
  'steadiness',
] as const satisfies readonly TermId[];
export type SeenTerm = (typeof SEEN_TERMS)[number];
