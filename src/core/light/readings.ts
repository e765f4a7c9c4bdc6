import type { CameraReading, Light, Reading } from './lightSchema';
import { ev100OfIlluminance, ev100OfSetting } from './exposureValue';

export type { CameraReading, Reading };

/**
 * The light a reading saw, EV100: its setting, plus the filter that was on, plus how far its picture came out above
 * mid grey, for a picture too bright was taken for a darker scene than it was.
 */
export function evOfReading(reading: Reading): number {
  if ('lux' in reading) return ev100OfIlluminance(reading.lux);
  return (
    ev100OfSetting(reading.fNumber, reading.shutterSeconds, reading.iso) +
    reading.filterStops +
    reading.offStops
  );
}

/** From the darkest reading, less what is darker still, to the brightest and what is brighter. */
export function rangeOfReadings(light: Extract<Light, { kind: 'readings' }>): {
  evMin: number;
  evMax: number;
} {
  const evs = light.readings.map(evOfReading);
  return { evMin: Math.min(...evs) - light.darkerStops, evMax: Math.max(...evs) + light.brighterStops };
}

/** Linear luminance of mid grey in a picture, 0…1: an 18 % card metered as ISO 2720 has it. */
export const MID_GREY = 0.18;

/** Linear light of an sRGB value 0…1. Source: IEC 61966-2-1. */
export function linearOfSrgb(value: number): number {
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
}

/** How a picture came out, from its pixels. */
export interface PictureTone {
  /** Stops by which the picture's mean lies above mid grey. */
  offStops: number;
  /** Share of pixels with a channel at its top; of pixels black. */
  clippedShare: number;
  blackShare: number;
}

const CLIPPED_FROM = 254;
const BLACK_UP_TO = 2;

/**
 * Tone of a picture given as RGBA bytes. The mean is the logarithmic one, as a meter that does not let one lamp or the
 * sun decide; luminance weights after ITU-R BT.709.
 */
export function toneOf(rgba: ArrayLike<number>): PictureTone {
  let sum = 0;
  let clipped = 0;
  let black = 0;
  const pixels = Math.floor(rgba.length / 4);
  for (let at = 0; at < pixels * 4; at += 4) {
    const r = rgba[at] ?? 0;
    const g = rgba[at + 1] ?? 0;
    const b = rgba[at + 2] ?? 0;
    const luminance =
      0.2126 * linearOfSrgb(r / 255) + 0.7152 * linearOfSrgb(g / 255) + 0.0722 * linearOfSrgb(b / 255);
    // A black pixel is at most as dark as half the smallest step, or one would outweigh all others.
    sum += Math.log2(Math.max(luminance, 1 / 8192));
    if (Math.max(r, g, b) >= CLIPPED_FROM) clipped += 1;
    if (Math.max(r, g, b) <= BLACK_UP_TO) black += 1;
  }
  return {
    offStops: sum / pixels - Math.log2(MID_GREY),
    clippedShare: clipped / pixels,
    blackShare: black / pixels,
  };
}
