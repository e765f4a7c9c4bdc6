import { habitsOf } from '../vocabulary/mounts';
import { FINE, motionMap, paceOfMap } from '../motion/motionMap';
import type { MotionMap } from '../motion/motionMap';
import { jellies, skewPctWidth } from '../motion/rollingShutter';
import { peakShakeSmearPct, SMEAR_TOLERANCE_PCT, shakeSwingDeg } from '../motion/shake';
import { shakeBandsOf } from '../motion/shakeSpectrum';
import { spinnerOf, spinSeen } from '../motion/spin';
import type { Spinner, SpinSeen } from '../motion/spin';
import { overrunShare } from '../motion/steadying';
import { blurToAddOfFrameStep } from '../motion/flow';
import { speedsSeen } from '../playback/speeds';
import type { SpeedSeen } from '../playback/speeds';
import type { Candidate } from '../search/candidate';
import { exposureOf } from '../search/candidate';
import { deliveredFrame } from '../loss/frame';
import { movementOf, subjectPace } from '../loss/movement';
import type { Space } from '../search/space';

/** All that movement does in one way of filming a shot. Per cent of the delivered frame's width unless said otherwise. */
export interface MotionSheet {
  /** The shutter at the dark end of the light, where it is longest, and at the bright end. */
  longestSeconds: number;
  shortestSeconds: number;
  /** Blur of half the frame, of the fastest tenth of it, and of the subject, at the longest shutter. */
  typicalBlurPct: number;
  worstBlurPct: number;
  subjectBlurPct: number | null;
  /** Between two frames shown in real time or slowed, at the slowest speed. */
  typicalStepPct: number;
  worstStepPct: number;
  /** Peak smear of the shake inside one exposure: on a steadied picture it comes and goes. */
  shakeSmearPct: number;
  shakeSmearTolerancePct: number;
  pulses: boolean;
  /** Swing to either side, degrees, what is held of it, and the share of the time it goes past that. */
  swingDeg: number;
  heldDeg: number;
  overrunShare: number;
  /** Only where the camera knows its readout. */
  skewPct: number | null;
  jelly: boolean | null;
  spin: (SpinSeen & { spinner: Spinner }) | null;
  /** Blur to add in the edit to look like 180°, of a frame step. */
  blurToAdd: number;
  speeds: readonly SpeedSeen[];
  /** Movement over the frame, per second. */
  map: MotionMap;
}

export function motionSheet(space: Space, candidate: Candidate): MotionSheet {
  const { brief } = space;
  const { mode } = candidate;
  const { motion, mount, playback, camera } = brief;
  const frame = deliveredFrame(brief, mode, space.school.steadiedInEdit);
  const projection = mode.view.fromSphere ? ('straight' as const) : mode.view.projection;
  const lens = { horizontalDeg: frame.horizontalDeg, projection };
  const exposure = exposureOf(space, candidate);
  const [longestSeconds, shortestSeconds] = [2 ** exposure.darkLog, 2 ** exposure.brightLog];
  const map = motionMap(lens, movementOf(brief), FINE, playback.deliver.height / playback.deliver.width);
  const pace = paceOfMap(map);
  const subject = motion.subject ? subjectPace(brief, lens) : null;
  const slowdowns = [playback.slowdown, ...playback.alsoSlowdowns].sort((a, b) => a - b);
  const speeds = speedsSeen(mode.frameRate, longestSeconds, playback.timelineFps, slowdowns);
  const slowest = speeds.at(-1);
  const shownFps = slowest?.shownFps ?? mode.frameRate;
  const shakeSmearPct = peakShakeSmearPct(
    motion.shakeDegPerSRms,
    longestSeconds,
    lens.horizontalDeg,
    projection,
  );
  const steadied = mode.stabilization !== 'off' || space.school.steadiedInEdit;
  const readout = camera.readoutSeconds;
  const buzzHz = Math.max(...shakeBandsOf(mount.kind, mount.activity).map(({ highHz }) => highHz));
  const spinner = spinnerOf(mount.activity, motion.travelMps);
  return {
    longestSeconds,
    shortestSeconds,
    typicalBlurPct: pace.typicalPctPerS * longestSeconds,
    worstBlurPct: pace.worstPctPerS * longestSeconds,
    subjectBlurPct: subject === null ? null : subject * longestSeconds,
    typicalStepPct: Math.max(pace.typicalPctPerS, subject ?? 0) / shownFps,
    worstStepPct: Math.max(pace.worstPctPerS, subject ?? 0) / shownFps,
    shakeSmearPct,
    shakeSmearTolerancePct: SMEAR_TOLERANCE_PCT,
    pulses: steadied && shakeSmearPct > SMEAR_TOLERANCE_PCT * 1.05,
    swingDeg: shakeSwingDeg(motion.shakeDegPerSRms),
    heldDeg: frame.swingDeg,
    overrunShare: overrunShare(motion.shakeDegPerSRms, frame.swingDeg),
    skewPct: readout === undefined ? null : skewPctWidth(pace.worstPctPerS, readout),
    jelly:
      readout === undefined || habitsOf(mount.kind, mount.place).stands ? null : jellies(buzzHz, readout),
    spin: spinner && { spinner, ...spinSeen(spinner, shownFps, longestSeconds) },
    blurToAdd: blurToAddOfFrameStep(slowest?.shownAngleDeg ?? 180),
    speeds,
    map,
  };
}
