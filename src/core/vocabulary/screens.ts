/** What the film is watched on: its width and how far away it is watched, metres (start). */
export const SCREENS_WATCHED = {
  phone: { widthM: 0.15, distanceM: 0.35 },
  laptop: { widthM: 0.25, distanceM: 0.6 },
  desktop: { widthM: 0.6, distanceM: 0.7 },
  tv: { widthM: 1.2, distanceM: 2.5 },
  projector: { widthM: 2.2, distanceM: 3.5 },
} as const;

export type Screen = keyof typeof SCREENS_WATCHED;
export const SCREENS = Object.keys(SCREENS_WATCHED) as [Screen, ...Screen[]];
