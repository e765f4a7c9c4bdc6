import { ACTIVITY_HABITS } from '../vocabulary/activities';
import type { Activity } from '../vocabulary/activities';
import type { Ground, MountKind, MountPlace } from '../vocabulary/mounts';
import { MOUNTS } from '../vocabulary/mounts';
import { pctWidthPerDegree } from '../optics/projection';
import type { Projection } from '../optics/projection';

/**
 * Shake as an rms angular rate in degrees per second, and what it does inside one exposure and between exposures.
 * The rates of each mount stand in `vocabulary/mounts.ts`.
 */

/** Peaks stand at about twice the rms. */
export const PEAK_FACTOR = 2;
/** Peak smear inside one exposure that a viewer accepts on a steady picture, per cent of width (start). */
export const SMEAR_TOLERANCE_PCT = 0.35;
/** Where most of the shake's power lies, Hz (start): turns a rate into a swing. */
export const DOMINANT_HZ = 2;

/** Faster than this nobody runs with a camera, metres a second (start). */
const FASTEST_ON_FOOT_MPS = 7;

/**
 * The shake of a mount, deg/s rms. A body on foot sways with its pace: between standing, the usual walk and the usual
 * run the figures of the table are joined by straight lines over speed, and the last goes on.
 */
export function usualShakeDegPerSRms(
  mount: MountKind,
  ground: Ground,
  activity: Activity,
  { place, travelMps }: { place?: MountPlace | undefined; travelMps?: number | undefined } = {},
): number {
  const { places, shake } = MOUNTS[mount];
  const factor = place === undefined ? 1 : (places[place]?.shakeFactor ?? 1);
  const onFoot = ACTIVITY_HABITS[activity].stepHz !== null && travelMps !== undefined;
  return (
    factor *
    ((onFoot ? shakeOnFoot(mount, travelMps) : null) ??
      ACTIVITY_HABITS[activity].shake[mount] ??
      shake[ground])
  );
}

/** `null`: the mount does not ride on a body. */
function shakeOnFoot(mount: MountKind, travelMps: number): number | null {
  const { still, walking, running } = ACTIVITY_HABITS;
  const [stands, walks, runs] = [still.shake[mount], walking.shake[mount], running.shake[mount]];
  if (stands === undefined || walks === undefined || runs === undefined) return null;
  return travelMps <= walking.travelMps
    ? stands + ((walks - stands) * travelMps) / walking.travelMps
    : walks +
        ((runs - walks) * (Math.min(FASTEST_ON_FOOT_MPS, travelMps) - walking.travelMps)) /
          (running.travelMps - walking.travelMps);
}

/** Peak smear of the shake inside one exposure, per cent of the frame's width. */
export function peakShakeSmearPct(
  shakeDegPerSRms: number,
  shutterSeconds: number,
  horizontalDeg: number,
  projection: Projection,
): number {
  return PEAK_FACTOR * shakeDegPerSRms * shutterSeconds * pctWidthPerDegree(horizontalDeg, projection);
}

/**
 * The *shake floor*: the longest shutter in seconds whose peak smear stays within the tolerance. Stabilization does
 * not move it, since it only removes movement between exposures. Infinite without shake.
 */
export function shakeFloorSeconds(
  shakeDegPerSRms: number,
  horizontalDeg: number,
  projection: Projection,
  tolerancePct: number = SMEAR_TOLERANCE_PCT,
): number {
  return tolerancePct / (PEAK_FACTOR * shakeDegPerSRms * pctWidthPerDegree(horizontalDeg, projection));
}

/** The swing in degrees to either side that steadying must take up: 2·ω/(2π·f). */
export function shakeSwingDeg(shakeDegPerSRms: number): number {
  return (PEAK_FACTOR * shakeDegPerSRms) / (2 * Math.PI * DOMINANT_HZ);
}
