/** Where things lie on the stop rule from its top, pixels. */
export const LIGHT = { top: 50, height: 30 };
export const BRACKET = { top: 92, height: 36 };
export const NOTCHES = 152;

/** A bracket with feet at both ends; under a running shutter the bright end stays open. */
export function bracketPath(left: number, right: number, open: boolean): string {
  const { top, height } = BRACKET;
  const start = `M${left + 9},${top}H${left}V${top + height}H${left + 9}`;
  return open
    ? `${start}M${left},${top}H${right}M${left},${top + height}H${right}`
    : `${start}M${right - 9},${top}H${right}V${top + height}H${right - 9}`;
}

/** Which labels fit beside each other: greedy from the left. Pixels. */
export function spaced(labels: readonly { at: number; half: number }[]): Set<number> {
  const shown = new Set<number>();
  let end = -Infinity;
  labels.forEach(({ at, half }, index) => {
    if (at - half < end) return;
    shown.add(index);
    end = at + half;
  });
  return shown;
}

/** Less than this outside the window is not told, stops. */
export const SEEN = 0.05;
