/** The share of a frame for which the shutter is open, told as the angle of a turning disc: 360·f·t degrees. */
export function shutterAngleDeg(frameRate: number, seconds: number): number {
  return 360 * frameRate * seconds;
}

/** The time for which a shutter of this angle is open, seconds. */
export function secondsOfAngle(angleDeg: number, frameRate: number): number {
  return angleDeg / (360 * frameRate);
}
