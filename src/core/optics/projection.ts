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
interface Shape {
  /** Radius over focal length at θ radians from the axis, along the direction that is not stretched. */
  radius: (theta: number) => number;
  /** The angle in radians at a radius over focal length; NaN outside the image circle. */
  angleAt: (r: number) => number;
  /** d radius / dθ over focal length. */
  slope: (theta: number) => number;
  /** `angleAt` of f in GLSL, for those who draw on the graphics card. */
  glsl: string;
  /** How much wider than high a small square at the centre is drawn; heights are left alone, so the picture looks squeezed upright. */
  squeeze: number;
}

/** Rectilinear. */
const STRAIGHT: Shape = {
  radius: (theta) => (theta < Math.PI / 2 ? Math.tan(theta) : Infinity),
  angleAt: Math.atan,
  glsl: 'atan(f)',
  slope: (theta) => (theta < Math.PI / 2 ? 1 / Math.cos(theta) ** 2 : Infinity),
  squeeze: 1,
};
/** Equidistant. */
const CURVED: Shape = {
  radius: (theta) => theta,
  angleAt: (r) => (r <= Math.PI ? r : NaN),
  glsl: 'f',
  slope: () => 1,
  squeeze: 1,
};
const SHAPES = {
  straight: STRAIGHT,
  curved: CURVED,
  equisolid: {
    radius: (theta: number): number => 2 * Math.sin(theta / 2),
    angleAt: (r: number): number => 2 * Math.asin(r / 2),
    glsl: '2.0 * asin(min(1.0, f / 2.0))',
    slope: (theta: number): number => Math.cos(theta / 2),
    squeeze: 1,
  },
  /** A 4:3 frame shown as 16:9. */
  stretched: { ...CURVED, squeeze: 4 / 3 },
} as const satisfies Record<string, Shape>;

export type Projection = keyof typeof SHAPES;
export const PROJECTIONS = Object.keys(SHAPES) as [Projection, ...Projection[]];
export const PROJECTION_SHAPES: Readonly<Record<Projection, Shape>> = SHAPES;

export interface Lens {
  horizontalDeg: number;
  projection: Projection;
}

export interface Direction {
  x: number;
  y: number;
  z: number;
}

export interface FramePoint {
  x: number;
  y: number;
}

const RAD = Math.PI / 180;

/** Half widths of the frame for one focal length: the scale at the centre, per radian. */
function focalOf({ horizontalDeg, projection }: Lens): number {
  return 1 / PROJECTION_SHAPES[projection].radius((horizontalDeg / 2) * RAD);
}

/** Per cent of the frame's width that one degree takes at the centre. */
export function pctWidthPerDegree(horizontalDeg: number, projection: Projection): number {
  return 50 * RAD * focalOf({ horizontalDeg, projection });
}

/** The view left when a crop keeps the share `keeps` (0…1) of the width. */
export function viewAfterCropDeg(horizontalDeg: number, keeps: number, projection: Projection): number {
  const { radius, angleAt } = PROJECTION_SHAPES[projection];
  return (2 * angleAt(keeps * radius((horizontalDeg / 2) * RAD))) / RAD;
}

/** How far a lens enlarges against another: the ratio of focal lengths on the same frame. */
export function magnification(lens: Lens, standard: Lens): number {
  return focalOf(lens) / focalOf(standard);
}

/** Where a direction falls in the frame; `null` when no ray from there reaches it. May lie outside the frame. */
export function project(lens: Lens, { x, y, z }: Direction): FramePoint | null {
  const aside = Math.hypot(x, y);
  const theta = Math.atan2(aside, z);
  const r = PROJECTION_SHAPES[lens.projection].radius(theta);
  if (!Number.isFinite(r)) return null;
  if (aside === 0) return z > 0 ? { x: 0, y: 0 } : null;
  const scale = (focalOf(lens) * r) / aside;
  return { x: x * scale, y: (y * scale) / PROJECTION_SHAPES[lens.projection].squeeze };
}

/** The direction seen at a place in the frame; `null` outside the lens's image circle. */
export function unproject(lens: Lens, place: FramePoint): Direction | null {
  const x = place.x;
  const y = place.y * PROJECTION_SHAPES[lens.projection].squeeze;
  const r = Math.hypot(x, y);
  if (r === 0) return { x: 0, y: 0, z: 1 };
  const theta = PROJECTION_SHAPES[lens.projection].angleAt(r / focalOf(lens));
  if (Number.isNaN(theta)) return null;
  const aside = Math.sin(theta) / r;
  return { x: x * aside, y: y * aside, z: Math.cos(theta) };
}

/**
 * How fast the picture of a thing moves, in half widths a second, when its direction (a unit vector) changes at `rate`
 * a second; `null` where no ray from there reaches the frame. The derivative of `project`, split into its part outward
 * and its part around the axis.
 */
export function imageVelocity(lens: Lens, direction: Direction, rate: Direction): FramePoint | null {
  const { x, y, z } = direction;
  const aside = Math.hypot(x, y);
  const focal = focalOf(lens);
  const squeeze = PROJECTION_SHAPES[lens.projection].squeeze;
  if (aside < 1e-9) return z > 0 ? { x: focal * rate.x, y: (focal * rate.y) / squeeze } : null;
  const theta = Math.atan2(aside, z);
  const r = PROJECTION_SHAPES[lens.projection].radius(theta);
  if (!Number.isFinite(r)) return null;
  const [ux, uy] = [x / aside, y / aside];
  const outward =
    PROJECTION_SHAPES[lens.projection].slope(theta) * (z * (ux * rate.x + uy * rate.y) - aside * rate.z);
  const around = (r / aside) * (ux * rate.y - uy * rate.x);
  return {
    x: focal * (outward * ux - around * uy),
    y: (focal * (outward * uy + around * ux)) / squeeze,
  };
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
  return PROJECTION_SHAPES[lens.projection].slope(Math.abs(offAxisDeg) * RAD);
}

/**
 * Horizontal view of a straight 16:9 lens given by its equivalent focal length: width 37.71 mm, the 16:9 frame
 * of the full-frame diagonal 43.27 mm.
 */
export function horizontalDegOfEquivalentFocal16x9(equivalentMm: number): number {
  const width = (43.2666 * 16) / Math.hypot(16, 9);
  return (2 * Math.atan(width / (2 * equivalentMm))) / RAD;
}
