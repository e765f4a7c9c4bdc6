import { compassBetweenDeg } from './position';
import type { SunPosition } from './position';

/** Where a camera looks: heading on the compass, pitch below the horizon, view in degrees. */
export interface CameraAim {
  headingDeg: number;
  pitchDeg: number;
  horizontalDeg: number;
  verticalDeg: number;
}

/** Outside the frame, the sun still throws veil and ghosts on a small lens up to here, degrees (start). */
const FLARE_OUTSIDE_DEG = 15;

export type SunInView =
  | { where: 'frame'; acrossDeg: number; upDeg: number }
  | { where: 'justOutside'; byDeg: number; acrossDeg: number; upDeg: number }
  | { where: 'away' };

/**
 * Where the sun stands in a camera's frame: degrees right of and above its axis. Across and up are taken as on a
 * sphere turned by heading and pitch, without roll; exact on both axes, a degree or two off in the corners.
 */
export function sunInView(sun: SunPosition, aim: CameraAim): SunInView {
  const rad = Math.PI / 180;
  const away = ((((sun.azimuthDeg - aim.headingDeg) % 360) + 540) % 360) - 180;
  const altitude = sun.apparentAltitudeDeg * rad;
  const pitch = aim.pitchDeg * rad;
  // Ahead, right and up in the world; then tipped so that the camera's axis is ahead.
  const ahead = Math.cos(altitude) * Math.cos(away * rad);
  const right = Math.cos(altitude) * Math.sin(away * rad);
  const up = Math.sin(altitude);
  const forward = ahead * Math.cos(pitch) - up * Math.sin(pitch);
  const upward = up * Math.cos(pitch) + ahead * Math.sin(pitch);
  const acrossDeg = Math.atan2(right, forward) / rad;
  const upDeg = Math.asin(Math.min(1, Math.max(-1, upward))) / rad;
  const outside = Math.max(
    Math.abs(acrossDeg) - aim.horizontalDeg / 2,
    Math.abs(upDeg) - aim.verticalDeg / 2,
  );
  if (sun.apparentAltitudeDeg <= 0 || outside > FLARE_OUTSIDE_DEG) return { where: 'away' };
  if (outside > 0) return { where: 'justOutside', byDeg: outside, acrossDeg, upDeg };
  return { where: 'frame', acrossDeg, upDeg };
}

/** Angle in degrees between the sun and a direction (heading, altitude). Source: spherical law of cosines. */
export function angleToSunDeg(sun: SunPosition, headingDeg: number, altitudeDeg: number): number {
  const rad = Math.PI / 180;
  const a = sun.apparentAltitudeDeg * rad;
  const b = altitudeDeg * rad;
  const between = compassBetweenDeg(sun.azimuthDeg, headingDeg) * rad;
  const cosine = Math.sin(a) * Math.sin(b) + Math.cos(a) * Math.cos(b) * Math.cos(between);
  return Math.acos(Math.min(1, Math.max(-1, cosine))) / rad;
}
