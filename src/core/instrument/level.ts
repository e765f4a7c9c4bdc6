/**
 * Which way gravity pulls in a phone's own frame, m/s²: x to the right of its screen, y to the top of it, z out of it, and
 * all of it pointing up at rest, as W3C's "DeviceOrientation Event Specification" has it. Some phones turn all three about.
 */
export interface Gravity {
  x: number;
  y: number;
  z: number;
}

/** How a camera stands whose lens looks where the back of the phone looks. */
export interface CameraLevel {
  /** Off level, clockwise as one sees it from behind. */
  tiltDeg: number;
  /** Looking so far down; negative: up. */
  pitchDeg: number;
  /** How far single readings lie from their mean, degrees rms: a hand that shakes. */
  unsteadyDeg: number;
}

/** Standard gravity, m/s² (BIPM 1901), and how far the length of a reading may lie from it before the phone is not at rest. */
const STANDARD_GRAVITY = 9.80665;
const AT_REST_WITHIN = 1.5;
/** Nearer to flat than this, which way it leans to the side cannot be told. */
const FLAT_DEG = 80;
const DEG = 180 / Math.PI;

/** Tilt and pitch of a phone held still and upright against a mount or a lens; `null`: it moves, or lies flat. */
export function levelOf(readings: readonly Gravity[]): CameraLevel | null {
  const [first] = readings;
  if (!first) return null;
  const mean = { x: 0, y: 0, z: 0 };
  for (const { x, y, z } of readings) {
    mean.x += x / readings.length;
    mean.y += y / readings.length;
    mean.z += z / readings.length;
  }
  const length = Math.hypot(mean.x, mean.y, mean.z);
  if (Math.abs(length - STANDARD_GRAVITY) > AT_REST_WITHIN) return null;
  // It is held upright: where its top points down, the phone tells gravity turned about.
  const sign = mean.y < 0 ? -1 : 1;
  const [x, y, z] = [sign * mean.x, sign * mean.y, sign * mean.z].map((part) => part / length) as [
    number,
    number,
    number,
  ];
  const pitchDeg = Math.asin(Math.max(-1, Math.min(1, z))) * DEG;
  if (Math.abs(pitchDeg) > FLAT_DEG) return null;
  const squares = readings.map((one) => angleBetween(one, mean) ** 2);
  return {
    tiltDeg: Math.atan2(-x, y) * DEG,
    pitchDeg,
    unsteadyDeg: Math.sqrt(squares.reduce((sum, square) => sum + square, 0) / squares.length),
  };
}

function angleBetween(one: Gravity, other: Gravity): number {
  const dot = one.x * other.x + one.y * other.y + one.z * other.z;
  const lengths = Math.hypot(one.x, one.y, one.z) * Math.hypot(other.x, other.y, other.z);
  return lengths > 0 ? Math.acos(Math.max(-1, Math.min(1, dot / lengths))) * DEG : 0;
}
