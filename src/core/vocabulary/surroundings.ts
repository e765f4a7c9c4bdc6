/**
 * What fills most of a frame: how much of the light it gives back, as a meter sees it, and how open the sky over it is.
 * Starting estimates in the order of published reflectances.
 */
export const SURROUNDINGS_HABITS = {
  water: { reflectance: 0.16, open: 1 },
  snow: { reflectance: 0.8, open: 0.9 },
  sand: { reflectance: 0.4, open: 1 },
  rock: { reflectance: 0.18, open: 0.5 },
  grass: { reflectance: 0.18, open: 0.8 },
  wood: { reflectance: 0.06, open: 0.1 },
  road: { reflectance: 0.16, open: 0.7 },
  room: { reflectance: 0.18, open: 0 },
  stage: { reflectance: 0.045, open: 0 },
  cabin: { reflectance: 0.1, open: 0.25 },
  sky: { reflectance: 0.5, open: 1 },
} as const satisfies Record<string, SurroundingsHabits>;

interface SurroundingsHabits {
  /** Share of the light that it gives back, 0…1; middle grey is 0.18. */
  reflectance: number;
  /** Share of what lies above the horizon that is sky, 0…1. */
  open: number;
}

export type Surroundings = keyof typeof SURROUNDINGS_HABITS;
export const SURROUNDINGS = Object.keys(SURROUNDINGS_HABITS) as [Surroundings, ...Surroundings[]];
