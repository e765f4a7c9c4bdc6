import type { ReasonPage } from './reasonPages';

/** Words of the trade, and words of this program, that open a sentence of what they mean; with the page that says more. */
export const PAGE_OF_WORD = {
  stop: 'light',
  ev: 'light',
  stopRule: 'light',
  window: 'light',
  highlightGuard: 'light',
  shakeFloor: 'steadiness',
  angle: 'shutter',
  loss: 'schools',
  school: 'schools',
  weighIt: 'schools',
  hold: 'steadiness',
  holds: 'figures',
  pin: 'schools',
  setUp: 'cameras',
  heldByTheDay: 'cameras',
} as const satisfies Record<string, ReasonPage>;
export type WordId = keyof typeof PAGE_OF_WORD;
export const WORDS = Object.keys(PAGE_OF_WORD) as WordId[];
