import { SCREENS_WATCHED } from '../vocabulary/screens';
import type { Screen } from '../vocabulary/screens';

/** The eye tells about this many pixels a degree apart: one arc-minute each. */
export const EYE_PX_PER_DEGREE = 60;

/** Pixels a degree of sight: width ÷ (2·atan(screen width / (2·distance))). */
export function pixelsPerSightDegree(widthPx: number, screen: Screen): number {
  const { widthM, distanceM } = SCREENS_WATCHED[screen];
  return widthPx / ((2 * Math.atan(widthM / (2 * distanceM)) * 180) / Math.PI);
}
