/**
 * Light mirrored by water or glass, and what a polarizer leaves of it. Angles in degrees from the surface's
 * perpendicular, shares 0…1. Source: Fresnel's equations; Brewster's angle is where nothing is mirrored along the plane.
 */

/** Refractive index of window glass. */
export const GLASS_INDEX = 1.52;
/** From this little of a reflection on a polarizer is worth wearing (start): half of it is gone. */
const WORTH_LEFT = 0.5;

/** Share of the mirrored light left through a polarizer turned against it: `2 Rp / (Rs + Rp)`. */
export function mirroredLeft(incidenceDeg: number, index: number): number {
  const { across, along } = mirrored(incidenceDeg, index);
  return (2 * along) / (across + along);
}

/** Share that one surface mirrors of light swinging across the plane of incidence, and along it. */
function mirrored(incidenceDeg: number, index: number): { across: number; along: number } {
  // Square on both are the same, and the sines below would divide by nothing.
  const incidence = (Math.max(0.001, incidenceDeg) * Math.PI) / 180;
  const inside = Math.asin(Math.sin(incidence) / index);
  return {
    across: (Math.sin(incidence - inside) / Math.sin(incidence + inside)) ** 2,
    along: (Math.tan(incidence - inside) / Math.tan(incidence + inside)) ** 2,
  };
}

/** A pane in front of the lens. */
export interface Pane {
  angleDeg: number;
  /** Share of what stands on the camera's side that both faces of the pane throw back into the picture. */
  mirroredShare: number;
  /** Share of that left through a polarizer, and the angle at which next to nothing is. */
  left: number;
  bestDeg: number;
  /** Whether a polarizer takes half of it or more. */
  worth: boolean;
}

export function paneAt(angleDeg: number): Pane {
  const { across, along } = mirrored(angleDeg, GLASS_INDEX);
  const one = (across + along) / 2;
  const left = mirroredLeft(angleDeg, GLASS_INDEX);
  return {
    angleDeg,
    // The second face mirrors what the first let through, there and back.
    mirroredShare: one + one * (1 - one) ** 2,
    left,
    bestDeg: (Math.atan(GLASS_INDEX) * 180) / Math.PI,
    worth: left <= WORTH_LEFT,
  };
}
