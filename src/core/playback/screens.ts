import type { Screen } from '../vocabulary/words';

/** How large a picture stands before the eye, by screen: its width and how far away it is watched, metres (start). */
export const SCREENS_WATCHED: Record<Screen, { widthM: number; distanceM: number }> = {
  phone: { widthM: 0.15, distanceM: 0.35 },
  laptop: { widthM: 0.25, distanceM: 0.6 },
  desktop: { widthM: 0.6, distanceM: 0.7 },
  tv: { widthM: 1.2, distanceM: 2.5 },
  projector: { widthM: 2.2, distanceM: 3.5 },
};

/** The eye tells about this many pixels a degree apart: one arc-minute each. */
export const EYE_PX_PER_DEGREE = 60;

/** Pixels a degree of sight: width ÷ (2·atan(screen width / (2·distance))). */
export function pixelsPerSightDegree(widthPx: number, screen: Screen): number {
  const { widthM, distanceM } = SCREENS_WATCHED[screen];
  return widthPx / ((2 * Math.atan(widthM / (2 * distanceM)) * 180) / Math.PI);
}
