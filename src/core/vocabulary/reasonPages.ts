/** The pages on which the answers are reasoned, in the order of the work; then what they have in common. */
export const REASON_PAGES = [
  'playback',
  'steadiness',
  'shutter',
  'conforming',
  'rolling',
  'gimbals',
  'vehicles',
  'light',
  'meter',
  'contrast',
  'polarizers',
  'colour',
  'underWater',
  'timeLapse',
  'flicker',
  'view',
  'card',
  'power',
  'cameras',
  'sound',
  'cautions',
  'schools',
  'figures',
  'glossary',
] as const;
export type ReasonPage = (typeof REASON_PAGES)[number];

/** `null`: there is no such page. */
export function reasonPage(name: string | null): ReasonPage | null {
  return REASON_PAGES.find((page) => page === name) ?? null;
}
