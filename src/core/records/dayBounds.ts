/** Shortest and longest pause, break or way, minutes. */
export const PAUSE_MINUTES = { least: 0.5, most: 1440 } as const;

/** Air of a day of which nobody said anything, °C in the shade (start): a mild one. */
export const USUAL_AIR = { lowC: 8, highC: 18 } as const;

/** Most lines of a day, and days of an outing. */
export const MOST_ENTRIES = 400;
export const MOST_DAYS = 31;

/** Most days of a rehearsal. */
export const MOST_DRAWS = 100_000;
