/**
 * A camera that films a whole sphere with two lenses back to back: where its seam stands in a flat picture cut out of it.
 * Degrees to the right of straight ahead, metres.
 */

/** How far the two lenses stand apart, metres (start): what is near is seen from two places at the seam. */
const LENSES_APART_M = 0.03;
const DEG = 180 / Math.PI;

interface Seam {
  /** From the middle of the cut to the nearer seam. */
  offDeg: number;
  /** It runs through the picture. */
  inFrame: boolean;
}

/** The lenses look ahead and back, so the seams stand at 90° to either side. */
export function seamIn(cutDeg: number, horizontalDeg: number): Seam {
  const fromAhead = Math.abs(((((cutDeg + 180) % 360) + 360) % 360) - 180);
  const offDeg = Math.abs(90 - fromAhead);
  return { offDeg, inFrame: offDeg < horizontalDeg / 2 };
}

/** How far the two lenses see a thing apart where their pictures join, degrees. */
export function seamDoublesDeg(distanceM: number): number {
  return Math.atan(LENSES_APART_M / distanceM) * DEG;
}

/** The distance from which that is no more than so many degrees. */
export function seamCleanFromM(degrees: number): number {
  return LENSES_APART_M / Math.tan(degrees / DEG);
}
