import type { Activity } from '../vocabulary/activities';
import type { MountKind } from '../vocabulary/mounts';
import { ACTIVITY_HABITS } from '../vocabulary/activities';
import { MOUNTS } from '../vocabulary/mounts';

/**
 * Shake as movement in time: a sum of sines with seeded phases, whose rms rate is the mount's. Angles in degrees, rates
 * in degrees a second, times in seconds. A body sways at one to four hertz; what is bolted to a vehicle, a bar or a
 * drone buzzes faster as well. All bands are starting estimates; Grossman et al. 1988 give the head 0.5 to 5 Hz.
 */
export interface ShakeBand {
  lowHz: number;
  highHz: number;
  /** Share of the power of the rate, 0…1. */
  share: number;
}

const SWAY: ShakeBand = { lowHz: 1, highHz: 4, share: 1 };

/** The bands in which a mount shakes; their shares add up to one. */
export function shakeBandsOf(mount: MountKind, activity: Activity): ShakeBand[] {
  const step = ACTIVITY_HABITS[activity].stepHz;
  const sway = step === null ? SWAY : { lowHz: step * 0.8, highHz: step * 1.6, share: 1 };
  const buzz = MOUNTS[mount].buzz;
  return buzz ? [{ ...sway, share: 1 - buzz.share }, buzz] : [sway];
}

/** The middle of the band that holds most of the power, Hz. */
export function dominantHz(bands: readonly ShakeBand[]): number {
  const most = bands.reduce((best, band) => (band.share > best.share ? band : best));
  return Math.sqrt(most.lowHz * most.highHz);
}

/** Turned by shake from where the camera means to look: right, down, and clockwise. */
export interface ShakeTurn {
  yawDeg: number;
  pitchDeg: number;
  rollDeg: number;
}

interface Sine {
  hz: number;
  amplitudeDeg: number;
  phase: number;
}

export interface Shake {
  axes: Record<keyof ShakeTurn, readonly Sine[]>;
}

const SINES_A_BAND = 6;
/** Roll shakes about half as fast as the axis itself moves (start). */
export const ROLL_SHARE = 0.5;
const GOLDEN = 0.618033988749895;

/**
 * A shake with the given rms rate of the axis (yaw and pitch together). The same seed gives the same shake; rates of
 * sines of unlike frequency add as squares, so each gets its share of the square.
 */
export function shakeSines(rmsDegPerS: number, bands: readonly ShakeBand[], seed: number): Shake {
  const axis = (number: number, rms: number): Sine[] =>
    bands.flatMap(({ lowHz, highHz, share }, band) =>
      Array.from({ length: SINES_A_BAND }, (_, at) => {
        const order = seed * 131 + number * 37 + band * 11 + at;
        const place = (at + fraction(order * GOLDEN)) / SINES_A_BAND;
        const hz = lowHz * (highHz / lowHz) ** place;
        // A sine of amplitude A and frequency f has an rms rate of A·2πf/√2.
        const rate = rms * Math.sqrt(share / SINES_A_BAND);
        return {
          hz,
          amplitudeDeg: (rate * Math.SQRT2) / (2 * Math.PI * hz),
          phase: 2 * Math.PI * fraction(order * GOLDEN * GOLDEN + 0.317 * number),
        };
      }),
    );
  const each = rmsDegPerS / Math.SQRT2;
  return {
    axes: { yawDeg: axis(1, each), pitchDeg: axis(2, each), rollDeg: axis(3, rmsDegPerS * ROLL_SHARE) },
  };
}

export function shakeAt({ axes }: Shake, seconds: number): ShakeTurn {
  return {
    yawDeg: sum(axes.yawDeg, seconds),
    pitchDeg: sum(axes.pitchDeg, seconds),
    rollDeg: sum(axes.rollDeg, seconds),
  };
}

/** How fast the axis moves at an instant, degrees a second. */
export function shakeRateAt(shake: Shake, seconds: number): number {
  const half = 0.0005;
  const before = shakeAt(shake, seconds - half);
  const after = shakeAt(shake, seconds + half);
  return Math.hypot(after.yawDeg - before.yawDeg, after.pitchDeg - before.pitchDeg) / (2 * half);
}

function sum(sines: readonly Sine[], seconds: number): number {
  let total = 0;
  for (const { hz, amplitudeDeg, phase } of sines)
    total += amplitudeDeg * Math.sin(2 * Math.PI * hz * seconds + phase);
  return total;
}

function fraction(value: number): number {
  return value - Math.floor(value);
}
