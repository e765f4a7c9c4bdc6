/**
 * How captured frames meet the timeline. Rates in frames per second; `slowdown` is 1 for real time, 2 for half speed.
 */

/** Below this many different frames a second a viewer sees the repeats (work practice: 24). */
export const STUTTER_SEEN_FPS = 24;
/** Below this many the movement falls apart (start). */
export const STUTTER_BROKEN_FPS = 18;
/** Rates that differ by less than this share count as the same: 23.976 and 24 are 0.1 % apart. */
const SAME_RATE = 0.002;

export interface Cadence {
  /** Captured frames seen per second of film, `captureFps / slowdown`, before any are dropped. */
  seenFps: number;
  /** Frames captured for each frame of the timeline; below 1 frames repeat. */
  framesPerTimelineFrame: number;
  /** Frames repeat: fewer captured than the timeline shows. */
  repeats: boolean;
  /** Neither a whole number of frames dropped nor of repeats: movement is uneven. */
  uneven: boolean;
  /** Captured moments shown per second of the action: what sets the look of the shutter. */
  shownFps: number;
}

export function cadenceOf(captureFps: number, timelineFps: number, slowdown: number): Cadence {
  const framesPerTimelineFrame = captureFps / (slowdown * timelineFps);
  const repeats = framesPerTimelineFrame < 1 - SAME_RATE;
  const ratio = repeats ? 1 / framesPerTimelineFrame : framesPerTimelineFrame;
  return {
    seenFps: captureFps / slowdown,
    framesPerTimelineFrame,
    repeats,
    uneven: Math.abs(ratio - Math.round(ratio)) > SAME_RATE * ratio,
    shownFps: Math.min(captureFps, slowdown * timelineFps),
  };
}

/** Rates that cut together: whole multiples of 25, of 30 or 29.97, of 24 or 23.976. */
export const RATE_FAMILIES = [25, 30, 24] as const;
export type RateFamily = (typeof RATE_FAMILIES)[number];

/** The family of a frame rate; 120 counts with 30. `null` for a rate of none. */
export function familyOf(fps: number): RateFamily | null {
  const whole = (base: number): boolean => {
    const times = Math.round(fps / base);
    return times >= 1 && Math.abs(fps / (times * base) - 1) < SAME_RATE;
  };
  return RATE_FAMILIES.find(whole) ?? null;
}
