import type { FilterSetting } from '../filters/kit';
import type { LightRange } from '../light/lightRange';
import { clamp } from '../units/stops';

/** The terms that follow from shutter, filter and ISO in a given light. */

/** Stops above base that a careful eye leaves alone: ISO 400 on a base of 100. */
const CAREFUL_STOPS = 2;

/** What of the camera decides exposure, in the colour chosen for the shot. */
export interface Sensor {
  fNumber: number;
  /** log2(N²) */
  fNumberLog: number;
  baseIso: number;
  /** log2(base / 100) */
  baseLog: number;
  /** Stops above the window that the picture bears before it goes white. */
  guardStops: number;
  /** Noise against a reference camera, stops. */
  noiseStops: number;
}

/** An ISO window with its logarithms at hand: the search asks for them a hundred thousand times. */
export interface IsoWindow {
  min: number;
  max: number;
  /** log2(min / 100) */
  minLog: number;
  /** log2(max / min) */
  spanStops: number;
}

export function isoWindow(min: number, max: number): IsoWindow {
  return { min, max, minLog: Math.log2(min / 100), spanStops: Math.log2(max / min) };
}

/** A shutter as set, seconds and their base-2 logarithms: equal ends when fixed. */
export interface ShutterSetting {
  shortestSeconds: number;
  longestSeconds: number;
  longestLog: number;
  /** log2(longest / shortest), 0 when fixed. */
  spanStops: number;
}

export function shutterSetting(shortestSeconds: number, longestSeconds: number): ShutterSetting {
  return {
    shortestSeconds,
    longestSeconds,
    longestLog: Math.log2(longestSeconds),
    spanStops: Math.log2(longestSeconds / shortestSeconds),
  };
}

export interface Exposure {
  windowEvMin: number;
  windowEvMax: number;
  underStops: number;
  overStops: number;
  /** Shutter the camera ends up with at the bright and at the dark end of the light, log2 of seconds. */
  brightLog: number;
  darkLog: number;
  /** Stops of ISO above the window's low end at the bright and at the dark end. */
  brightIsoStops: number;
  darkIsoStops: number;
}

/** How the camera exposes this light. An automatic camera first lengthens its shutter, then raises ISO. */
export function expose(
  sensor: Sensor,
  light: LightRange,
  shutter: ShutterSetting,
  filterStops: number,
  iso: IsoWindow,
): Exposure {
  // The light at which the shutter is at its longest and ISO still at its lowest: ISO 2720, as in `windowOf`.
  const turn = sensor.fNumberLog - shutter.longestLog - iso.minLog + filterStops;
  const windowEvMin = turn - iso.spanStops;
  const windowEvMax = turn + shutter.spanStops;
  return {
    windowEvMin,
    windowEvMax,
    underStops: Math.max(0, windowEvMin - light.evMin),
    overStops: Math.max(0, light.evMax - windowEvMax),
    brightLog: shutter.longestLog - clamp(light.evMax - turn, 0, shutter.spanStops),
    darkLog: shutter.longestLog - clamp(light.evMin - turn, 0, shutter.spanStops),
    brightIsoStops: clamp(turn - light.evMax, 0, iso.spanStops),
    darkIsoStops: clamp(turn - light.evMin, 0, iso.spanStops),
  };
}

/** Inside the highlight guard a white spot is a small loss; beyond it half a stop is plainly seen. */
export function overLoss(overStops: number, guardStops: number): number {
  return 0.4 * overStops + 1.6 * Math.max(0, overStops - guardStops);
}

/** A dark shade is forgiven sooner than a white sky. Always steeper than noise, so that ISO is spent first. */
export function underLoss(underStops: number): number {
  return 0.8 * underStops + 0.4 * Math.max(0, underStops - 1.5);
}

/** Each stop above base costs about 3 dB of signal to noise; past ISO 400 it starts to be seen. */
export function noiseLoss(sensor: Sensor, iso: IsoWindow, exposure: Exposure): number {
  const stops = iso.minLog - sensor.baseLog + exposure.darkIsoStops + sensor.noiseStops;
  return 0.15 * Math.max(0, stops) + 0.35 * Math.max(0, stops - CAREFUL_STOPS);
}

/** What wanders by itself is seen wandering: a little for being free, and a little for each stop it moves. */
export function driftLoss(shutter: ShutterSetting, iso: IsoWindow, exposure: Exposure): number {
  const free = shutter.spanStops > 0 ? 0.15 : iso.spanStops > 0 ? 0.05 : 0;
  const isoMoves = exposure.darkIsoStops - exposure.brightIsoStops;
  return free + 0.06 * isoMoves + 0.08 * (exposure.darkLog - exposure.brightLog);
}

/** Each stop of glass is one more thing to fit, drop and smudge; plus what the filter does besides darkening. */
export function filterLoss(filter: FilterSetting): number {
  return filter.cast + 0.03 * filter.stops;
}
