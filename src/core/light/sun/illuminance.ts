import type { MoonPosition } from './position';
import { item } from '../../units/items';

/**
 * Light on level ground under a clear sky, lux, from the altitude of sun and moon. Source: Janiczek & DeYoung 1987,
 * US Naval Observatory Circular 171: `log10 E = l0 + l1 x + l2 x² + l3 x³`, x = altitude/90°. The circular's fit is
 * of measured skies; clear air differs from it by about a third of a stop either way, twilight by half a stop.
 */
type Piece = readonly [fromDeg: number, l0: number, l1: number, l2: number, l3: number];

const SUN: readonly Piece[] = [
  [20, 3.74, 3.97, -4.07, 1.47],
  [5, 3.05, 13.28, -45.98, 64.33],
  [-0.8, 2.88, 22.26, -207.64, 1034.3],
  [-5, 2.88, 21.81, -258.11, -858.36],
  [-12, 2.7, 12.17, -431.69, -1899.83],
  [-18, 13.84, 262.72, 1447.42, 2797.93],
];

const MOON: readonly Piece[] = [
  [20, -1.95, 4.06, -4.24, 1.56],
  [5, -2.58, 12.58, -42.58, 59.06],
  [-0.8, -2.79, 24.27, -252.95, 1321.29],
];

/** From here down the sun adds nothing to the night sky's own glow. */
const END_OF_TWILIGHT_DEG = -18;

/** Lux on level ground of a sun at this geometric altitude, degrees; below −18° the light of the night sky. */
export function clearSkyHorizontalLux(altitudeDeg: number): number {
  return 10 ** polynomial(SUN, Math.max(altitudeDeg, END_OF_TWILIGHT_DEG));
}

/**
 * Lux on level ground of the moon; 0 when it is down. The phase dims it by `−0.00868 f − 2.2·10⁻⁹ f⁴` (log10, f the
 * phase angle in degrees), its distance by the square of its parallax. Source: Circular 171, program listing.
 */
export function moonHorizontalLux(moon: MoonPosition): number {
  if (moon.altitudeDeg < -0.8) return 0;
  const phaseDeg = 180 - moon.elongationDeg;
  const phase = -0.00868 * phaseDeg - 2.2e-9 * phaseDeg ** 4;
  const distance = 2 * Math.log10(moon.horizontalParallaxDeg / 0.951);
  return 10 ** (polynomial(MOON, moon.altitudeDeg) + phase + distance);
}

function polynomial(pieces: readonly Piece[], altitudeDeg: number): number {
  const found = pieces.findIndex(([from]) => altitudeDeg >= from);
  const at = found < 0 ? pieces.length - 1 : found;
  const value = valueOf(item(pieces, at), altitudeDeg);
  // Where two pieces meet they differ by up to 1 %: less sun must not give more light, so the upper one caps the lower.
  const above = pieces[at - 1];
  return above ? Math.min(value, valueOf(above, above[0])) : value;
}

function valueOf([, l0, l1, l2, l3]: Piece, altitudeDeg: number): number {
  const x = altitudeDeg / 90;
  return l0 + x * (l1 + x * (l2 + x * l3));
}
