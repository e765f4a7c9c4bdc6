import { gigabytesOf } from '../units/data';

/** What a recording takes on a card. Rates in Mbit/s, times in seconds, capacities in decimal gigabytes. */

/** Sound beside the picture, Mbit/s (start: two channels, 48 kHz, compressed). */
export const SOUND_MBPS = 0.256;
/** Share of a card that may be filled: the rest is kept back against fragmentation and rounding (start). */
export const USABLE_SHARE = 0.97;
/** A card nobody told anything of, gigabytes (start). */
export const USUAL_CARD_GB = 128;
/** A card nobody told anything of keeps writing this, megabytes a second (start). */
export const USUAL_WRITE_MBPS = 30;
/** Of a card's rating this much is counted on; the rest is for its slow moments (start). */
export const WRITE_SHARE = 0.5;
/** HEVC needs about this share of what AVC needs for the same picture (start). */
export const HEVC_SHARE_OF_AVC = 0.6;

/** What a camera really writes of a rate that is set, Mbit/s. */
export function writtenMbps(
  bitRateMbps: number,
  { writesShare = 1 }: { writesShare?: number | undefined },
): number {
  return bitRateMbps * writesShare;
}

/** Bytes of picture alone: rate × time / 8. */
export function videoBytes(bitRateMbps: number, seconds: number): number {
  return gigabytesOf(bitRateMbps, seconds) * 1e9;
}

/** What of a card may be filled, gigabytes. */
export function usableGb(cardGb: number): number {
  return cardGb * USABLE_SHARE;
}

/** Share of the usable card that a recording with sound takes; above 1 it does not fit. */
export function cardUse(bitRateMbps: number, seconds: number, cardGb: number): number {
  return videoBytes(bitRateMbps + SOUND_MBPS, seconds) / (usableGb(cardGb) * 1e9);
}

/** How long the card lasts, seconds. */
export function cardSeconds(bitRateMbps: number, cardGb: number): number {
  return 1 / cardUse(bitRateMbps, 1, cardGb);
}

/** Bits per pixel and frame as they are written: rate / (W·H·fps). */
export function plainBitsPerPixel(
  {
    resolution: { width, height },
    frameRate,
  }: { resolution: { width: number; height: number }; frameRate: number },
  bitRateMbps: number,
): number {
  return (bitRateMbps * 1e6) / (width * height * frameRate);
}

/** AVC-equivalent bits per pixel and frame: rate / (W·H·fps), an HEVC rate counted for the AVC rate it matches. */
export function encodingBitsPerPixel(
  mode: { resolution: { width: number; height: number }; frameRate: number },
  encoding: { codec: 'avc' | 'hevc'; bitRateMbps: number },
): number {
  return plainBitsPerPixel(mode, avcRateOf(encoding));
}

/** The rate at which AVC would be as good, Mbit/s. */
export function avcRateOf({ codec, bitRateMbps }: { codec: 'avc' | 'hevc'; bitRateMbps: number }): number {
  return codec === 'hevc' ? bitRateMbps / HEVC_SHARE_OF_AVC : bitRateMbps;
}
