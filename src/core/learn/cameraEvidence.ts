import { modePowerW } from '../camera/modeTable';
import { USUAL } from '../brief/usual';
import { airAtC, resistanceReaching, sunOnCameraC } from '../day/heat';
import { airSpeedMps } from '../day/schedule';
import { evRangeOf } from '../light/lightRange';
import { USUAL_AIR } from '../records/dayBounds';
import type { Settings } from '../records/settings';
import type { Evidence, Part } from './evidence';
import { ERRORS } from './figures';
import type { FilmedTake } from './takes';

/** A clip shorter than this is mostly its first pictures, seconds. */
const RATE_FROM_SECONDS = 2;

/** A file of so small a share of its rate was written anew by something else. */
const REWRITTEN_BELOW = 0.25;

/** Whether a file is what its camera wrote, as far as its bits tell. */
export function isOfItsCamera(
  bitRateMbps: number | null,
  { bitRateMbps: set }: Pick<Settings, 'bitRateMbps'>,
): boolean {
  return bitRateMbps === null || bitRateMbps / set >= REWRITTEN_BELOW;
}

/** What a take says of what its camera writes: the rate that came out over the one that was set. */
export function bitRateEvidence({ id, date, brief, settings, seconds, bitRateMbps }: FilmedTake): Evidence[] {
  if (bitRateMbps === null || bitRateMbps <= 0 || settings.recording !== 'video') return [];
  if ((seconds ?? 0) < RATE_FROM_SECONDS || !isOfItsCamera(bitRateMbps, settings)) return [];
  const of: Part[] = [{ figure: { of: 'bitRate', cameraId: brief.camera.id }, usual: 1, times: 1 }];
  return [
    {
      id,
      of,
      says: 'is',
      at: Math.log2(bitRateMbps / settings.bitRateMbps),
      error: ERRORS.bitRate.value,
      day: { date, kind: 'bits' },
    },
  ];
}

/** Whether its grain was borne: at the ISO that it may have gone up to. */
export function isoEvidence({ id, date, brief, settings, verdicts }: FilmedTake): Evidence[] {
  if (!verdicts || settings.recording !== 'video') return [];
  const usual = USUAL.isoCeiling;
  const of: Part[] = [{ figure: { of: 'iso', cameraId: brief.camera.id }, usual, times: 1 }];
  const noisy = verdicts.has('noisy');
  // Grain that was borne was borne at the least of its ISO at least; grain that was not, at the most of it.
  const iso = noisy ? settings.iso.max : settings.iso.min;
  return [
    {
      id,
      of,
      says: noisy ? 'below' : 'above',
      at: Math.log2(iso / usual),
      error: ERRORS.noise.value,
      day: { date, kind: 'eye' },
    },
  ];
}

/** Recordings shorter than this say nothing of how warm a camera gets, minutes. */
const WARM_FROM_MINUTES = 3;
/** Whether it got too hot, and when: by the thermal resistance that would do so. */
export function heatEvidence(take: FilmedTake): Evidence[] {
  const { id, date, brief, settings, recordingSeconds, cutReason, verdicts } = take;
  const { camera } = brief;
  const minutes = (recordingSeconds ?? 0) / 60;
  const hot = cutReason === 'tooHot';
  if (settings.recording !== 'video' || (minutes < WARM_FROM_MINUTES && !hot)) return [];
  if (minutes <= 0 || (!hot && cutReason !== null)) return [];
  if (!hot && verdicts === null) return [];
  const load = {
    airC: airOf(take),
    sunC: sunOnCameraC(evRangeOf(brief.light).evMax),
    powerW: modePowerW(camera, settings),
    airSpeedMps: airSpeedMps(brief),
  };
  const resistance = resistanceReaching(camera.heat.shutdownC, camera.heat, load, minutes);
  if (resistance === null) return [];
  const usual = camera.heat.stillAirKPerW;
  return [
    {
      id,
      of: [{ figure: { of: 'heat', cameraId: camera.id }, usual, times: 1 }, powerPart(take, 1)],
      says: hot ? 'is' : 'below',
      at: Math.log2(resistance / usual),
      error: ERRORS.heat.value,
      day: { date, kind: 'draw' },
    },
  ];
}

function airOf({ day, hour }: FilmedTake): number {
  return airAtC(day?.day.air ?? USUAL_AIR, hour);
}

/** The draw of its mode, as a figure. */
export function powerPart({ brief: { camera }, settings }: FilmedTake, times: number): Part {
  const { frameRate, resolution } = settings;
  return {
    figure: { of: 'power', cameraId: camera.id, height: resolution.height, frameRate },
    usual: modePowerW(camera, settings),
    times,
  };
}
