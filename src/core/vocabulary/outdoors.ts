/**
 * What stands between the sun and the ground: cloud, trees, walls; and what the ground gives back. Starting estimates in
 * stops, except where a source is named.
 */
export const SKY_HABITS = {
  clear: { divisor: 1, errorStops: 0.3 },
  thin: { divisor: 2, errorStops: 0.5 },
  cloud: { divisor: 3, errorStops: 0.8 },
  dark: { divisor: 10, errorStops: 1 },
} as const satisfies Record<string, SkyHabits>;

interface SkyHabits {
  /** What the light on level ground is divided by. Source: Janiczek & DeYoung 1987. */
  divisor: number;
  /** How far the model may be off either way, stops (start): a sky is not a number. */
  errorStops: number;
}

/** From the lightest to the darkest. */
export const SKIES = Object.keys(SKY_HABITS) as [Sky, ...Sky[]];
export type Sky = keyof typeof SKY_HABITS;

/** Stops that a shade takes from full sun (start). */
export const SHADE_STOPS = { open: 0, openShade: -3, lightWood: -4, denseWood: -6.5, gorge: -4.5 } as const;
export const SHADES = Object.keys(SHADE_STOPS) as [Shade, ...Shade[]];
export type Shade = keyof typeof SHADE_STOPS;

/** Stops that bright ground adds to a scene (start): snow +1, water and pale sand +0.5. */
export const GROUND_STOPS = { grass: 0, rock: 0, snow: 1, water: 0.5, sand: 0.5 } as const;
export const SUN_GROUNDS = Object.keys(GROUND_STOPS) as [SunGround, ...SunGround[]];
export type SunGround = keyof typeof GROUND_STOPS;
