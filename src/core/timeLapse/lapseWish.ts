import { start } from '../units/estimate';
import type { Estimate } from '../units/estimate';
import { pctWidthPerDegree } from '../optics/projection';
import type { Lens } from '../optics/projection';
import type { SceneChange } from '../vocabulary/timeLapses';

/** What each picture of a time-lapse wishes of its shutter, and what it pays for that. Seconds, stops. */

/** What each stop short of half the interval costs, by what is watched. */
export const DRAG_PRICE: Readonly<Record<SceneChange, Estimate>> = {
  crowd: start(0.35, 'people and traffic hop from picture to picture unless each draws its way'),
  fastClouds: start(0.03, 'clouds have no edges that hop'),
  mist: start(0.12, 'drawn out, mist flows as silk; sharp, it still drifts'),
  slowClouds: start(0.02, 'clouds have no edges that hop, slow ones least'),
  sunset: start(0.02, 'what is watched is the light'),
  shadows: start(0.01, 'an edge of shade that creeps hops by nothing'),
  stars: start(0, 'the sky decides how long, not the flow'),
  growth: start(0.01, 'a leaf in ten minutes goes no way that could be drawn'),
};

/** A look that was asked for by name costs so much a stop that it is missed. */
export const NAMED_LOOK_PRICE = start(0.35, 'who asks for a blur or for crisp pictures wants to see them');

/** Longer than wished is nearly as good: one stop more of drag (start). */
export const LONGER_PRICE = start(0.08, 'more drag than half the interval only joins the pictures');

/** An exposure that is left to the camera between two pictures of a camera that stands, by shutter or by ISO. */
export const FOLLOWS_PRICE = start(
  0.6,
  'brightness steps from picture to picture, and shows as a shimmer that the edit must level',
);

/** Longer than what smears in the hand costs a moving one so much a stop. */
export const SMEAR_PRICE = start(0.8, 'each picture stands for a stride: a smeared one is a gap');

/** Lamps' pulse left in pictures that each meet it at another place, 0…1, times this. */
export const PULSE_PRICE = start(4, 'every picture has another brightness; nothing levels bands');

/** Seconds that a camera takes between two pictures to write the first (start). */
export const WRITE_SECONDS = 0.5;
/** No camera of this kind keeps a picture open longer by itself, seconds (start). */
export const LONGEST_SECONDS = 30;
/** What nothing in a landscape smears at, seconds (start). */
export const CRISP_SECONDS = 1 / 125;

/** The longest that a picture may stay open at an interval: what writing leaves, and never less than half. */
export function longestOpenSeconds(intervalSeconds: number): number {
  return Math.min(LONGEST_SECONDS, Math.max(intervalSeconds / 2, intervalSeconds - WRITE_SECONDS));
}

/** Arc seconds that the sky turns in a second: 360° in a sidereal day of 86 164 s. */
export const SKY_ARCSEC_PER_S = 15.041;
/** Pixels of trail that still pass for a point (start; 1 is strict, 3 is seen). */
export const TRAIL_PX = 2;

/**
 * How long stars stay points: `t = k · px / (15.04″/s · cos δ · px per arc-second)`, with k pixels of trail, at the middle
 * of the picture. Nobody says where the camera looks, so the celestial equator, where they run fastest, is counted on.
 */
export function trailSeconds(lens: Lens, widthPx: number, trailPx = TRAIL_PX, declinationDeg = 0): number {
  const pxPerArcsec = ((pctWidthPerDegree(lens.horizontalDeg, lens.projection) / 100) * widthPx) / 3600;
  return trailPx / (SKY_ARCSEC_PER_S * Math.cos((declinationDeg * Math.PI) / 180) * pxPerArcsec);
}
