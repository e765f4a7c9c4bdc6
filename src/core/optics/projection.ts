/**
 * Lens projections and what they make of an angle. Angles in degrees, full horizontal view unless said otherwise.
 *
 * | projection | radius at θ from the axis | where |
 * | `straight` | f·tan θ | lines stay straight; below 180° only |
 * | `curved` | f·θ, equidistant | most wide action views |
 * | `equisolid` | 2f·sin(θ/2) | some fisheye lenses |
 * | `stretched` | f·θ, then pulled wider | the widest modes: an equidistant 4:3 frame stretched to 16:9 |
 *
 * Source: Kannala & Brandt 2006, eqs. 1–5. Directions are unit-free vectors: x right, y down, z along the axis. Places
 * in the frame are in half widths: x from −1 at the left edge to 1 at the right, y likewise downwards.
 */
export const PROJECTIONS = ['straight', 'curved', 'equisolid', 'stretched'] as const;
export type Projection = (typeof PROJECTIONS)[number];

/** How much wider than high the widest modes draw a small square: a 4:3 frame shown as 16:9. */
export const STRETCH = 4 / 3;

export interface Lens {
  horizontalDeg: number;
  projection: Projection;
}

export interface Direction {
  x: number;
  y: number;
  z: number;
}

export interface Place {
  x: number;
  y: number;
}

const RAD = Math.PI / 180;

/** Radius over focal length at θ radians from the axis, along the direction that is not stretched. */
function radius(theta: number, projection: Projection): number {
  switch (projection) {
    case 'straight':
      return theta < Math.PI / 2 ? Math.tan(theta) : Infinity;
    case 'equisolid':
      return 2 * Math.sin(theta / 2);
    case 'curved':
    case 'stretched':
      return theta;
  }
}

/** The angle in radians at a radius over focal length; NaN outside the image circle. */
function angleAt(r: number, projection: Projection): number {
  switch (projection) {
    case 'straight':
      return Math.atan(r);
    case 'equisolid':
      return 2 * Math.asin(r / 2);
    case 'curved':
    case 'stretched':
      return r <= Math.PI ? r : NaN;
  }
}

/** Half widths of the frame for one focal length: the scale at the centre, per radian. */
function focalOf({ horizontalDeg, projection }: Lens): number {
  return 1 / radius((horizontalDeg / 2) * RAD, projection);
}

/** Per cent of the frame's width that one degree takes at the centre. */
export function pctWidthPerDegree(horizontalDeg: number, projection: Projection): number {
  return 50 * RAD * focalOf({ horizontalDeg, projection });
}

/** The view left when a crop keeps the share `keeps` (0…1) of the width. */
export function viewAfterCropDeg(horizontalDeg: number, keeps: number, projection: Projection): number {
  if (projection === 'curved' || projection === 'stretched') return keeps * horizontalDeg;
  return (2 * angleAt(keeps * radius((horizontalDeg / 2) * RAD, projection), projection)) / RAD;
}

/** How far a lens enlarges against another: the ratio of focal lengths on the same frame. */
export function magnification(lens: Lens, standard: Lens): number {
  return focalOf(lens) / focalOf(standard);
}

/** Where a direction falls in the frame; `null` when no ray from there reaches it. May lie outside the frame. */
export function project(lens: Lens, { x, y, z }: Direction): Place | null {
  const aside = Math.hypot(x, y);
  const theta = Math.atan2(aside, z);
  const r = radius(theta, lens.projection);
  if (!Number.isFinite(r)) return null;
  if (aside === 0) return z > 0 ? { x: 0, y: 0 } : null;
  const scale = (focalOf(lens) * r) / aside;
  return { x: x * scale, y: (y * scale) / squeezeOf(lens) };
}

/** The direction seen at a place in the frame; `null` outside the lens's image circle. */
export function unproject(lens: Lens, place: Place): Direction | null {
  const x = place.x;
  const y = place.y * squeezeOf(lens);
  const r = Math.hypot(x, y);
  if (r === 0) return { x: 0, y: 0, z: 1 };
  const theta = angleAt(r / focalOf(lens), lens.projection);
  if (Number.isNaN(theta)) return null;
  const aside = Math.sin(theta) / r;
  return { x: x * aside, y: y * aside, z: Math.cos(theta) };
}

/** d radius / dθ over focal length, beside `radius`. */
function radiusSlope(theta: number, projection: Projection): number {
  switch (projection) {
    case 'straight':
      return theta < Math.PI / 2 ? 1 / Math.cos(theta) ** 2 : Infinity;
    case 'equisolid':
      return Math.cos(theta / 2);
    case 'curved':
    case 'stretched':
      return 1;
  }
}

/**
 * How fast the picture of a thing moves, in half widths a second, when its direction (a unit vector) changes at `rate`
 * a second; `null` where no ray from there reaches the frame. The derivative of `project`, split into its part outward
 * and its part around the axis.
 */
export function imageVelocity(lens: Lens, direction: Direction, rate: Direction): Place | null {
  const { x, y, z } = direction;
  const aside = Math.hypot(x, y);
  const focal = focalOf(lens);
  const squeeze = squeezeOf(lens);
  if (aside < 1e-9) return z > 0 ? { x: focal * rate.x, y: (focal * rate.y) / squeeze } : null;
  const theta = Math.atan2(aside, z);
  const r = radius(theta, lens.projection);
  if (!Number.isFinite(r)) return null;
  const [ux, uy] = [x / aside, y / aside];
  const outward = radiusSlope(theta, lens.projection) * (z * (ux * rate.x + uy * rate.y) - aside * rate.z);
  const around = (r / aside) * (ux * rate.y - uy * rate.x);
  return {
    x: focal * (outward * ux - around * uy),
    y: (focal * (outward * uy + around * ux)) / squeeze,
  };
}

/** A stretched frame is drawn wider than it is seen; heights are left alone, so the picture looks squeezed upright. */
function squeezeOf({ projection }: Lens): number {
  return projection === 'stretched' ? STRETCH : 1;
}

/** The view upright through the centre of a W:H frame. */
export function verticalDeg(lens: Lens, width: number, height: number): number {
  const top = unproject(lens, { x: 0, y: height / width });
  return top === null ? 360 : (2 * Math.atan2(Math.abs(top.y), top.z)) / RAD;
}

/** The view from corner to corner of a W:H frame. */
export function diagonalDeg(lens: Lens, width: number, height: number): number {
  const corner = unproject(lens, { x: 1, y: height / width });
  return corner === null ? 360 : (2 * Math.acos(Math.min(1, Math.max(-1, corner.z)))) / RAD;
}

/**
 * How much longer a small thing is drawn outward at θ degrees to the side than at the centre: 1/cos²θ for a straight
 * lens, 1 for an equidistant one, cos(θ/2) for equisolid.
 */
export function outwardStretch(lens: Lens, offAxisDeg: number): number {
  const theta = Math.abs(offAxisDeg) * RAD;
  switch (lens.projection) {
    case 'straight':
      return theta < Math.PI / 2 ? 1 / Math.cos(theta) ** 2 : Infinity;
    case 'equisolid':
      return Math.cos(theta / 2);
    case 'curved':
    case 'stretched':
      return 1;
  }
}

/**
 * Horizontal view of a straight 16:9 lens given by its equivalent focal length: width 37.71 mm, the 16:9 frame
 * of the full-frame diagonal 43.27 mm.
 */
export function horizontalDegOfEquivalentFocal16x9(equivalentMm: number): number {
  const width = (43.2666 * 16) / Math.hypot(16, 9);
  return (2 * Math.atan(width / (2 * equivalentMm))) / RAD;
}
