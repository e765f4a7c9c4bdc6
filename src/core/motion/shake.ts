import type { Activity, Ground, MountKind, MountPlace } from '../vocabulary/words';
import { MOUNT_PLACES } from '../vocabulary/mounts';
import { pctWidthPerDegree } from '../optics/projection';
import type { Projection } from '../optics/projection';

/**
 * Shake as an rms angular rate in degrees per second, and what it does inside one exposure and between exposures.
 * Head, walking to running: Grossman et al. 1988, Exp. Brain Res. 70 (peaks under 170 °/s). All other rates are
 * starting estimates which the logbook corrects.
 */

/** Peaks stand at about twice the rms. */
const PEAK_FACTOR = 2;
/** Peak smear inside one exposure that a viewer accepts on a steady picture, per cent of width (start). */
export const SMEAR_TOLERANCE_PCT = 0.35;
/** Where most of the shake's power lies, Hz (start): turns a rate into a swing. */
const DOMINANT_HZ = 2;

type ByGround = Record<Ground, number>;
const level = (rate: number): ByGround => ({ smooth: rate, mixed: rate, rough: rate });

/** Rates by mount and ground, deg/s rms (start). `mixed` stands between the two where only the ends are known. */
const BY_MOUNT: Record<MountKind, ByGround> = {
  helmet: { smooth: 20, mixed: 30, rough: 40 },
  cap: { smooth: 22, mixed: 33, rough: 45 },
  bite: level(35),
  chest: { smooth: 25, mixed: 35, rough: 50 },
  shoulder: { smooth: 30, mixed: 42, rough: 60 },
  wrist: { smooth: 50, mixed: 60, rough: 80 },
  hand: { smooth: 15, mixed: 20, rough: 30 },
  handle: { smooth: 6, mixed: 8, rough: 12 },
  pole: level(30),
  backPole: level(30),
  handlebar: { smooth: 40, mixed: 80, rough: 120 },
  hull: { smooth: 15, mixed: 20, rough: 30 },
  board: { smooth: 20, mixed: 28, rough: 40 },
  vehicleInside: { smooth: 5, mixed: 9, rough: 15 },
  vehicleOutside: { smooth: 5, mixed: 10, rough: 18 },
  rail: level(10),
  railBack: level(10),
  tripod: level(0.1),
  groundStand: level(0.1),
  drone: level(15),
};

/** Where the activity, not the ground, sets the rate, deg/s rms. */
const BY_ACTIVITY: Partial<Record<MountKind, Partial<Record<Activity, number>>>> = {
  helmet: { still: 5, walking: 15, running: 35 },
  cap: { still: 5, walking: 15, running: 35 },
  chest: { still: 4, walking: 20, running: 60 },
  shoulder: { still: 5, walking: 25, running: 80 },
  hand: { still: 5, walking: 15, running: 40 },
  handle: { still: 2, walking: 6, running: 12 },
};

export function usualShakeDegPerSRms(
  mount: MountKind,
  ground: Ground,
  activity: Activity,
  place?: MountPlace,
): number {
  const factor = place === undefined ? 1 : (MOUNT_PLACES[mount]?.[place]?.shakeFactor ?? 1);
  return factor * (BY_ACTIVITY[mount]?.[activity] ?? BY_MOUNT[mount][ground]);
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
