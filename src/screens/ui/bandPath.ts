/** The outline of a band from left to right along its top and back along its bottom. */
export function bandPath(points: readonly { x: number; low: number; high: number }[]): string {
  if (points.length === 0) return '';
  const top = points.map(({ x, high }) => `${round(x)},${round(high)}`);
  const bottom = [...points].reverse().map(({ x, low }) => `${round(x)},${round(low)}`);
  return `M${[...top, ...bottom].join('L')}Z`;
}

const round = (value: number): number => Math.round(value * 10) / 10;
