import type { FindingCode } from '../vocabulary/findings';
import { LIMITS } from './limits';
import type { Detector, Detected } from './seen';

export const stutter: Detector = ({ pictures, container }, planned) => {
  const value = pictures?.repeatedPct ?? 0;
  const limit = LIMITS.repeatedPct.value;
  if (value <= limit) return null;
  const wanted = planned?.settings.frameRate;
  const filmed = container.frameRate * (1 - value / 100);
  const change = wanted !== undefined && wanted > filmed * 1.05 ? { frameRate: wanted } : undefined;
  return { code: 'stutter', atSeconds: null, value, limit, change };
};

export const bitRate: Detector = ({ pictures, container }, planned) => {
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

export const cutOff: Detector = ({ container, cutShort }, planned) => {
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

export const frameRate: Detector = ({ container }, planned) => {
  const wanted = planned?.settings.frameRate;
  const value = container.nominalFps;
  const off = wanted !== undefined && Math.abs(value / wanted - 1) > LIMITS.rateShare.value;
  return off
    ? { code: 'frameRate', atSeconds: null, value, limit: wanted, change: { frameRate: wanted } }
    : null;
};

export const size: Detector = ({ container }, planned) => {
  const wanted = planned?.settings.resolution;
  if (!wanted) return null;
  const { width, height } = container;
  const same = Math.max(width, height) === Math.max(wanted.width, wanted.height);
  return same
    ? null
    : { code: 'size', atSeconds: null, value: width, limit: wanted.width, change: { resolution: wanted } };
};

export const wind: Detector = ({ sound }) => heard('wind', sound?.windPct, LIMITS.windPct.value);
export const clippedSound: Detector = ({ sound }) =>
  heard('clippedSound', sound?.clippedPct, LIMITS.clippedSoundPct.value);
export const silent: Detector = ({ sound }) => heard('silent', sound?.silentPct, LIMITS.silentPct.value);

function heard(code: FindingCode, value: number | undefined, limit: number): Detected | null {
  return value === undefined || value <= limit ? null : { code, atSeconds: null, value, limit };
}
