/**
 * What a time-lapse watches, with an interval at which it flows without jumping, seconds (start): shorter for what changes
 * faster.
 */
export const USUAL_INTERVAL_SECONDS = {
  crowd: 1,
  fastClouds: 2,
  mist: 3,
  slowClouds: 5,
  sunset: 5,
  shadows: 20,
  stars: 25,
  growth: 600,
} as const;

export type SceneChange = keyof typeof USUAL_INTERVAL_SECONDS;
export const SCENE_CHANGES = Object.keys(USUAL_INTERVAL_SECONDS) as [SceneChange, ...SceneChange[]];

/** How long each of its pictures is open. */
export const TIME_LAPSE_LOOKS = ['half', 'blur', 'crisp'] as const;
export type TimeLapseLookId = (typeof TIME_LAPSE_LOOKS)[number];
