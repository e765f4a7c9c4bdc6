/** Shortest and longest pause, break or way, minutes. */
export const PAUSE_MINUTES = { least: 0.5, most: 1440 } as const;

/** Most lines of a day, and days of an outing. */
export const MOST_ENTRIES = 400;
export const MOST_DAYS = 31;

/** Most days of a rehearsal. */
export const MOST_DRAWS = 100_000;
