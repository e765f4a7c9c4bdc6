import type { Activity } from '../vocabulary/activities';

/** Things that turn in the picture: wheels, paddles, rotors. Revolutions a second; equal spokes or blades. */
export interface Spinner {
  what: 'wheel' | 'paddle' | 'rotor' | 'roadWheel';
  spokes: number;
  revPerS: number;
}

/** Radius in metres from which speed over ground gives revolutions. (start) */
const BIKE_WHEEL_M = 0.34;
const ROAD_WHEEL_M = 0.31;
/** Strokes of a double paddle a second, each half a turn (start). */
const PADDLE_REV_PER_S = 0.6;
const ROTOR_REV_PER_S = 110;

/** What usually turns in a shot of an activity. */
export function spinnerOf(activity: Activity, travelMps: number): Spinner | null {
  const rolling = (radiusM: number): number => travelMps / (2 * Math.PI * radiusM);
  switch (activity) {
    case 'riding':
      return { what: 'wheel', spokes: 28, revPerS: rolling(BIKE_WHEEL_M) };
    case 'driving':
      return { what: 'roadWheel', spokes: 5, revPerS: rolling(ROAD_WHEEL_M) };
    case 'paddling':
      return { what: 'paddle', spokes: 2, revPerS: PADDLE_REV_PER_S };
    case 'flying':
      return { what: 'rotor', spokes: 2, revPerS: ROTOR_REV_PER_S };
    default:
      return null;
  }
}

export interface SpinSeen {
  /** How fast it seems to turn; negative: backwards. One spoke looks like the next, so steps fold into half a gap. */
  seemsRevPerS: number;
  /** Blur of a spoke over the gap to the next: from 1 on it is a disc. */
  blurOfGap: number;
  /** The step between frames, gaps; above a half it seems to turn the wrong way or stand. */
  stepGaps: number;
}

/** `shownFps`: captured moments shown per second of the action. */
export function spinSeen({ spokes, revPerS }: Spinner, shownFps: number, shutterSeconds: number): SpinSeen {
  const gapsPerS = revPerS * spokes;
  const stepGaps = gapsPerS / shownFps;
  const folded = stepGaps - Math.round(stepGaps);
  return {
    seemsRevPerS: (folded * shownFps) / spokes,
    blurOfGap: gapsPerS * shutterSeconds,
    stepGaps,
  };
}
