/** What a person prefers, each with what may be chosen, the usual first. Kept by the browser, apart from the records. */
export const PREFERENCES = {
  /** How the screen looks. */
  theme: ['paper', 'night', 'glare'],
  /** How filters are written: by factor (ND16), in stops, or as density (0.301 a stop). */
  filterNotation: ['factor', 'stops', 'density'],
  /** How much of the brief's sentence stands open. */
  brief: ['folded', 'open'],
} as const;

export type Preference = keyof typeof PREFERENCES;
export type Preferred<P extends Preference> = (typeof PREFERENCES)[P][number];
