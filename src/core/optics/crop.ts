const RAD = Math.PI / 180;

/** Off level, degrees, past which a picture is turned, not straightened. */
export const MOST_STRAIGHTENED_DEG = 45;

/**
 * The share of each side left by straightening a frame by `angleDeg`: the largest rectangle of the same shape that
 * fits the turned frame. For landscape, `1 / (cos a + (W/H)·sin a)`; for an upright frame the roles swap.
 */
export function straightenKeeps(angleDeg: number, width: number, height: number): number {
  const a = Math.abs(angleDeg) * RAD;
  const aspect = Math.max(width, height) / Math.min(width, height);
  return 1 / (Math.cos(a) + aspect * Math.sin(a));
}

/** Width in pixels of the largest crop with the delivered shape: 1920×1080 to 1080×1920 leaves 607.5. */
export function widthInShape(
  frame: { width: number; height: number },
  deliver: { width: number; height: number },
): number {
  return Math.min(frame.width, (frame.height * deliver.width) / deliver.height);
}
