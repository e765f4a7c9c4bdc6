import { flickerBeatHz, flickerResidual } from '../light/flicker';
import { passingDegPerS } from '../motion/flow';
import { habitsOf } from '../motion/mounts';
import type { Movement } from '../motion/movement';
import { paceOf } from '../motion/motionMap';
import type { Pace } from '../motion/motionMap';
import { peakShakeSmearPct, shakeFloorSeconds } from '../motion/shake';
import { imageVelocity, pctWidthPerDegree } from '../optics/projection';
import type { Projection } from '../optics/projection';
import type { Brief } from '../plan/defaults';
import { cadenceOf } from '../playback/cadence';
import type { School } from './schools';

/**
 * The terms that follow from the shutter in a given view at a given frame rate. Under an automatic shutter the blur is
 * judged at the longest time it takes in this light, the steps at the shortest, the look halfway between. Shutters come
 * as log2 of seconds, so that the search, which asks very often, only adds and compares.
 */

/** Blur of a subject that should be read, per cent of width, above which it no longer can be (start). */
export const SUBJECT_BLUR_TOLERANCE_PCT = 3;
/** Steps between frames longer than this, per cent of width, may strobe … (start). */
export const STROBING_STEP_PCT = 1.5;
/** … when the blur fills less than this share of the step (start). */
export const STROBING_BLUR_SHARE = 1 / 6;
/** What strobes at the edge is seen, but it is the middle of the picture that is watched (start). */
const WORST_SHARE = 0.25;
const STROBING_BLUR_SHARE_LOG = Math.log2(STROBING_BLUR_SHARE);
/** Smear on a picture that shakes anyway is noticed less. */
const SMEAR_WHEN_UNSTEADY = 0.6;
/** Shake in deg/s rms below which a mount counts as steady by itself (start: a heavy handle). */
export const STEADY_BY_ITSELF_DEG_PER_S = 8;
/** A beat between these, Hz, is seen as pulsing. */
export const BEAT_SEEN_HZ = [0.2, 10] as const;

/** What of a mode matters to its shutter. */
export interface MotionView {
  frameRate: number;
  horizontalDeg: number;
  projection: Projection;
  steadied: boolean;
}

/** Everything about movement in one view that does not depend on the shutter: worked out once, used per shutter. */
export interface MotionFigures {
  /** Captured moments shown per second of the action. */
  shownFps: number;
  pctPerDegree: number;
  /** Half of what moves in the frame moves faster; the subject counts as what is watched. Per cent of width a second. */
  typicalPctPerS: number;
  /** One part in ten of the frame moves faster, or the subject does. */
  worstPctPerS: number;
  /** The worst between two frames shown, per cent of width. */
  stepPct: number;
  /** log2 of: seconds of the shown interval, of the shake floor, of the aim, and where a subject starts to blur. */
  shownLog: number;
  shakeFloorLog: number;
  /** NaN: no aim to miss. */
  aimLog: number;
  subjectFloorLog: number;
  /** Octaves of step above the strobing limit, of the typical and the worst movement; 0 when both are below. */
  stepOctaves: number;
  smearWeight: number;
  beatWeight: number;
}

/** Without an aim: that is the school's, and set by `aimLogOf`. */
export function motionFigures(
  brief: Brief,
  view: MotionView,
  pulseHz: number | null,
  around: Pace = paceOf(view, movementOf(brief)),
): MotionFigures {
  const { timelineFps, slowdown } = brief.playback;
  const { shakeDegPerSRms } = brief.motion;
  const { shownFps } = cadenceOf(view.frameRate, timelineFps, slowdown);
  const pctPerDegree = pctWidthPerDegree(view.horizontalDeg, view.projection);
  const subjectPctPerS = subjectPace(brief, view);
  const typicalPctPerS = Math.max(around.typicalPctPerS, subjectPctPerS);
  const worstPctPerS = Math.max(around.worstPctPerS, subjectPctPerS);
  const floor = shakeFloorSeconds(shakeDegPerSRms, view.horizontalDeg, view.projection);
  const steady = view.steadied || shakeDegPerSRms < STEADY_BY_ITSELF_DEG_PER_S;
  const octaves = (pctPerS: number): number => Math.max(0, Math.log2(pctPerS / shownFps / STROBING_STEP_PCT));
  return {
    shownFps,
    pctPerDegree,
    typicalPctPerS,
    worstPctPerS,
    stepPct: worstPctPerS / shownFps,
    shownLog: -Math.log2(shownFps),
    shakeFloorLog: Math.log2(floor),
    aimLog: NaN,
    subjectFloorLog: Math.log2(SUBJECT_BLUR_TOLERANCE_PCT / subjectPctPerS),
    stepOctaves: (1 - WORST_SHARE) * octaves(typicalPctPerS) + WORST_SHARE * octaves(worstPctPerS),
    smearWeight: steady ? 1 : SMEAR_WHEN_UNSTEADY,
    beatWeight: pulseHz === null ? 0 : beatWeight(pulseHz, view.frameRate),
  };
}

/** log2 of the shutter a school aims at, seconds: its angle of the frames shown, or the shake floor if that is shorter. */
export function aimLogOf({ shownLog, shakeFloorLog }: MotionFigures, { aim }: School): number {
  const natural = shownLog + Math.log2(aim.angleDeg / 360);
  return aim.orShakeFloor ? Math.min(natural, shakeFloorLog) : natural;
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

/**
 * Shorter than the aim: 0.3 a stop, and 0.3 more from two stops on, where movement turns choppy. Longer: 0.8 a stop. What
 * an automatic shutter may take but does not in this light counts for a fiftieth, so that it errs towards the aim.
 */
export function angleLoss(
  figures: MotionFigures,
  brightLog: number,
  darkLog: number,
  longestLog: number,
): number {
  if (Number.isNaN(figures.aimLog)) return 0;
  const used = (distance(brightLog - figures.aimLog) + distance(darkLog - figures.aimLog)) / 2;
  return longestLog === darkLog ? used : used + 0.02 * distance(longestLog - figures.aimLog);
}

function distance(stops: number): number {
  return stops > 0 ? 0.8 * stops : -0.3 * stops + 0.3 * Math.max(0, -stops - 2);
}

/** One for each octave over the tolerance. */
export function smearLoss(figures: MotionFigures, darkLog: number): number {
  return figures.smearWeight * Math.max(0, darkLog - figures.shakeFloorLog);
}

/** One for each octave over the blur at which the subject can still be read. */
export function subjectBlurLoss(figures: MotionFigures, darkLog: number): number {
  return Math.max(0, darkLog - figures.subjectFloorLog);
}

/** Octaves of step over the limit times octaves of missing blur, capped: past that it is simply all strobing. */
export function strobingLoss(figures: MotionFigures, brightLog: number): number {
  if (figures.stepOctaves === 0) return 0;
  const missing = Math.max(0, STROBING_BLUR_SHARE_LOG - brightLog + figures.shownLog);
  return Math.min(3, 0.4 * figures.stepOctaves * missing);
}

/** Four times the pulse left in an exposure, by how well the beat is seen. */
export function flickerLoss(
  figures: MotionFigures,
  pulseHz: number | null,
  brightLog: number,
  darkLog: number,
): number {
  if (figures.beatWeight === 0 || pulseHz === null) return 0;
  const atBright = flickerResidual(pulseHz, 2 ** brightLog);
  const left = brightLog === darkLog ? atBright : Math.max(atBright, flickerResidual(pulseHz, 2 ** darkLog));
  return 4 * figures.beatWeight * left;
}

function beatWeight(pulseHz: number, frameRate: number): number {
  const beat = flickerBeatHz(pulseHz, frameRate);
  if (beat < BEAT_SEEN_HZ[0]) return 0.03;
  return beat <= BEAT_SEEN_HZ[1] ? 1 : 0.5;
}

/** The figures an answer quotes for one shutter: per cent of the frame's width. */
export function motionOf(
  brief: Brief,
  figures: MotionFigures,
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
