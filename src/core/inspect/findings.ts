import type { Brief } from '../brief/brief';
import { lightRangeOf } from '../light/lightRange';
import { shakeFloorSeconds } from '../motion/shake';
import type { Term } from '../loss/table';
import { BEAT_SEEN_HZ } from '../light/flicker';
import type { Pins } from '../records/settings';
import type { Container, FindingCode, Pictures, Sound } from '../records/clipReport';
import { LIMITS } from './limits';
import { oneChange } from './oneChange';
import type { PlannedShot } from './planned';

/** All that is known of a clip. */
export interface Measured {
  container: Container;
  /** The file ends before its pictures do. */
  cutShort: boolean;
  pictures: Pictures | null;
  sound: Sound | null;
}

/** What is seen, when (`null`: throughout), how much against which limit, and the one change that would have cured it. */
export interface Found {
  code: FindingCode;
  atSeconds: number | null;
  value: number;
  limit: number;
  change: Pins | null;
}

/** A finding before its cure: the conditions as they turned out, and the loss that a cure must halve; or plainly the cure. */
interface Seen extends Omit<Found, 'change'> {
  cure?: { measured: (brief: Brief, planned: PlannedShot) => Brief; term: Term } | undefined;
  change?: Pins | undefined;
}

type Look = (measured: Measured, planned: PlannedShot | null) => Seen | null;

/** The findings of a clip, worst first: by how far past its limit. `planned`: the shot it was filmed for, where known. */
export function findingsOf(measured: Measured, planned: PlannedShot | null): Found[] {
  return LOOKS.flatMap((look) => look(measured, planned) ?? [])
    .sort((one, other) => worseBy(other) - worseBy(one))
    .map(({ cure, change, ...seen }) => ({
      ...seen,
      change:
        change ??
        (planned && cure ? oneChange(planned, cure.measured(planned.brief, planned), cure.term) : null),
    }));
}

/** How bad, in octaves past the limit; a limit that must be reached, and one of nothing, count by how far it is. */
function worseBy({ code, value, limit }: Seen): number {
  const { first } = RANKS;
  const rank = first.includes(code) ? 3 : 0;
  if (limit === 0 || value * limit <= 0) return rank + Math.min(3, Math.abs(value - limit));
  return rank + Math.min(4, Math.abs(Math.log2(Math.abs(value / limit))));
}

/** What cannot be mended in any edit comes first. */
const RANKS = { first: ['cutOff', 'frameRate', 'size', 'stutter'] as readonly FindingCode[] };

const over: Look = ({ pictures }) => {
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

const under: Look = ({ pictures }) => {
  if (!pictures) return null;
  const { worst, worstAtSeconds } = pictures.crushedPct;
  const limit = LIMITS.crushedPct.value;
  const dark = LIMITS.darkStops.value;
  const cure = (stops: number): Seen['cure'] => ({
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

const drift: Look = ({ pictures, container }, planned) => {
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
const smear: Look = ({ pictures }) => {
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
const soft: Look = ({ pictures }) => {
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

const shake: Look = ({ pictures }) => {
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

const stutter: Look = ({ pictures, container }, planned) => {
  const value = pictures?.repeatedPct ?? 0;
  const limit = LIMITS.repeatedPct.value;
  if (value <= limit) return null;
  const wanted = planned?.settings.frameRate;
  const filmed = container.frameRate * (1 - value / 100);
  const change = wanted !== undefined && wanted > filmed * 1.05 ? { frameRate: wanted } : undefined;
  return { code: 'stutter', atSeconds: null, value, limit, change };
};

const strobing: Look = ({ pictures, container }, planned) => {
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

const noise: Look = ({ pictures }) => {
  const value = pictures?.noiseDarkDb ?? pictures?.noiseDb ?? Infinity;
  const limit = LIMITS.noiseDb.value;
  return value >= limit
    ? null
    : { code: 'noise', atSeconds: null, value, limit, cure: { measured: (brief) => brief, term: 'noise' } };
};

const tilt: Look = ({ pictures }) => {
  if (pictures?.tiltDeg == null || pictures.tiltConfidence < LIMITS.tiltConfidence.value) return null;
  const value = pictures.tiltDeg;
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

const flicker: Look = ({ pictures }) => {
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

const bitRate: Look = ({ pictures, container }, planned) => {
  const blocks = pictures?.blocking ?? 0;
  const limit = LIMITS.blocking.value;
  if (blocks > limit)
    return {
      code: 'bitRate',
      atSeconds: null,
      value: blocks,
      limit,
      cure: { measured: (brief) => brief, term: 'bitRate' },
    };
  const wanted = planned?.settings.bitRateMbps;
  const { bitRateMbps } = container;
  // Few bits that leave no tiles were enough: plain water, a camera that stands still.
  const enough = pictures?.blocking != null && blocks <= LIMITS.blockingSeen.value;
  if (wanted === undefined || bitRateMbps === null || enough) return null;
  const least = LIMITS.bitRateShare.value * wanted;
  return bitRateMbps >= least
    ? null
    : { code: 'bitRate', atSeconds: null, value: bitRateMbps, limit: least, change: { bitRateMbps: wanted } };
};

const cutOff: Look = ({ container, cutShort }, planned) => {
  const { durationSeconds } = container;
  const wanted = planned?.recordSeconds;
  if (cutShort)
    return {
      code: 'cutOff',
      atSeconds: durationSeconds,
      value: durationSeconds,
      limit: wanted ?? durationSeconds,
    };
  const least = (wanted ?? 0) * LIMITS.lengthShare.value;
  return durationSeconds >= least
    ? null
    : { code: 'cutOff', atSeconds: durationSeconds, value: durationSeconds, limit: wanted ?? 0 };
};

const frameRate: Look = ({ container }, planned) => {
  const wanted = planned?.settings.frameRate;
  const value = container.nominalFps;
  const off = wanted !== undefined && Math.abs(value / wanted - 1) > LIMITS.rateShare.value;
  return off
    ? { code: 'frameRate', atSeconds: null, value, limit: wanted, change: { frameRate: wanted } }
    : null;
};

const size: Look = ({ container }, planned) => {
  const wanted = planned?.settings.resolution;
  if (!wanted) return null;
  const { width, height } = container;
  const same = Math.max(width, height) === Math.max(wanted.width, wanted.height);
  return same
    ? null
    : { code: 'size', atSeconds: null, value: width, limit: wanted.width, change: { resolution: wanted } };
};

const wind: Look = ({ sound }) => heard('wind', sound?.windPct, LIMITS.windPct.value);
const clippedSound: Look = ({ sound }) =>
  heard('clippedSound', sound?.clippedPct, LIMITS.clippedSoundPct.value);
const silent: Look = ({ sound }) => heard('silent', sound?.silentPct, LIMITS.silentPct.value);

function heard(code: FindingCode, value: number | undefined, limit: number): Seen | null {
  return value === undefined || value <= limit ? null : { code, atSeconds: null, value, limit };
}

const LOOKS: readonly Look[] = [
  cutOff,
  frameRate,
  size,
  stutter,
  over,
  under,
  smear,
  flicker,
  tilt,
  shake,
  soft,
  strobing,
  noise,
  drift,
  bitRate,
  clippedSound,
  wind,
  silent,
];

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
  const { evMin, evMax } = lightRangeOf(brief.light, brief.limits);
  return { ...brief, light: { kind: 'range', evMin: evMin - darker, evMax: evMax + brighter } };
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
