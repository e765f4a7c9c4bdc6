import type { ReasonPage } from './reasonPages';

/** What can be practised, in the order in which a newcomer meets it; with the page on which it is reasoned. */
export const PAGE_OF_DRILL = {
  light: 'light',
  stops: 'light',
  filter: 'light',
  shutter: 'steadiness',
  rate: 'playback',
  view: 'view',
  lasts: 'power',
  school: 'schools',
} as const satisfies Record<string, ReasonPage>;
export type DrillKind = keyof typeof PAGE_OF_DRILL;
export const DRILL_KINDS = Object.keys(PAGE_OF_DRILL) as [DrillKind, ...DrillKind[]];
