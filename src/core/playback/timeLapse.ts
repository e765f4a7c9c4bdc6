import { gigabytesOf } from '../units/data';

/** Pictures at an interval, and loops that keep the last minutes. Seconds, per cent of the frame's width. */

export interface TimeLapse {
  frames: number;
  clipSeconds: number;
  /** How many times faster than life. */
  speedUp: number;
}

/** clip length = duration / interval / timeline frame rate. */
export function timeLapseOf(
  intervalSeconds: number,
  durationSeconds: number,
  timelineFps: number,
): TimeLapse {
  // The first picture is taken at once.
  const frames = Math.floor(durationSeconds / intervalSeconds + 1e-9) + 1;
  return { frames, clipSeconds: frames / timelineFps, speedUp: intervalSeconds * timelineFps };
}

/** The interval for a clip of a wished length. */
export function intervalForClip(clipSeconds: number, durationSeconds: number, timelineFps: number): number {
  return durationSeconds / Math.max(1, clipSeconds * timelineFps - 1);
}

/** A moving time-lapse: how fast it may be sped up before what passes jumps, and how long the clip gets. */
export interface MovingTimeLapse {
  clipSeconds: number;
  /** Step of half the frame between two frames, per cent of the width. */
  stepPct: number;
  /** Speed-up up to which that step stays readable. */
  mostSpeedUp: number;
}

/** A step of half the frame between two frames above which a moving time-lapse flickers by (start). */
export const MOVING_STEP_PCT = 12;

export function movingTimeLapse(
  speedUp: number,
  durationSeconds: number,
  timelineFps: number,
  typicalPctPerS: number,
): MovingTimeLapse {
  return {
    clipSeconds: durationSeconds / speedUp,
    stepPct: (typicalPctPerS * speedUp) / timelineFps,
    mostSpeedUp: typicalPctPerS > 0 ? (MOVING_STEP_PCT * timelineFps) / typicalPctPerS : Infinity,
  };
}

/** A loop that keeps the last minutes: how long after an event one may still press to keep it. */
export interface Loop {
  /** What is surely still there: the loop drops a whole chapter at a time. */
  keptSeconds: number;
  /** After the event has ended; `null`: the loop is too short for it. */
  pressWithinSeconds: number | null;
  gigabytes: number;
}

export function loopOf(
  loopSeconds: number,
  chapterSeconds: number,
  leadSeconds: number,
  eventSeconds: number,
  bitRateMbps: number,
): Loop {
  const keptSeconds = Math.max(0, loopSeconds - chapterSeconds);
  const left = keptSeconds - leadSeconds - eventSeconds;
  return {
    keptSeconds,
    pressWithinSeconds: left > 0 ? left : null,
    gigabytes: gigabytesOf(bitRateMbps, loopSeconds),
  };
}
