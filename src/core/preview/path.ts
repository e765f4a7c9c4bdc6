import { paceOf } from '../motion/motionMap';
import { shakeAt, shakeSines } from '../motion/shakeSpectrum';
import type { Shake, ShakeTurn } from '../motion/shakeSpectrum';
import { leftAfter } from '../motion/steadying';
import { pctWidthPerDegree } from '../optics/projection';
import { attitude, back, times } from './attitude';
import type { Matrix } from './attitude';
import { meantTurn, shaken } from './take';
import type { PreviewTake } from './take';

/** Rays of one pixel in one exposure: one for each so many pixels of blur, four phases apart. */
const BLUR_PX_PER_RAY = 3;
export const MOST_RAYS = 14;
/** Instants of one ray, spread over a two by two pattern of pixels. */
export const PHASES = 4;

/** The camera at one instant: frame directions to world directions, how far along, and where the subject stands. */
export interface Instant {
  matrix: Matrix;
  z: number;
  subjectX: number;
}

/** Where the camera of a take stands and looks while it films. */
export class CameraPath {
  private readonly shake: Shake;

  constructor(private readonly take: PreviewTake) {
    this.shake = shakeSines(take.shake.rmsDegPerS, take.shake.bands, take.shake.seed);
  }

  /** Enough rays that none is more than a few pixels from the next. */
  raysFor(open: number, width: number): number {
    const { take } = this;
    const scale = pctWidthPerDegree(take.lens.horizontalDeg, take.lens.projection);
    const subject = take.subject ? (take.subject.speedMps / take.subject.distanceM) * 57.3 * scale : 0;
    const pace = Math.max(
      paceOf(take.lens, take.movement).worstPctPerS,
      subject,
      2 * take.shake.rmsDegPerS * scale * (take.join?.what === 'shake' ? 4 : 1),
    );
    return Math.min(MOST_RAYS, Math.max(1, Math.ceil((pace * open * width) / 100 / BLUR_PX_PER_RAY)));
  }

  /** Where the camera stands and looks at each ray's instant: rays × phases, phase by phase within each ray. */
  instantsOf(at: number, open: number, rays: number): Instant[] {
    const { take } = this;
    // Steadying puts the frame where the camera meant to look in the middle of the exposure; within it nothing is held.
    const shown = this.shownFrom(at);
    const speed = (take.movement.backwards ? -1 : 1) * take.movement.travelMps;
    const instants: Instant[] = [];
    for (let ray = 0; ray < rays; ray++)
      for (let phase = 0; phase < PHASES; phase++) {
        const seconds = at + open * ((ray + (phase + 0.5) / PHASES) / rays - 0.5);
        instants.push({
          matrix: times(this.sensorAt(seconds), shown),
          z: speed * seconds,
          subjectX: take.subject ? this.subjectAt(seconds) : 0,
        });
      }
    return instants;
  }

  /** Where the camera points at an instant: what is meant, the mount's tilt, and the shake. */
  private sensorAt(seconds: number): Matrix {
    const { take } = this;
    return times(this.meantAt(seconds, take.tiltDeg), attitude(this.shakenAt(seconds)));
  }

  private shakenAt(seconds: number): ShakeTurn {
    const { yawDeg, pitchDeg, rollDeg } = shakeAt(this.shake, seconds);
    const times = shaken(this.take, seconds);
    return { yawDeg: times * yawDeg, pitchDeg: times * pitchDeg, rollDeg: times * rollDeg };
  }

  private meantAt(seconds: number, tiltDeg: number): Matrix {
    const { pitchDeg, rollDegPerS } = this.take.movement;
    const turn = meantTurn(this.take, seconds);
    return attitude({
      yawDeg: turn.yawDeg,
      pitchDeg: pitchDeg + turn.pitchDeg,
      rollDeg: tiltDeg + rollDegPerS * seconds,
    });
  }

  /** The frame shown, seen from the camera at the middle of an exposure: what steadying turns back, up to its margin. */
  shownFrom(at: number): Matrix {
    const { take } = this;
    const left = leftAfter(this.shakenAt(at), take.heldDeg, take.rollHeldDeg);
    return times(back(this.sensorAt(at)), times(this.meantAt(at, take.tiltLeftDeg), attitude(left)));
  }

  private subjectAt(seconds: number): number {
    const { subject, filmSeconds, slowdown } = this.take;
    if (!subject) return 0;
    return subject.sideM + subject.speedMps * (seconds - filmSeconds / slowdown / 2);
  }
}
