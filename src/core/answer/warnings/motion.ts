import { modesOf } from '../../camera/modeTable';
import type { Brief } from '../../brief/brief';
import { flickerResidual, flickerSafeShutters, steadySlowdown } from '../../light/flicker';
import type { PulseSeen } from '../../light/flicker';
import { SUBJECT_BLUR_TOLERANCE_PCT } from '../../loss/movement';
import { worthAWarning } from '../../loss/table';
import { STROBING_BLUR_SHARE } from '../../loss/terms/strobing';
import { SMEAR_TOLERANCE_PCT } from '../../motion/shake';
import { cadenceOf } from '../../playback/cadence';
import { takesFilters } from '../../filters/bag';
import { severityOf, warning } from './warning';
import type { JudgedAnswer } from './warning';

/** Movement against the shutter and the frame rate. Per cent of the width, seconds, frames a second. */

/** Different frames a second below which movement falls apart (start). */
const BROKEN_BELOW_FPS = 18;

const smear = warning<'smear', { smearPct: number; tolerancePct: number; floorSeconds: number }>(
  'smear',
  ({ loss, exposure, figures }) =>
    worthAWarning('smear', loss)
      ? {
          severity: severityOf(loss.smear),
          smearPct: SMEAR_TOLERANCE_PCT * 2 ** (exposure.darkLog - figures.shakeFloorLog),
          tolerancePct: SMEAR_TOLERANCE_PCT,
          floorSeconds: 2 ** figures.shakeFloorLog,
        }
      : null,
);

const speed = warning<'speed', { blurPct: number; tolerancePct: number; enoughSeconds: number }>(
  'speed',
  ({ loss, figures }) =>
    worthAWarning('subjectBlur', loss)
      ? {
          severity: severityOf(loss.subjectBlur),
          blurPct: SUBJECT_BLUR_TOLERANCE_PCT * 2 ** loss.subjectBlur,
          tolerancePct: SUBJECT_BLUR_TOLERANCE_PCT,
          enoughSeconds: 2 ** figures.subjectFloorLog,
        }
      : null,
);

interface Strobing {
  stepPct: number;
  blurShare: number;
  enoughSeconds: number;
  /** Stops of one neutral filter that the longer shutter wants in this light; 0 where the bag has them. */
  wantsStops: number;
  takesFilters: boolean;
}

const strobing = warning<'strobing', Strobing>('strobing', (seen) => {
  const { loss, exposure, figures, motion } = seen;
  if (!worthAWarning('strobing', loss)) return null;
  const enoughSeconds = STROBING_BLUR_SHARE / figures.shownFps;
  return {
    severity: severityOf(loss.strobing),
    stepPct: motion.stepPctWidth,
    blurShare: 2 ** exposure.brightLog * figures.shownFps,
    enoughSeconds,
    wantsStops: glassWanted(seen, enoughSeconds),
    takesFilters: takesFilters(seen.space.brief.camera),
  };
});

/** Stops to spare, and the least that a filter is short by. */
const SLACK_STOPS = 0.35;

/** Stops of filter without which the bright end is white at this shutter and the lowest ISO; 0 where the bag has them. */
function glassWanted({ space, candidate: { colour } }: JudgedAnswer, seconds: number): number {
  const { sensor, isoWindows } = colour;
  const lowest = Math.min(...isoWindows.map(({ minLog }) => minLog));
  const bears = sensor.fNumberLog - Math.log2(seconds) - lowest + sensor.guardStops;
  const missing = space.light.evMax - bears;
  const strongest = Math.max(...space.filters.map(({ stops }) => stops));
  return missing <= strongest + SLACK_STOPS ? 0 : Math.ceil(missing - SLACK_STOPS);
}

interface Stutter {
  seenFps: number;
  timelineFps: number;
  /** A rate of this camera that would show it; `null` where it has none, and then its fastest. */
  offeredFps: number | null;
  fastestFps: number;
  broken: boolean;
}

const stutter = warning<'stutter', Stutter>('stutter', ({ space, candidate, loss }) => {
  const { timelineFps, slowdown } = space.brief.playback;
  const { frameRate } = candidate.mode;
  const cadence = cadenceOf(frameRate, timelineFps, slowdown);
  if (!cadence.repeats || !worthAWarning('stutter', loss)) return null;
  const rates = ratesOf(space.brief);
  return {
    severity: severityOf(loss.stutter),
    seenFps: cadence.seenFps,
    timelineFps,
    offeredFps: rates.find((fps) => !cadenceOf(fps, timelineFps, slowdown).repeats) ?? null,
    fastestFps: rates.at(-1) ?? frameRate,
    broken: cadence.seenFps < BROKEN_BELOW_FPS,
  };
});

interface Uneven {
  captureFps: number;
  timelineFps: number;
  slowdown: number;
  evenFps: number[];
}

const cadence = warning<'cadence', Uneven>('cadence', ({ space, candidate, loss }) => {
  const { timelineFps, slowdown } = space.brief.playback;
  const { frameRate } = candidate.mode;
  if (!cadenceOf(frameRate, timelineFps, slowdown).uneven) return null;
  return {
    severity: severityOf(loss.cadence),
    captureFps: frameRate,
    timelineFps,
    slowdown,
    evenFps: ratesOf(space.brief).filter((fps) => {
      const { uneven, repeats } = cadenceOf(fps, timelineFps, slowdown);
      return !uneven && !repeats;
    }),
  };
});

interface Flicker {
  residual: number;
  pulse: PulseSeen;
  safeSeconds: number | null;
  /** A frame rate of this camera that has a safe shutter, where this one has none. */
  safeFps: number | null;
  /** Another slow motion under which the pulse stands still, where it beats and no shutter is free of it. */
  steadyAt: { slowdown: number; captureFps: number } | null;
}

const flicker = warning<'flicker', Flicker>('flicker', ({ space, candidate, loss, exposure, figures }) => {
  const { pulse } = figures;
  if (pulse === null || !worthAWarning('flicker', loss)) return null;
  const { pulseHz } = pulse;
  const seconds = 2 ** exposure.darkLog;
  const safe = flickerSafeShutters(pulseHz, candidate.mode.frameRate);
  const rates = ratesOf(space.brief);
  const beats = pulse.seen !== 'steady' && pulse.seen !== 'bands';
  return {
    severity: severityOf(loss.flicker),
    residual: Math.max(flickerResidual(pulseHz, seconds), flickerResidual(pulseHz, 2 ** exposure.brightLog)),
    pulse,
    safeSeconds: nearestTo(seconds, safe),
    safeFps: rates.findLast((fps) => flickerSafeShutters(pulseHz, fps).length > 0) ?? null,
    steadyAt: beats && safe.length === 0 ? steadySlowdown(pulseHz, rates, space.brief.playback) : null,
  };
});

export const MOTION_WARNINGS = [smear, speed, strobing, stutter, cadence, flicker] as const;

/** The frame rates at which this camera films a clip of this recording, slowest first. */
function ratesOf({ camera, pins }: Brief): number[] {
  const recording = pins.recording ?? null;
  return [
    ...new Set(
      modesOf(camera)
        .filter((mode) =>
          recording === null
            ? mode.recording === 'video' || mode.recording === 'slowMotion'
            : mode.recording === recording,
        )
        .map((mode) => mode.frameRate),
    ),
  ].sort((a, b) => a - b);
}

/** Of some times the nearest in stops; `null` of none. */
function nearestTo(seconds: number, times: readonly number[]): number | null {
  const off = (time: number): number => Math.abs(Math.log2(time / seconds));
  return times.reduce<number | null>(
    (best, time) => (best === null || off(time) < off(best) ? time : best),
    null,
  );
}
