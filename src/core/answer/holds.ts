import { cardSeconds } from '../camera/card';
import { SMEAR_TOLERANCE_PCT } from '../motion/shake';
import type { Candidate } from '../search/candidate';
import type { Exposure } from '../loss/exposureLoss';
import { SUBJECT_BLUR_TOLERANCE_PCT } from '../loss/shutterLoss';
import type { Space } from '../search/space';

/** How far conditions may drift before the answer is wrong, and which limit comes first. */
export interface Holds {
  /** The light, EV100, inside which nothing is lost. */
  evMin: number;
  evMax: number;
  untilLimit: 'light' | 'shake' | 'speed' | 'card';
  /** Shake, deg/s rms, at which smear reaches its tolerance. */
  shakeDegPerSRms: number;
  /** Speed of what crosses the view, deg/s, at which its blur can no longer be read. */
  crossingDegPerS: number;
  /** Recording the card can take, seconds. */
  recordSeconds: number;
}

/** Stands for a limit that is never reached, since JSON knows no infinity. */
const UNLIMITED = 100_000;

export function holdsOf(
  space: Space,
  candidate: Candidate,
  exposure: Exposure,
  motion: { blurPctWidth: number; shakeSmearPctWidth: number },
  crossingDegPerS: number,
): Holds {
  const { brief, light, sensor } = space;
  const { bitRateMbps } = candidate.encoding;
  const recordSeconds = cardSeconds(bitRateMbps, brief.limits.cardGb);
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
    untilLimit: first[0],
    shakeDegPerSRms: finite(
      brief.motion.shakeDegPerSRms === 0 ? Infinity : brief.motion.shakeDegPerSRms * smearRoom,
    ),
    crossingDegPerS: finite(crossingDegPerS === 0 ? Infinity : crossingDegPerS * blurRoom),
    recordSeconds,
  };
}

function finite(value: number): number {
  return Number.isFinite(value) ? value : UNLIMITED;
}
