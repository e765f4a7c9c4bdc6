import { cardSeconds, writtenMbps } from '../camera/card';
import type { LightRange } from '../light/lightRange';
import { normalBelow } from '../units/expected';
import { SMEAR_TOLERANCE_PCT } from '../motion/shake';
import type { Candidate } from '../search/candidate';
import type { Exposure } from '../loss/exposure';
import { SUBJECT_BLUR_TOLERANCE_PCT } from '../loss/movement';
import type { Space } from '../search/space';

/** How far conditions may drift before the answer is wrong, and which limit comes first. */
export interface Holds {
  /** The light, EV100, inside which nothing is lost. */
  evMin: number;
  evMax: number;
  /** The chance that the light of the run stays inside, the highlight guard counted in, by how well it is known. */
  lightChance: number;
  untilLimit: 'light' | 'shake' | 'speed' | 'card';
  /** Shake, deg/s rms, at which smear reaches its tolerance. */
  shakeDegPerSRms: number;
  /** Speed of what crosses the view, deg/s, at which its blur can no longer be read. */
  crossingDegPerS: number;
  /** Recording the card can take, seconds. */
  recordSeconds: number;
}

/** Stands for a limit that is never reached, since JSON knows no infinity. */
export const UNLIMITED = 100_000;

export function holdsOf(
  space: Space,
  candidate: Candidate,
  exposure: Exposure,
  motion: { blurPctWidth: number; shakeSmearPctWidth: number },
  crossingDegPerS: number,
): Holds {
  const { brief, light } = space;
  const { sensor } = candidate.colour;
  const written = writtenMbps(candidate.encoding.bitRateMbps, brief.camera);
  const recordSeconds = cardSeconds(written, brief.limits.cardGb);
  const smearRoom = SMEAR_TOLERANCE_PCT / motion.shakeSmearPctWidth;
  const blurRoom = SUBJECT_BLUR_TOLERANCE_PCT / motion.blurPctWidth;
  // Room before each limit in stops (octaves), so that unlike things compare; the least comes first.
  const room: [Holds['untilLimit'], number][] = [
    [
      'light',
      Math.min(light.evMin - exposure.windowEvMin, exposure.windowEvMax + sensor.guardStops - light.evMax),
    ],
    ['shake', Math.log2(smearRoom)],
    ['speed', Math.log2(blurRoom)],
    ['card', Math.log2(recordSeconds / brief.limits.recordSeconds)],
  ];
  const first = room.reduce((least, entry) => (entry[1] < least[1] ? entry : least));
  return {
    evMin: exposure.windowEvMin,
    evMax: exposure.windowEvMax,
    lightChance: chanceInside(light, exposure, sensor.guardStops),
    untilLimit: first[0],
    shakeDegPerSRms: finite(
      brief.motion.shakeDegPerSRms === 0 ? Infinity : brief.motion.shakeDegPerSRms * smearRoom,
    ),
    crossingDegPerS: finite(crossingDegPerS === 0 ? Infinity : crossingDegPerS * blurRoom),
    recordSeconds,
  };
}

/** Both ends of the light shift together, normally: P(no dark end below the window, no bright one above its guard). */
export function chanceInside(light: LightRange, exposure: Exposure, guardStops: number): number {
  const up = exposure.windowEvMax + guardStops - light.evMax;
  const down = exposure.windowEvMin - light.evMin;
  if (light.spreadStops === 0) return up >= 0 && down <= 0 ? 1 : 0;
  return Math.max(0, normalBelow(up / light.spreadStops) - normalBelow(down / light.spreadStops));
}

function finite(value: number): number {
  return Number.isFinite(value) ? value : UNLIMITED;
}
