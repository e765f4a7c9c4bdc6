/**
 * Exposure value at ISO 100 (EV100) of a setting and of an illuminance, and the light a setting can take.
 * Throughout: f-number without unit, shutter in seconds, ISO arithmetic speed, filter in stops, light in EV100.
 */

/** The ISO for which EV is told. */
export const REFERENCE_ISO = 100;

/** `EV100 = log2(N²/t) − log2(ISO/100)`. Source: ISO 2720. */
export function ev100OfSetting(fNumber: number, shutterSeconds: number, iso: number): number {
  return Math.log2((fNumber * fNumber) / shutterSeconds) - Math.log2(iso / REFERENCE_ISO);
}

/** The shutter that exposes a light correctly, seconds: the same turned round. */
export function secondsOfEv100(ev100: number, fNumber: number, iso: number): number {
  return fNumber ** 2 / (2 ** ev100 * (iso / REFERENCE_ISO));
}

/** The ISO that exposes a light correctly at a shutter. */
export function isoOfEv100(ev100: number, fNumber: number, shutterSeconds: number): number {
  return (REFERENCE_ISO * fNumber ** 2) / (shutterSeconds * 2 ** ev100);
}

/** Illuminance of EV100 nought, lux. Source: ISO 2720, calibration constant C = 250. */
export const LUX_AT_EV_0 = 2.5;

/** EV100 of an incident-light reading in lux, `E = 2.5 · 2^EV`. Source: ISO 2720, calibration constant C = 250. */
export function ev100OfIlluminance(lux: number): number {
  return Math.log2(lux / LUX_AT_EV_0);
}

/** Shortest and longest shutter (equal when fixed), lowest and highest ISO (equal when fixed), filter stops. */
interface ExposureSetting {
  fNumber: number;
  shortestSeconds: number;
  longestSeconds: number;
  isoMin: number;
  isoMax: number;
  filterStops: number;
}

/** The light in EV100 that the setting exposes correctly. */
export interface EvWindow {
  evMin: number;
  evMax: number;
}

/** From the longest shutter at the highest ISO to the shortest at the lowest, shifted up by the filter. */
export function windowOf(setting: ExposureSetting): EvWindow {
  return {
    evMin: ev100OfSetting(setting.fNumber, setting.longestSeconds, setting.isoMax) + setting.filterStops,
    evMax: ev100OfSetting(setting.fNumber, setting.shortestSeconds, setting.isoMin) + setting.filterStops,
  };
}
