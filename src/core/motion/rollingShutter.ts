/** What reading a frame line by line does. Only where a profile knows its readout time, seconds. */

/** How far the bottom of an upright thing lags behind its top, per cent of the frame's width. */
export function skewPctWidth(pctPerS: number, readoutSeconds: number): number {
  return pctPerS * readoutSeconds;
}

/** Shake whose half swing is shorter than the readout bends the frame within itself: jelly. */
export function jellies(buzzHz: number, readoutSeconds: number): boolean {
  return 1 / (2 * buzzHz) < readoutSeconds;
}
