import { WATERS_PER_M } from '../vocabulary/waters';
import type { Water } from '../vocabulary/waters';

/** Light, colour and view under water. Metres, stops, degrees, shares 0…1. */

/** What of the light goes through the surface. */
export const THROUGH_SURFACE = 0.95;
/** Refractive index of water. */
export const WATER_INDEX = 1.333;

/** Stops that a depth takes: `E(z) = 0.95 · E0 · exp(−K z)`. */
export function depthStops(depthM: number, water: Water): number {
  return -Math.log2(THROUGH_SURFACE * Math.exp(-WATERS_PER_M[water] * depthM));
}

/** Absorption of pure water, per metre, at blue, green, amber, red and deep red, nm. Source: Pope & Fry 1997. */
export const ABSORBED_PER_M = { 440: 0.006, 550: 0.057, 600: 0.222, 650: 0.34, 700: 0.624 } as const;
type Wavelength = keyof typeof ABSORBED_PER_M;

/** Share of one colour that is left after so much water: the way down, and the way to the camera. */
export function colourLeft(nm: Wavelength, pathM: number): number {
  return Math.exp(-ABSORBED_PER_M[nm] * pathM);
}

/** Second radiation constant, m·K. */
const C2 = 0.014388;
/**
 * How much bluer a metre of water makes it, mired: red and blue fade apart as those of a black body that grows hotter, by
 * Wien's law `ln(R/B) = −c2 (1/λr − 1/λb) / T`.
 */
export const MIRED_PER_M =
  ((ABSORBED_PER_M[650] - ABSORBED_PER_M[440]) / (C2 * (1 / 440e-9 - 1 / 650e-9))) * 1e6;

/** What a flat port leaves of a view: `sin(H′/2) = sin(H/2) / n`. */
export function viewBehindPortDeg(horizontalDeg: number): number {
  const half = Math.sin((Math.min(180, horizontalDeg) * Math.PI) / 360) / WATER_INDEX;
  return (2 * Math.asin(half) * 180) / Math.PI;
}
