import type { Candidate } from '../search/candidate';
import type { Space } from '../search/space';
import type { PreviewTake } from './take';
import { takeOf } from './takeOf';

/** What went otherwise than planned while a take was filmed; as planned where nothing is said. */
export interface Happened {
  /** How long it ran. */
  seconds: number;
  seed: number;
  /** Light against the planned, stops; and the mount further off level, degrees. */
  brighterStops?: number | undefined;
  slippedDeg?: number | undefined;
  /** How the camera was really set. */
  shutterSeconds?: number | undefined;
  frameRate?: number | undefined;
  /** Only every so manyeth frame is a new one. */
  everyNth?: number | undefined;
}

/** The take of a shot as it came out, for its own pictures. */
export function happenedTake(space: Space, candidate: Candidate, happened: Happened): PreviewTake {
  const { seconds, seed, brighterStops = 0, slippedDeg = 0, shutterSeconds, frameRate } = happened;
  const take = takeOf(space, candidate, { slowdown: 1, moment: 'run', filmSeconds: seconds, seed });
  const { exposure, light } = take;
  return {
    ...take,
    tiltDeg: take.tiltDeg + slippedDeg,
    tiltLeftDeg: take.tiltLeftDeg + slippedDeg,
    captureFps: frameRate ?? take.captureFps,
    light: { ...light, evMin: light.evMin + brighterStops, evMax: light.evMax + brighterStops },
    exposure: shutterSeconds
      ? { ...exposure, longestLog: Math.log2(shutterSeconds), shutterSpanStops: 0 }
      : exposure,
  };
}
