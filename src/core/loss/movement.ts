import type { ShutterAim } from '../vocabulary/schools';
import { pulseSeen } from '../light/flicker';
import type { PulseSeen } from '../light/flicker';
import { passingDegPerS } from '../motion/flow';
import { habitsOf } from '../vocabulary/mounts';
import type { Movement } from '../motion/movement';
import { paceOf } from '../motion/motionMap';
import type { Pace } from '../motion/motionMap';
import { peakShakeSmearPct, shakeFloorSeconds } from '../motion/shake';
import { imageVelocity, pctWidthPerDegree } from '../optics/projection';
import type { Projection } from '../optics/projection';
import type { Brief } from '../brief/brief';
import { cadenceOf } from '../playback/cadence';

/**
 * Movement in a given view at a given frame rate: what the terms owned by movement are told. Shutters come as log2 of
 * seconds, so that the search, which asks very often, only adds and compares.
 */

/** Blur of a subject that should be read, per cent of width, above which it no longer can be (start). */
export const SUBJECT_BLUR_TOLERANCE_PCT = 3;
/** Steps between frames longer than this, per cent of width, may strobe (start). */
export const STROBING_STEP_PCT = 1.5;
/** What strobes at the edge is seen, but it is the middle of the picture that is watched (start). */
const WORST_SHARE = 0.25;
/** Of the steps, what each octave of shake over its tolerance at half the time between frames hides (start). */
const HIDDEN = 0.2;
/** Shake in deg/s rms below which a mount counts as steady by itself (start: a heavy handle). */
const STEADY_BY_ITSELF_DEG_PER_S = 8;

/** What of a mode matters to its shutter. */
export interface MotionView {
  frameRate: number;
  horizontalDeg: number;
  projection: Projection;
  steadied: boolean;
}

/** What of a view no frame rate, hold or shutter changes; and no light. */
export interface ViewFigures {
  pctPerDegree: number;
  /** Half of what moves in the frame moves faster; the subject counts as what is watched. Per cent of width a second. */
  typicalPctPerS: number;
  /** One part in ten of the frame moves faster, or the subject does. */
  worstPctPerS: number;
  /** log2 of seconds: the shake floor, and where a subject starts to blur. */
  shakeFloorLog: number;
  subjectFloorLog: number;
}

/** What of a frame rate no view changes. */
export interface RateFigures {
  /** Captured moments shown per second of the action. */
  shownFps: number;
  /** log2 of the seconds of the shown interval. */
  shownLog: number;
  /** How the lamps' pulse is seen in the film; `null` without lamps. */
  pulse: PulseSeen | null;
}

/** Everything about movement in one view that does not depend on the shutter: worked out once, used per shutter. */
export interface MotionFigures extends ViewFigures, RateFigures {
  /** The worst between two frames shown, per cent of width. */
  stepPct: number;
  /** Octaves of step above the strobing limit, of the typical and the worst movement; 0 when both are below. */
  stepOctaves: number;
  /** The picture holds still between exposures: steadied, or on a steady mount. */
  steady: boolean;
}

/** All that a term of the movement may ask: the shutter at both ends of the light, log2 of seconds. */
export interface MotionFacts {
  figures: MotionFigures;
  /** `null`: none to miss. */
  aim: ShutterAim | null;
  brightLog: number;
  darkLog: number;
  /** What the dark end weighs, 0…1, as in the run's light. */
  darkWeight: number;
  /** What it may take, though it does not in this light. */
  longestLog: number;
}

export function viewFigures(
  brief: Brief,
  view: Pick<MotionView, 'horizontalDeg' | 'projection'>,
  around: Pace = paceOf(view, movementOf(brief)),
): ViewFigures {
  const { shakeDegPerSRms } = brief.motion;
  const subjectPctPerS = subjectPace(brief, view);
  return {
    pctPerDegree: pctWidthPerDegree(view.horizontalDeg, view.projection),
    typicalPctPerS: Math.max(around.typicalPctPerS, subjectPctPerS),
    worstPctPerS: Math.max(around.worstPctPerS, subjectPctPerS),
    shakeFloorLog: Math.log2(shakeFloorSeconds(shakeDegPerSRms, view.horizontalDeg, view.projection)),
    subjectFloorLog: Math.log2(SUBJECT_BLUR_TOLERANCE_PCT / subjectPctPerS),
  };
}

export function rateFigures(
  { playback, camera }: Brief,
  frameRate: number,
  pulseHz: number | null,
): RateFigures {
  const { shownFps } = cadenceOf(frameRate, playback.timelineFps, playback.slowdown);
  return {
    shownFps,
    shownLog: -Math.log2(shownFps),
    pulse: pulseHz === null ? null : pulseSeen(pulseHz, frameRate, playback, camera.readoutSeconds),
  };
}

export function motionFigures(
  { motion }: Brief,
  view: ViewFigures,
  rate: RateFigures,
  steadied: boolean,
): MotionFigures {
  return {
    pctPerDegree: view.pctPerDegree,
    typicalPctPerS: view.typicalPctPerS,
    worstPctPerS: view.worstPctPerS,
    shakeFloorLog: view.shakeFloorLog,
    subjectFloorLog: view.subjectFloorLog,
    shownFps: rate.shownFps,
    shownLog: rate.shownLog,
    pulse: rate.pulse,
    stepPct: view.worstPctPerS / rate.shownFps,
    stepOctaves: stepOctavesOf(view, rate),
    steady: steadied || motion.shakeDegPerSRms < STEADY_BY_ITSELF_DEG_PER_S,
  };
}

/** The same movement with so many octaves more shake and pace. */
export function atPace(
  figures: MotionFigures,
  { shake, speed }: { shake: number; speed: number },
): MotionFigures {
  if (shake === 0 && speed === 0) return figures;
  const times = 2 ** speed;
  const faster = {
    typicalPctPerS: figures.typicalPctPerS * times,
    worstPctPerS: figures.worstPctPerS * times,
    shakeFloorLog: figures.shakeFloorLog - shake,
  };
  return {
    ...figures,
    ...faster,
    stepPct: figures.stepPct * times,
    stepOctaves: stepOctavesOf(faster, figures),
    subjectFloorLog: figures.subjectFloorLog - speed,
  };
}

/** What is seen of the steps: a picture that shakes so much that half the time between frames would smear it hides them. */
function stepOctavesOf(
  {
    typicalPctPerS,
    worstPctPerS,
    shakeFloorLog,
  }: Pick<ViewFigures, 'typicalPctPerS' | 'worstPctPerS' | 'shakeFloorLog'>,
  { shownFps, shownLog }: Pick<RateFigures, 'shownFps' | 'shownLog'>,
): number {
  const octaves = (pctPerS: number): number => Math.max(0, Math.log2(pctPerS / shownFps / STROBING_STEP_PCT));
  const shaken = Math.max(0, shownLog - 1 - shakeFloorLog);
  return (
    ((1 - WORST_SHARE) * octaves(typicalPctPerS) + WORST_SHARE * octaves(worstPctPerS)) /
    (1 + HIDDEN * shaken)
  );
}

/** Of what the bright end and the dark end lose, where the dark one loses more: all of it, or as short as it is less. */
export function atWorst(bright: number, dark: number, darkWeight: number): number {
  return bright + darkWeight * (dark - bright);
}

/** The shutter aimed at in one view, log2 of seconds: an angle of the frames shown, or the shake floor if that is shorter. */
export function aimLogOf(
  { angleDeg, orShakeFloor }: ShutterAim,
  { shownLog, shakeFloorLog }: MotionFigures,
): number {
  const natural = shownLog + Math.log2(angleDeg / 360);
  return orShakeFloor ? Math.min(natural, shakeFloorLog) : natural;
}

/** How the camera of a brief moves past things: its travel, and its usual turning. */
export function movementOf({ mount, motion }: Brief): Movement {
  return {
    travelMps: motion.travelMps,
    sideDistanceM: motion.nearestM,
    pitchDeg: mount.pitchDeg,
    backwards: habitsOf(mount.kind, mount.place).looksBack,
    turnDegPerS: motion.panDegPerS,
    rollDegPerS: 0,
  };
}

/** The subject passing at right angles to the axis, where it stands in the frame; per cent of width a second. */
export function subjectPace(brief: Brief, view: Pick<MotionView, 'horizontalDeg' | 'projection'>): number {
  const { subject } = brief.motion;
  if (!subject || subject.speedMps === 0) return 0;
  const away = Math.hypot(subject.sideM, subject.distanceM);
  const direction = { x: subject.sideM / away, y: 0, z: subject.distanceM / away };
  const rate = (passingDegPerS(subject.speedMps, away) * Math.PI) / 180;
  // Square to the line of sight, which is how a subject at its nearest passes.
  const velocity = imageVelocity(view, direction, { x: rate * direction.z, y: 0, z: -rate * direction.x });
  return velocity === null ? 0 : 50 * Math.hypot(velocity.x, velocity.y);
}

/** The figures an answer quotes for one shutter: per cent of the frame's width. */
export function motionOf(
  brief: Brief,
  figures: Pick<MotionFigures, 'worstPctPerS' | 'stepPct'>,
  view: MotionView,
  seconds: number,
): { blurPctWidth: number; stepPctWidth: number; shakeSmearPctWidth: number } {
  return {
    blurPctWidth: figures.worstPctPerS * seconds,
    stepPctWidth: figures.stepPct,
    shakeSmearPctWidth: peakShakeSmearPct(
      brief.motion.shakeDegPerSRms,
      seconds,
      view.horizontalDeg,
      view.projection,
    ),
  };
}
