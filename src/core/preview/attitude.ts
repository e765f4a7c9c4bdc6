import type { ShakeTurn } from '../motion/shakeSpectrum';

/** A turn as nine numbers, row by row: camera directions to world directions. */
export type Matrix = Float64Array;

const RAD = Math.PI / 180;

/** Yaw to the right, then pitch down, then roll clockwise; degrees. World and camera: x right, y down, z ahead. */
export function attitude({ yawDeg, pitchDeg, rollDeg }: ShakeTurn): Matrix {
  const [cy, sy] = [Math.cos(yawDeg * RAD), Math.sin(yawDeg * RAD)];
  const [cp, sp] = [Math.cos(pitchDeg * RAD), Math.sin(pitchDeg * RAD)];
  const [cr, sr] = [Math.cos(rollDeg * RAD), Math.sin(rollDeg * RAD)];
  // Columns: where the camera's right, down and ahead point to.
  return Float64Array.of(
    cy * cr - sy * sp * sr,
    -cy * sr - sy * sp * cr,
    sy * cp,
    cp * sr,
    cp * cr,
    sp,
    -sy * cr - cy * sp * sr,
    sy * sr - cy * sp * cr,
    cy * cp,
  );
}

export function times(a: Matrix, b: Matrix): Matrix {
  const product = new Float64Array(9);
  for (let row = 0; row < 3; row++)
    for (let column = 0; column < 3; column++) {
      let sum = 0;
      for (let k = 0; k < 3; k++) sum += (a[3 * row + k] ?? 0) * (b[3 * k + column] ?? 0);
      product[3 * row + column] = sum;
    }
  return product;
}

/** The turn back. */
export function back(a: Matrix): Matrix {
  const turned = new Float64Array(9);
  for (let row = 0; row < 3; row++)
    for (let column = 0; column < 3; column++) turned[3 * row + column] = a[3 * column + row] ?? 0;
  return turned;
}
