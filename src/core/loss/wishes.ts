import type { FilterSetting } from '../filters/kit';
import type { Stabilization } from '../vocabulary/modes';
import type { SchoolWishes } from '../vocabulary/schools';
import { clamp } from '../units/stops';
import type { LightRange } from '../light/lightRange';
import type { Exposure, IsoWindow, Sensor, ShutterSetting } from './exposure';
import { IDLE_SWING_DEG } from './frame';
import type { Demands } from './frame';
import type { MotionFigures } from './movement';

export type WishCode = keyof SchoolWishes;

/** A wish that yielded, and what that costs. */
export interface Yielded {
  wish: WishCode;
  price: number;
}

/** Slack on the shake floor: a twentieth of a shutter is not seen, and lets 1/200 s stand for 1/208 s. */
const FLOOR_SLACK_LOG = Math.log2(1.05);
/** Angles that differ by less are the same, log2. */
const SAME_ANGLE_LOG = 1e-6;

/** Holding a picture that does not swing is no school's wish. */
export function stabilizationPrice(
  { stabilization: wish }: SchoolWishes,
  demands: Demands,
  held: Stabilization,
): number {
  if (!wish || wish.among.includes(held)) return 0;
  return wish.among.includes('off') || demands.swingDeg >= IDLE_SWING_DEG ? wish.price.value : 0;
}

/** A shutter that is held where the school lets it run. */
export function heldPrice({ shutterMode: wish }: SchoolWishes, { spanStops }: ShutterSetting): number {
  return wish?.mode === 'auto' && spanStops === 0 ? wish.price.value : 0;
}

/** So many stops past 180° nothing of the look is left to hold (start: a sixteenth of its blur). */
const LOOK_GONE_STOPS = 4;

/** A shutter that runs where the school holds it: by how much of the look of movement changes from one end of the light to the other. */
export function runningPrice(
  { shutterMode: wish }: SchoolWishes,
  { shownLog }: MotionFigures,
  { spanStops }: ShutterSetting,
  { brightLog, darkLog }: Pick<Exposure, 'brightLog' | 'darkLog'>,
): number {
  if (wish?.mode !== 'fixed' || spanStops === 0) return 0;
  return wish.price.value * (lookAt(darkLog - shownLog) - lookAt(brightLog - shownLog));
}

/** Of the look of 180°, what a shutter of so many stops against the time between two frames shown keeps, 0…1. */
function lookAt(stops: number): number {
  return clamp(1 + (stops + 1) / LOOK_GONE_STOPS, 0, 1);
}

/** A shutter that runs stays at no angle. */
export function anglePrice(
  { angle: wish }: SchoolWishes,
  { shownLog }: MotionFigures,
  { longestLog, spanStops }: ShutterSetting,
): number {
  if (!wish) return 0;
  const share = longestLog - shownLog;
  const kept =
    spanStops === 0 &&
    share >= Math.log2(wish.fromDeg / 360) - SAME_ANGLE_LOG &&
    share <= Math.log2(wish.toDeg / 360) + SAME_ANGLE_LOG;
  return kept ? 0 : wish.price.value;
}

export function shakeFloorPrice(
  { withinShakeFloor: wish }: SchoolWishes,
  { shakeFloorLog }: MotionFigures,
  longestLog: number,
): number {
  return wish && longestLog > shakeFloorLog + FLOOR_SLACK_LOG ? wish.price.value : 0;
}

export function filterPrice({ noFilter: wish }: SchoolWishes, filter: FilterSetting): number {
  return wish && filter.ids.length > 0 ? wish.price.value : 0;
}

export function isoSpanPrice({ isoSpan: wish }: SchoolWishes, { spanStops }: IsoWindow): number {
  return wish ? wish.price.value * Math.max(0, spanStops - wish.stops - 1e-9) : 0;
}

export function isoMaxPrice({ isoMax: wish }: SchoolWishes, { minLog, spanStops }: IsoWindow): number {
  return wish ? wish.price.value * Math.max(0, minLog + spanStops - Math.log2(wish.iso / 100) - 1e-9) : 0;
}

/** Stops of white from which, and over how many more, a shutter that stands is nailed outside the light (start: the step of a dial). */
const WHITE_FROM_STOPS = 0.3;
/** And of dark (start: half a stop of shade is lifted unseen). */
const DARK_FROM_STOPS = 0.5;
const NAILED_OVER_STOPS = 0.25;
/** The time that all but slow light is filmed at: what a shorter one takes of it is its own doing (start). */
const USUAL_LOG = Math.log2(1 / 50);

/** Light that is white under a shutter that stands, and that the camera would have kept by running it. */
export function whiteNailedPrice(
  { lightKept: wish }: SchoolWishes,
  { sensor, shutter, exposure }: Nailable,
): number {
  if (!wish || !sensor.runs || shutter.spanStops > 0) return 0;
  return wish.price.value * nailed(exposure.overStops - WHITE_FROM_STOPS);
}

/**
 * Light that is dark under one, by its glass or for being short, and not for want of light; a running one that this light
 * leaves at its longest stands as well.
 */
export function darkNailedPrice(
  { lightKept: wish }: SchoolWishes,
  { sensor, light, shutter, filter, exposure }: Nailable,
): number {
  if (!wish || !sensor.runs || (shutter.spanStops > 0 && light.evMax > exposure.turn)) return 0;
  const taken = filter.stops + Math.max(0, USUAL_LOG - shutter.longestLog);
  return wish.price.value * nailed(Math.min(exposure.underStops, taken) - DARK_FROM_STOPS);
}

function nailed(stops: number): number {
  return clamp(stops / NAILED_OVER_STOPS, 0, 1);
}

/** What tells whether a shutter leaves light outside that it could have kept. */
interface Nailable {
  sensor: Pick<Sensor, 'runs'>;
  light: Pick<LightRange, 'evMax'>;
  shutter: ShutterSetting;
  filter: FilterSetting;
  exposure: Exposure;
}

/** What must be known of a choice to tell which wishes it breaks. */
export interface Chosen extends Nailable {
  stabilization: Stabilization;
  iso: IsoWindow;
  figures: MotionFigures;
}

/** Every wish that a choice breaks, the dearest first. */
export function yieldedBy(wishes: SchoolWishes, demands: Demands, chosen: Chosen): Yielded[] {
  const { shutter, filter, iso, figures } = chosen;
  const prices: [WishCode, number][] = [
    ['stabilization', stabilizationPrice(wishes, demands, chosen.stabilization)],
    ['shutterMode', heldPrice(wishes, shutter) + runningPrice(wishes, figures, shutter, chosen.exposure)],
    ['angle', anglePrice(wishes, figures, shutter)],
    ['withinShakeFloor', shakeFloorPrice(wishes, figures, shutter.longestLog)],
    ['noFilter', filterPrice(wishes, filter)],
    ['lightKept', whiteNailedPrice(wishes, chosen) + darkNailedPrice(wishes, chosen)],
    ['isoSpan', isoSpanPrice(wishes, iso)],
    ['isoMax', isoMaxPrice(wishes, iso)],
  ];
  return prices
    .filter(([, price]) => price > 0)
    .map(([wish, price]) => ({ wish, price }))
    .sort((a, b) => b.price - a.price);
}
