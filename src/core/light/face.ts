/**
 * A face against a brighter background: what light it needs, which lamp gives it, or what exposing for one costs the
 * other. Light in EV100 and lux, distances in metres.
 */
import { ev100OfIlluminance, LUX_AT_EV_0 } from './exposureValue';

/** A face may lie this far under its background before it reads as a silhouette, stops (start). */
export const FACE_UNDER_BY_STOPS = 1.5;

/** Where highlights end above mid grey, stops (start): white is 2.5 stops up on a standard curve. */
export const WHITE_ABOVE_GREY_STOPS = 2.5;

/** Lux of EV100. Source: ISO 2720, C = 250. */
export function luxOfEv(ev: number): number {
  return LUX_AT_EV_0 * 2 ** ev;
}

interface FaceLight {
  /** How far the face lies under the background, stops. */
  gapStops: number;
  /** Lux that must fall on the face in all, and what a lamp must add. */
  neededLux: number;
  missingLux: number;
  /** Exposing for the face: the background is this far over; for the background: the face this far under. */
  backgroundOverStops: number;
  faceUnderStops: number;
}

export function faceLight(
  faceEv: number,
  backgroundEv: number,
  underByStops: number = FACE_UNDER_BY_STOPS,
): FaceLight {
  const gapStops = backgroundEv - faceEv;
  const neededLux = luxOfEv(backgroundEv - underByStops);
  return {
    gapStops,
    neededLux,
    missingLux: Math.max(0, neededLux - luxOfEv(faceEv)),
    backgroundOverStops: Math.max(0, gapStops),
    faceUnderStops: Math.max(0, gapStops),
  };
}

/** A lamp: its light in lumen, in a cone of this full angle, degrees. */
export interface Lamp {
  lumen: number;
  beamDeg: number;
}

/**
 * Candela in the beam of a lamp whose light is even within its cone: `I = Φ / (2π (1 − cos(β/2)))`. Real beams are
 * brighter in the middle.
 */
export function candelaOf({ lumen, beamDeg }: Lamp): number {
  return lumen / (2 * Math.PI * (1 - Math.cos((beamDeg * Math.PI) / 360)));
}

/** Lux of a lamp at a distance, by the inverse square: `E = I / d²`. */
export function luxAt(lamp: Lamp, distanceM: number): number {
  return candelaOf(lamp) / distanceM ** 2;
}

/** The distance in metres up to which a lamp gives this much light. */
export function reachM(lamp: Lamp, lux: number): number {
  return lux <= 0 ? Infinity : Math.sqrt(candelaOf(lamp) / lux);
}

/** What the face then has, EV100, with the lamp's light added to its own. */
export function faceEvWith(faceEv: number, lamp: Lamp, distanceM: number): number {
  return ev100OfIlluminance(luxOfEv(faceEv) + luxAt(lamp, distanceM));
}
