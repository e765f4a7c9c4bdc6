import type { CodedLuma } from './plane';
import { runningMean } from './series';

/** How bright a picture came out. Counted in the luma as decoded: means of neighbours would hide single white pixels. */
export interface Brightness {
  /** Shares of the picture, 0…1. */
  clipped: number;
  crushed: number;
  /** Mean of linear light, 1 at white. */
  linear: number;
}

/** Clipped from this share of the range on, crushed up to the other. */
const CLIPPED_FROM = 0.98;
const CRUSHED_TO = 0.02;
/** Enough pixels that a share is known to a thousandth. */
const ENOUGH_PX = 250_000;

/** Light of a luma, both 0…1: the inverse of the camera's curve. Source: ITU-R BT.709-6, item 1.2. */
export function linearOf(luma: number): number {
  const held = Math.max(0, luma);
  return held < 0.081 ? held / 4.5 : ((held + 0.099) / 1.099) ** (1 / 0.45);
}

export function brightnessOf({ width, height, stride, codes, black, white }: CodedLuma): Brightness {
  const counts = new Uint32Array(codes instanceof Uint16Array ? 65_536 : 256);
  const step = Math.max(1, Math.ceil(Math.sqrt((width * height) / ENOUGH_PX)));
  let all = 0;
  for (let row = 0; row < height; row += step) {
    const end = row * stride + width;
    for (let at = row * stride; at < end; at += step) {
      const code = codes[at] ?? 0;
      counts[code] = (counts[code] ?? 0) + 1;
      all++;
    }
  }
  let [clipped, crushed, linear] = [0, 0, 0];
  const range = white - black;
  for (let code = 0; code < counts.length; code++) {
    const count = counts[code] ?? 0;
    if (count === 0) continue;
    const luma = (code - black) / range;
    if (luma >= CLIPPED_FROM) clipped += count;
    if (luma <= CRUSHED_TO) crushed += count;
    linear += count * linearOf(luma);
  }
  const share = all === 0 ? 0 : 1 / all;
  return { clipped: clipped * share, crushed: crushed * share, linear: linear * share };
}

/** A picture of nothing but black is this many stops below grey: the code next to black. */
const DARKEST = 2 ** -12;

/** Stops from 18 % grey. */
export function stopsFromGrey(linear: number): number {
  return Math.log2(Math.max(DARKEST, linear) / 0.18);
}

/** An automatic exposure that steps, and comes back. */
const STEP_STOPS = 0.15;
const STEP_SECONDS = 0.3;
const BACK_SECONDS = 3;
/** Lamps that pulse are no steps: taken off by a mean over this long. */
const SMOOTH_SECONDS = 0.2;

/**
 * Steps of automatic exposure: the middle changes by more than 0.15 stop within 0.3 s, and within three seconds comes back
 * by half of that or more.
 */
export function exposureSteps(middleStops: ArrayLike<number>, fps: number): number {
  const smooth = runningMean(middleStops, Math.max(0, Math.round((SMOOTH_SECONDS * fps) / 2)));
  const within = Math.max(1, Math.round((STEP_SECONDS + SMOOTH_SECONDS) * fps));
  const back = Math.round(BACK_SECONDS * fps);
  let steps = 0;
  let at = within;
  while (at < smooth.length) {
    const from = smooth[at - within] ?? 0;
    const change = (smooth[at] ?? 0) - from;
    if (Math.abs(change) <= STEP_STOPS) {
      at++;
      continue;
    }
    const returns = smooth
      .subarray(at, at + back)
      .findIndex((value) => (value - from) * Math.sign(change) <= Math.abs(change) / 2);
    if (returns < 0) at += within;
    else {
      steps++;
      at += Math.max(1, returns) + within;
    }
  }
  return steps;
}
