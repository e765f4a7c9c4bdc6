import type { Horizon } from '../lightSchema';
import type { SunPosition } from './position';
import { item } from '../../units/items';

export type { Horizon };

/** Height of the horizon at an azimuth, degrees; the profile goes round past north. */
export function horizonAltitudeDeg(horizon: Horizon, azimuthDeg: number): number {
  const points = [...horizon.points].sort((a, b) => a.azimuthDeg - b.azimuthDeg);
  const first = points[0];
  const last = points[points.length - 1];
  if (!first || !last) return 0;
  const around = [
    { ...last, azimuthDeg: last.azimuthDeg - 360 },
    ...points,
    { ...first, azimuthDeg: first.azimuthDeg + 360 },
  ];
  const above = around.findIndex((point) => point.azimuthDeg >= azimuthDeg);
  const right = item(around, above);
  const left = item(around, Math.max(0, above - 1));
  const width = right.azimuthDeg - left.azimuthDeg;
  const along = width === 0 ? 0 : (azimuthDeg - left.azimuthDeg) / width;
  return left.altitudeDeg + along * (right.altitudeDeg - left.altitudeDeg);
}

/** Whether the sun's centre is seen: over the level horizon and over what stands around. */
export function sunReaches(horizon: Horizon | undefined, sun: SunPosition): boolean {
  if (sun.apparentAltitudeDeg <= 0) return false;
  return horizon === undefined || sun.apparentAltitudeDeg > horizonAltitudeDeg(horizon, sun.azimuthDeg);
}
