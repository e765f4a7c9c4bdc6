import { shutterAngleDeg } from './shutterAngle';
import { cadenceOf } from './cadence';
import type { Cadence } from './cadence';

/** One shot played at several speeds: what each shows of what was captured. Slowdown 1 is real time. */
export interface SpeedSeen extends Cadence {
  slowdown: number;
  /** Shutter angle of the frames shown, degrees. */
  shownAngleDeg: number;
}

export function speedsSeen(
  captureFps: number,
  shutterSeconds: number,
  timelineFps: number,
  slowdowns: readonly number[],
): SpeedSeen[] {
  return slowdowns.map((slowdown) => {
    const cadence = cadenceOf(captureFps, timelineFps, slowdown);
    return { slowdown, ...cadence, shownAngleDeg: shutterAngleDeg(cadence.shownFps, shutterSeconds) };
  });
}

/** A change of speed in one clip, as far as the frames last. */
interface Ramp {
  /** Slowest that still shows a new frame each time. */
  smoothToSlowdown: number;
  /** Share of the ramp, 0…1 from its start, that is smooth; the slowdown grows evenly. */
  smoothShare: number;
  /** Seconds of action and of film that the ramp takes. */
  actionSeconds: number;
  filmSeconds: number;
}

/** A ramp from one slowdown to another over `filmSeconds` of film; the speed changes evenly in film time. */
export function rampOf(
  captureFps: number,
  timelineFps: number,
  from: number,
  to: number,
  filmSeconds: number,
): Ramp {
  const smoothToSlowdown = captureFps / timelineFps;
  const share = to === from ? (from <= smoothToSlowdown ? 1 : 0) : (smoothToSlowdown - from) / (to - from);
  const smooth = to >= from ? share : 1 - share;
  return {
    smoothToSlowdown,
    smoothShare: Math.min(1, Math.max(0, smooth)),
    // The action runs at 1/slowdown; ∫ dt / s(t) for an even change of s is T·ln(to/from)/(to − from).
    actionSeconds: to === from ? filmSeconds / from : (filmSeconds * Math.log(to / from)) / (to - from),
    filmSeconds,
  };
}
