import { project, unproject, verticalDeg } from './projection';
import type { Direction, Lens, FramePoint, Projection } from './projection';

/**
 * A subject in the frame: whether it fits, how much of the frame it takes, what the edge does to it. Metres, degrees,
 * pixels. The subject stands upright, `distanceM` ahead of the lens and `sideM` to the right of its axis; the camera
 * looks `pitchDeg` below the horizon (negative: above it).
 */
const DEG = 180 / Math.PI;
const RAD = Math.PI / 180;

/** Share of the frame's height below which a subject is lost (start: 1/40). */
export const LOST_BELOW_SHARE = 1 / 40;
/** What a person who acts should fill of the frame's height at least, and what nobody should fall below (work practice). */
export const FIGURE_SHARE = 0.4;
export const LEAST_SHARE = 1 / 5;
/** What a face should fill of it where somebody talks to the camera (work practice). */
const FACE_SHARE = 0.1;
/** Room around a subject that a camera without an operator needs, as a multiple of the subject's angle (start). */
const ROOM_AROUND = 1.4;
/** No flat picture shows more, degrees. */
const WIDEST_DEG = 179;
/** Width of a person against the height: shoulders with arms hanging (start). */
const WIDTH_OF_SIZE = 0.3;
/** A face, brow to chin, metres. */
const FACE_M = 0.2;
/** Pixels of delivered picture up a face from which it reads as somebody (start). */
export const FACE_READS_FROM_PX = 48;

export interface Subject {
  sizeM: number;
  distanceM: number;
  sideM: number;
}

export interface FrameShape {
  lens: Lens;
  /** Pixels of the delivered frame. */
  widthPx: number;
  heightPx: number;
  pitchDeg: number;
  /** Off level, clockwise as the camera sees itself; 0 where a hold or the edit rights it. */
  rollDeg: number;
}

export interface Framing {
  fits: boolean;
  /** Share of the frame's height that the subject takes; may pass 1. */
  shareOfHeight: number;
  lost: boolean;
  /** Up the subject and up a face, pixels of the frame. */
  subjectPx: number;
  facePx: number;
  faceReads: boolean;
  /** Width over height against the same subject at the centre: 1 is undistorted. */
  drawnWider: number;
  /** Outline of the subject in half widths, feet first; `null` where no ray reaches it. */
  outline: FramePoint[] | null;
}

/** The angle in degrees that a size spans at a distance, both in metres. */
export function angularSizeDeg(sizeM: number, distanceM: number): number {
  return 2 * Math.atan(sizeM / (2 * distanceM)) * DEG;
}

/** The share of the height of a W:H frame that a subject straight ahead is drawn over; may pass 1. */
export function drawnShare(
  { sizeM, distanceM }: Pick<Subject, 'sizeM' | 'distanceM'>,
  lens: Lens,
  width: number,
  height: number,
): number {
  const top = project(lens, { x: 0, y: sizeM / 2, z: distanceM });
  return top === null ? Infinity : (top.y * width) / height;
}

/** What a subject should fill of the height at least: the whole figure of who acts, the face of who talks. */
export function wantedShare({ sizeM }: Pick<Subject, 'sizeM'>, talks: boolean): number {
  return talks ? Math.min(FIGURE_SHARE, (FACE_SHARE * sizeM) / FACE_M) : FIGURE_SHARE;
}

/** The way of a subject while it is watched, which wants room as well: up at a jump, across at a pass; metres. */
export interface Way {
  upM: number;
  acrossM: number;
}

/**
 * The least horizontal view in degrees in which an upright subject on its way fits with room around it, in a W:H frame of a
 * lens that draws so. Standing `sideM` off the axis, it must also not run out at the side. At most `WIDEST_DEG`.
 */
export function viewThatFitsDeg(
  subject: Subject,
  { upM, acrossM }: Way,
  projection: Projection,
  width: number,
  height: number,
): number {
  const upright = Math.min(WIDEST_DEG, angularSizeDeg(subject.sizeM + upM, subject.distanceM) * ROOM_AROUND);
  const outer = Math.abs(subject.sideM) + (subject.sizeM * WIDTH_OF_SIZE + acrossM) / 2;
  const aside = subject.sideM === 0 && acrossM === 0 ? 0 : 2 * Math.atan2(outer, subject.distanceM) * DEG;
  let low = 0;
  let high = WIDEST_DEG;
  // Halved down to a thousandth of a degree.
  while (high - low > 1e-3) {
    const middle = (low + high) / 2;
    if (verticalDeg({ horizontalDeg: middle, projection }, width, height) < upright) low = middle;
    else high = middle;
  }
  return Math.min(WIDEST_DEG, Math.max(high, aside));
}

export function framingOf(shape: FrameShape, subject: Subject): Framing {
  const tall = shape.heightPx / shape.widthPx;
  const outline = outlineOf(shape, subject);
  const box = outline && boxOf(outline);
  const shareOfHeight = box ? (box.bottom - box.top) / (2 * tall) : 0;
  const subjectPx = shareOfHeight * shape.heightPx;
  const facePx = subjectPx * Math.min(1, FACE_M / subject.sizeM);
  const level = boxOf(outlineOf({ ...shape, rollDeg: 0 }, subject));
  const centred = boxOf(outlineOf({ ...shape, pitchDeg: 0, rollDeg: 0 }, { ...subject, sideM: 0 }));
  const ratio = (one: Box | null): number => (one ? (one.right - one.left) / (one.bottom - one.top) : 1);
  return {
    fits: box !== null && box.left >= -1 && box.right <= 1 && box.top >= -tall && box.bottom <= tall,
    shareOfHeight,
    lost: shareOfHeight < LOST_BELOW_SHARE,
    subjectPx,
    facePx,
    faceReads: facePx >= FACE_READS_FROM_PX,
    drawnWider: ratio(level) / ratio(centred),
    outline,
  };
}

/** The nearest distance at which the subject, at the same place to the side, still fits; `null` when it never does. */
export function nearestFitsM(shape: FrameShape, subject: Subject): number | null {
  return firstDistance((distanceM) => framingOf(shape, { ...subject, distanceM }).fits);
}

/** The farthest distance at which the subject still shows, straight ahead. */
export function farthestShowsM(shape: FrameShape, subject: Subject): number {
  const straight = { ...shape, pitchDeg: 0, rollDeg: 0 };
  return firstDistance((distanceM) => framingOf(straight, { ...subject, sideM: 0, distanceM }).lost) ?? FAR_M;
}

const NEAR_M = 0.02;
const FAR_M = 50_000;
/** Steps an octave in which a first distance is looked for before it is closed in on. */
const STEPS = 8;

/** The least distance from which `holds` is true, to a thousandth. */
function firstDistance(holds: (distanceM: number) => boolean): number | null {
  const steps = STEPS * Math.log2(FAR_M / NEAR_M);
  for (let step = 0; step <= steps; step++) {
    let far = NEAR_M * 2 ** (step / STEPS);
    if (!holds(far)) continue;
    let near = step === 0 ? far : far / 2 ** (1 / STEPS);
    while (far - near > far * 1e-4) {
      const middle = (near + far) / 2;
      if (holds(middle)) far = middle;
      else near = middle;
    }
    return far;
  }
  return null;
}

/** A direction in the world as the camera has it, which looks down and stands off level. */
export function toCamera({ pitchDeg, rollDeg }: FrameShape, { x, y, z }: Direction): Direction {
  const [cos, sin] = turn(pitchDeg);
  const down = { x, y: y * cos - z * sin, z: y * sin + z * cos };
  const [rollCos, rollSin] = turn(rollDeg);
  return { x: down.x * rollCos + down.y * rollSin, y: down.y * rollCos - down.x * rollSin, z: down.z };
}

/** And back. */
export function toWorld({ pitchDeg, rollDeg }: FrameShape, { x, y, z }: Direction): Direction {
  const [rollCos, rollSin] = turn(rollDeg);
  const level = { x: x * rollCos - y * rollSin, y: y * rollCos + x * rollSin, z };
  const [cos, sin] = turn(pitchDeg);
  return { x: level.x, y: level.y * cos + level.z * sin, z: level.z * cos - level.y * sin };
}

function turn(degrees: number): [cos: number, sin: number] {
  return [Math.cos(degrees * RAD), Math.sin(degrees * RAD)];
}

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

function boxOf(outline: readonly FramePoint[] | null): Box | null {
  if (!outline) return null;
  const xs = outline.map(({ x }) => x);
  const ys = outline.map(({ y }) => y);
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

/** Points along each edge of the upright rectangle that the subject fills: a lens bends straight edges. */
const EDGE_POINTS = 8;

function outlineOf(shape: FrameShape, subject: Subject): FramePoint[] | null {
  const halfWide = (subject.sizeM * WIDTH_OF_SIZE) / 2;
  const halfTall = subject.sizeM / 2;
  const corners: [number, number][] = [
    [-halfWide, halfTall],
    [-halfWide, -halfTall],
    [halfWide, -halfTall],
    [halfWide, halfTall],
  ];
  const places: FramePoint[] = [];
  for (const [index, [x, y]] of corners.entries()) {
    const [nextX, nextY] = corners[(index + 1) % corners.length] ?? [x, y];
    for (let point = 0; point < EDGE_POINTS; point++) {
      const along = point / EDGE_POINTS;
      const world = {
        x: subject.sideM + x + (nextX - x) * along,
        y: y + (nextY - y) * along,
        z: subject.distanceM,
      };
      const place = project(shape.lens, toCamera(shape, world));
      if (!place) return null;
      places.push(place);
    }
  }
  return places;
}

/** Where the subject ought to stand for a place in the frame, at its distance; `null` where no ray comes from ahead. */
export function standsAt(shape: FrameShape, place: FramePoint, distanceM: number): { sideM: number } | null {
  const seen = unproject(shape.lens, place);
  if (!seen) return null;
  const world = toWorld(shape, seen);
  return world.z > 1e-3 ? { sideM: (world.x / world.z) * distanceM } : null;
}
