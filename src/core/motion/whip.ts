import { pctWidthPerDegree } from '../optics/projection';
import type { Projection } from '../optics/projection';

/** Turning fast enough to smear on purpose. Degrees, seconds, per cent of the frame's width. */

/** Blur from which a whip hides its cut (start). */
export const WHIP_BLUR_PCT = 10;

/** How fast to turn for a blur at this shutter and view, measured at the centre: ω = blur / (scale · t). */
export function turnForBlurDegPerS(
  blurPctWidth: number,
  shutterSeconds: number,
  horizontalDeg: number,
  projection: Projection,
): number {
  return blurPctWidth / (pctWidthPerDegree(horizontalDeg, projection) * shutterSeconds);
}

/** The same said as a quarter turn: the seconds it takes. */
export function quarterTurnSeconds(turnDegPerS: number): number {
  return 90 / turnDegPerS;
}
