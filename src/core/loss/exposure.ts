import type { FilterSetting } from '../filters/kit';
import type { LightRange } from '../light/lightRange';
import { clamp } from '../units/stops';

/** How a camera exposes a run of light: what the terms owned by the exposure are told. */

/** What of the camera decides exposure, in one colour. */
export interface Sensor {
  fNumber: number;
  /** log2(N²) */
  fNumberLog: number;
  baseIso: number;
  /** log2(base / 100) */
  baseLog: number;
  /** log2(ISO / 100) from which noise is counted: the standard colour's base, whichever colour is chosen. */
  referenceLog: number;
  /** Stops above the window that the picture bears before it goes white. */
  guardStops: number;
  /** Noise against a reference camera, stops. */
  noiseStops: number;
  /** What an exposure that the camera moves loses to its meter, by what fills the frame and how it is offset. */
  meterLoss: number;
  /** Whether the shutter may be left to the camera. */
  runs: boolean;
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
  /** Light at which the shutter is at its longest and ISO at its lowest, EV100. */
  turn: number;
  /** Shutter the camera ends up with at the bright and at the dark end of the light, log2 of seconds. */
  brightLog: number;
  darkLog: number;
  /** Stops of ISO above the window's low end at the bright and at the dark end. */
  brightIsoStops: number;
  darkIsoStops: number;
}

/** All that a term of the exposure may ask. */
export interface ExposureFacts {
  sensor: Sensor;
  light: LightRange;
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
  exposure: Exposure;
}

/** How the camera exposes this light. An automatic camera first lengthens its shutter, then raises ISO. */
export function expose(
  sensor: Pick<Sensor, 'fNumberLog'>,
  light: Pick<LightRange, 'evMin' | 'evMax'>,
  shutter: ShutterSetting,
  filterStops: number,
  iso: IsoWindow,
): Exposure {
  // ISO 2720, as in `windowOf`.
  const turn = sensor.fNumberLog - shutter.longestLog - iso.minLog + filterStops;
  const windowEvMin = turn - iso.spanStops;
  const windowEvMax = turn + shutter.spanStops;
  return {
    windowEvMin,
    windowEvMax,
    turn,
    underStops: Math.max(0, windowEvMin - light.evMin),
    overStops: Math.max(0, light.evMax - windowEvMax),
    brightLog: shutter.longestLog - clamp(light.evMax - turn, 0, shutter.spanStops),
    darkLog: shutter.longestLog - clamp(light.evMin - turn, 0, shutter.spanStops),
    brightIsoStops: clamp(turn - light.evMax, 0, iso.spanStops),
    darkIsoStops: clamp(turn - light.evMin, 0, iso.spanStops),
  };
}
