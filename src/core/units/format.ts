/** Numbers as a card shows them. Plain ASCII digits, a point for decimals, units left to the caller's words. */

/**
 * A shutter time as its usual fraction, without the unit: 0.01 → "1/100", 0.5 → "1/2", 2 → "2".
 * Times that are no whole fraction keep one decimal: 1/59.94 → "1/59.9".
 */
export function shutterFraction(seconds: number): string {
  if (seconds >= 1) return trimmed(seconds, 1);
  return `1/${trimmed(1 / seconds, 1 / seconds < 100 ? 1 : 0)}`;
}

/** Rounds to at most `decimals` places and drops trailing zeros: (2.50, 2) → "2.5". */
export function trimmed(value: number, decimals: number): string {
  const fixed = value.toFixed(decimals);
  const bare = fixed.includes('.') ? fixed.replace(/\.?0+$/, '') : fixed;
  return bare === '-0' ? '0' : bare;
}

/** One decimal, always: the way stops and EV are shown. */
export function tenths(value: number): string {
  const text = value.toFixed(1);
  return text === '-0.0' ? '0.0' : text;
}
