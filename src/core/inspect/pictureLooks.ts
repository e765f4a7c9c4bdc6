import type { Brief } from '../brief/brief';
import { BEAT_SEEN_HZ } from '../light/flicker';
import { asRange, evRangeOf } from '../light/lightRange';
import { shakeFloorSeconds } from '../motion/shake';
import type { Pictures } from '../records/clipReport';
import type { Pins } from '../records/settings';
import { LIMITS } from './limits';
import type { PlannedShot } from './planned';
import type { Detector, Detected } from './seen';

export const over: Detector = ({ pictures }) => {
  if (!pictures) return null;
  const { worst, worstAtSeconds } = pictures.clippedPct;
  const limit = LIMITS.clippedPct.value;
  return worst <= limit
    ? null
    : {
        code: 'over',
        atSeconds: worstAtSeconds,
        value: worst,
        limit,
        cure: { measured: (brief) => lit(brief, { brighter: beyond(worst, limit) }), term: 'over' },
      };
};

export const under: Detector = ({ pictures }) => {
  if (!pictures) return null;
  const { worst, worstAtSeconds } = pictures.crushedPct;
  const limit = LIMITS.crushedPct.value;
  const dark = LIMITS.darkStops.value;
  const cure = (stops: number): Detected['cure'] => ({
    measured: (brief) => lit(brief, { darker: stops }),
    term: 'under',
  });
  if (worst > limit)
    return {
      code: 'under',
      atSeconds: worstAtSeconds,
      value: worst,
      limit,
      cure: cure(beyond(worst, limit)),
    };
  const { median } = pictures.middleStops;
  return median < dark
    ? {
        code: 'under',
        atSeconds: null,
        value: median,
        limit: dark,
        cure: cure(Math.min(MOST_BEYOND, dark - median)),
      }
    : null;
};

export const drift: Detector = ({ pictures, container }, planned) => {
  const minutes = Math.max(0.5, container.durationSeconds / 60);
  const limit = LIMITS.stepsPerMinute.value;
  const value = pictures ? pictures.exposureSteps / minutes : 0;
  if (value <= limit) return null;
  const floats = planned?.settings.shutterMode === 'auto';
  const change: Pins | undefined =
    planned && floats ? { shutterMode: 'fixed', shutterSeconds: planned.settings.shutterSeconds } : undefined;
  return { code: 'drift', atSeconds: null, value, limit, change };
};

/** Sharpness that comes and goes with the movement of the picture, or with shake that a hold has taken out of it. */
export const smear: Detector = ({ pictures }) => {
  const value = pictures?.pulsingPct ?? 0;
  const limit = LIMITS.pulsingPct.value;
  return value <= limit
    ? null
    : {
        code: 'smear',
        atSeconds: null,
        value,
        limit,
        cure: { measured: (brief, planned) => shakenBy(brief, planned, value / limit), term: 'smear' },
      };
};

/** Soft all over, or the middle alone while what is around it is sharp: something too near to be in focus. */
export const soft: Detector = ({ pictures }) => {
  const { median = 0, followsMovement = null, nearMedian = null, aroundMedian = null } = pictures?.blur ?? {};
  const limit = LIMITS.blur.value;
  const moves = (followsMovement ?? 0) > LIMITS.blurFollows.value;
  const tooNear =
    aroundMedian !== null &&
    aroundMedian < LIMITS.sharpAround.value &&
    nearMedian !== null &&
    nearMedian > limit;
  if (median > limit && !moves) return { code: 'soft', atSeconds: null, value: median, limit };
  return tooNear ? { code: 'soft', atSeconds: null, value: nearMedian, limit } : null;
};

export const shake: Detector = ({ pictures }) => {
  const { shakePctWidthPerSRms: value = 0, strongestHz = null } = pictures?.movement ?? {};
  if (strongestHz !== null && strongestHz < LIMITS.shakeFromHz.value) return null;
  const limit = LIMITS.shakePctWidthPerS.value;
  return value <= limit
    ? null
    : {
        code: 'shake',
        atSeconds: null,
        value,
        limit,
        cure: {
          measured: (brief, { settings, pctPerDegree }) =>
            settings.stabilization === 'off'
              ? { ...brief, motion: { ...brief.motion, shakeDegPerSRms: value / pctPerDegree } }
              : brief,
          term: 'steadiness',
        },
      };
};

export const strobing: Detector = ({ pictures, container }, planned) => {
  if (!planned || !pictures?.movement || container.frameRate <= 0) return null;
  const value = pictures.movement.speedPctWidthPerS / container.frameRate;
  const limit = LIMITS.strobingStepPct.value;
  if (value <= limit || planned.settings.shutterAngleDeg >= LIMITS.shortAngleDeg.value) return null;
  return {
    code: 'strobing',
    atSeconds: null,
    value,
    limit,
    cure: { measured: (brief) => brief, term: 'strobing' },
  };
};

export const noise: Detector = ({ pictures }) => {
  const value = pictures?.noiseDarkDb ?? pictures?.noiseDb ?? Infinity;
  const limit = LIMITS.noiseDb.value;
  return value >= limit
    ? null
    : { code: 'noise', atSeconds: null, value, limit, cure: { measured: (brief) => brief, term: 'noise' } };
};

export const tilt: Detector = ({ pictures }) => {
  const value = pictures && toldTilt(pictures);
  if (value === null) return null;
  const limit = LIMITS.tiltDeg.value;
  return Math.abs(value) <= limit
    ? null
    : {
        code: 'tilt',
        atSeconds: null,
        value,
        limit,
        cure: {
          measured: (brief) => ({ ...brief, mount: { ...brief.mount, tiltDeg: value } }),
          term: 'tilt',
        },
      };
};

export const flicker: Detector = ({ pictures }) => {
  const found = pictures?.flicker;
  if (!found) return null;
  const limit = found.hz > BEAT_SEEN_HZ[1] ? LIMITS.shimmerPct.value : LIMITS.flickerPct.value;
  if (found.pct <= limit) return null;
  return {
    code: 'flicker',
    atSeconds: null,
    value: found.pct,
    limit,
    cure: {
      measured: (brief) => ({
        ...brief,
        limits: { ...brief.limits, lamps: 'mains', mainsHz: found.mainsHz ?? brief.limits.mainsHz },
      }),
      term: 'flicker',
    },
  };
};

/**
 * How far the light went beyond what the window holds, stops, told from how much of the picture lies there: where a share
 * at the limit is just at the end, each doubling of it is taken for half a stop more (start: light in a scene is spread
 * over some three stops to either side, and its tail halves about every half stop).
 */
function beyond(pct: number, limit: number): number {
  return Math.min(MOST_BEYOND, 0.5 + 0.5 * Math.log2(Math.max(1, pct / limit)));
}
const MOST_BEYOND = 4;

function lit(brief: Brief, { brighter = 0, darker = 0 }: { brighter?: number; darker?: number }): Brief {
  const { evMin, evMax } = evRangeOf(brief.light);
  return { ...brief, light: asRange(brief.light, evMin - darker, evMax + brighter) };
}

/**
 * The shake that smears as measured: at the limit of pulsing the shutter is taken to stand at the floor of a shake, and smear
 * grows with shake (start). Never less than was expected.
 */
function shakenBy(brief: Brief, { settings, lens }: PlannedShot, times: number): Brief {
  const atOne = shakeFloorSeconds(1, lens.horizontalDeg, lens.projection);
  const shakeDegPerSRms = Math.max(brief.motion.shakeDegPerSRms, (times * atOne) / settings.shutterSeconds);
  return { ...brief, motion: { ...brief.motion, shakeDegPerSRms } };
}

/** How far the horizon is turned, where that is sure enough to be told. */
export function toldTilt({ tiltDeg, tiltConfidence }: Pictures): number | null {
  return tiltConfidence < LIMITS.tiltConfidence.value ? null : tiltDeg;
}
