/** How fast things cross the view, in degrees per second. Distances in metres, speeds in metres per second. */
const DEG = 180 / Math.PI;

/** A subject passing at right angles, at its nearest: ω = v / d. */
export function passingDegPerS(speedMps: number, distanceM: number): number {
  return (speedMps / distanceM) * DEG;
}

/**
 * Things at side distance h while travelling forward at v, seen θ off the axis: ω = (v/h)·sin² θ, zero ahead and
 * greatest abeam. Source: d/dt of atan(h/z).
 */
export function forwardFlowDegPerS(travelMps: number, sideDistanceM: number, offAxisDeg: number): number {
  const sine = Math.sin(offAxisDeg / DEG);
  return (travelMps / sideDistanceM) * sine * sine * DEG;
}

/** Blur to add in the edit to look like 180°, in shares of a frame step: (180 − angle)/360, never below zero. */
export function blurToAddOfFrameStep(shutterAngleDeg: number): number {
  return Math.max(0, (180 - shutterAngleDeg) / 360);
}
