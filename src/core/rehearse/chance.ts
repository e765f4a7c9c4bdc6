/** Counts as chances. */
export interface Chance {
  p: number;
  /** Ends of the 95 % interval. */
  low: number;
  high: number;
}

/** Of a normal, both sides, 95 %. */
const Z = 1.959964;

/** How often of so many. Source: Wilson 1927, which neither runs below 0 nor is empty at none. */
export function chanceOf(count: number, of: number): Chance {
  if (of <= 0) return { p: 0, low: 0, high: 1 };
  const p = count / of;
  const z2 = Z * Z;
  const middle = (p + z2 / (2 * of)) / (1 + z2 / of);
  const half = (Z / (1 + z2 / of)) * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of * of));
  return { p, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}
