import type { Scenery } from '../vocabulary/activities';
import type { InTheWay } from '../vocabulary/mounts';
import type { Movement } from '../motion/movement';
import type { ShakeBand } from '../motion/shakeSpectrum';
import type { Lens } from '../optics/projection';
import { clamp } from '../units/stops';
import { flickerResidual } from '../light/flicker';

/**
 * A short take of one shot under one answer: all that its pictures follow from, as plain data that goes to a worker.
 * Metres, seconds, degrees, stops.
 */
export interface PreviewTake {
  /** Of the delivered frame, after every crop. */
  lens: Lens;
  /** Height over width. */
  shape: number;
  scene: Scenery;
  movement: Movement;
  /**
   * The camera turns to and fro at up to its rate, or steadily one way; or it stands and whips away at the end, or comes
   * to rest out of a whip at the beginning.
   */
  turning: 'toAndFro' | 'oneWay' | 'whipOut' | 'whipIn';
  /** Right is positive, or down. */
  turnAxis: 'yaw' | 'pitch';
  /** What else happens at the end (`out`) or at the beginning (`in`): a hand covers the lens, or it is shaken. */
  join: { what: 'cover' | 'shake'; side: 'out' | 'in' } | null;
  heightM: number;
  shake: { rmsDegPerS: number; bands: readonly ShakeBand[]; seed: number };
  /** Swing and roll that steadying takes up, to either side. */
  heldDeg: number;
  rollHeldDeg: number;
  /** The mount off level, and what of it is left in the picture. */
  tiltDeg: number;
  tiltLeftDeg: number;
  subject: { speedMps: number; distanceM: number; sizeM: number; sideM: number } | null;
  gear: readonly InTheWay[];
  captureFps: number;
  timelineFps: number;
  slowdown: number;
  filmSeconds: number;
  exposure: TakeExposure;
  light: { evMin: number; evMax: number; moment: LightMoment; pulseHz: number | null };
  /** Fine detail that the bit rate or the pixels cannot carry, 0 none … 1. */
  softness: number;
}

/** Where in the run's light the take stands: at either end, or through all of it. */
export const LIGHT_MOMENTS = ['dark', 'run', 'bright'] as const;
export type LightMoment = (typeof LIGHT_MOMENTS)[number];

interface TakeExposure {
  /** log2(N²) */
  fNumberLog: number;
  filterStops: number;
  /** log2(ISO/100) at its lowest, and how far it may rise. */
  isoMinLog: number;
  isoSpanStops: number;
  /** log2 of the longest shutter in seconds, and how far it may shorten. */
  longestLog: number;
  shutterSpanStops: number;
  /** log2(base/100), and noise against a reference camera. */
  baseLog: number;
  noiseStops: number;
  guardStops: number;
  offsetStops: number;
}

/** What the camera makes of the light of one moment. */
interface Metered {
  shutterSeconds: number;
  /** How much brighter than right the picture is; below zero, darker. */
  offStops: number;
  isoStopsAboveBase: number;
}

/** Shutter first, then ISO, as in `loss/exposureLoss.ts`; what neither can take up makes the picture too bright or dark. */
export function meter(exposure: TakeExposure, ev: number): Metered {
  const { fNumberLog, filterStops, isoMinLog, isoSpanStops, longestLog, shutterSpanStops } = exposure;
  const floats = isoSpanStops > 0 || shutterSpanStops > 0;
  const wanted = floats ? ev - exposure.offsetStops : ev;
  const turn = fNumberLog - longestLog - isoMinLog + filterStops;
  const shorter = clamp(wanted - turn, 0, shutterSpanStops);
  const iso = clamp(turn - wanted, 0, isoSpanStops);
  const set = turn + shorter - iso;
  return {
    shutterSeconds: 2 ** (longestLog - shorter),
    offStops: ev - set,
    isoStopsAboveBase: isoMinLog + iso - exposure.baseLog + exposure.noiseStops,
  };
}

/** One frame as captured, and when in the action. */
export interface CapturedFrame {
  /** Frames captured since the take began. */
  number: number;
  atSeconds: number;
}

/** The frames a timeline shows, in order: fewer than it has places where they repeat. */
export interface Reel {
  captured: readonly CapturedFrame[];
  /** For each place on the timeline, the index into `captured`. */
  shown: readonly number[];
}

/** A timeline place shows the last frame captured by then; the tiny push keeps 1/3 + 1/3 + 1/3 at 1. */
export function reelOf({ captureFps, timelineFps, slowdown, filmSeconds }: PreviewTake): Reel {
  const captured: CapturedFrame[] = [];
  const shown: number[] = [];
  const places = Math.max(1, Math.round(filmSeconds * timelineFps));
  for (let place = 0; place < places; place++) {
    const number = Math.floor((place * captureFps) / (timelineFps * slowdown) + 1e-6);
    if (captured.at(-1)?.number !== number) captured.push({ number, atSeconds: number / captureFps });
    shown.push(captured.length - 1);
  }
  return { captured, shown };
}

/** EV100 at an instant of the action. A take through the run goes from its darkest to its brightest and back. */
export function evAt(take: PreviewTake, atSeconds: number): number {
  const { evMin, evMax, moment } = take.light;
  if (moment === 'dark') return evMin;
  if (moment === 'bright') return evMax;
  const share = (atSeconds * take.slowdown) / take.filmSeconds;
  return evMin + (evMax - evMin) * (0.5 - 0.5 * Math.cos(2 * Math.PI * share));
}

/** What lamps do to one exposure: the pulse that it keeps, at the phase it falls on. Lamps dim by 0.7 between pulses (start). */
export function flickerGain(take: PreviewTake, atSeconds: number, shutterSeconds: number): number {
  const { pulseHz } = take.light;
  if (pulseHz === null) return 1;
  return 1 + 0.7 * flickerResidual(pulseHz, shutterSeconds) * Math.cos(2 * Math.PI * pulseHz * atSeconds);
}

/** Where the camera means to look, degrees to the right and down, beside its usual pitch. */
export function meantTurn(take: PreviewTake, atSeconds: number): { yawDeg: number; pitchDeg: number } {
  const turned = turnedDeg(take, atSeconds);
  return take.turnAxis === 'yaw' ? { yawDeg: turned, pitchDeg: 0 } : { yawDeg: 0, pitchDeg: turned };
}

/** A whip takes this long to come up to its rate, and goes on as long again. (start) */
const WHIP_RISE_SECONDS = 0.22;

function turnedDeg({ movement, turning, filmSeconds, slowdown }: PreviewTake, atSeconds: number): number {
  const rate = movement.turnDegPerS;
  const actionSeconds = filmSeconds / slowdown;
  switch (turning) {
    case 'oneWay':
      return rate * (atSeconds - actionSeconds / 2);
    case 'toAndFro': {
      const speed = (2 * Math.PI) / TO_AND_FRO_SECONDS;
      return (rate / speed) * Math.sin(speed * atSeconds);
    }
    case 'whipOut':
      return rate * whipped(atSeconds - (actionSeconds - 2 * WHIP_RISE_SECONDS));
    case 'whipIn':
      return -rate * whipped(2 * WHIP_RISE_SECONDS - atSeconds);
  }
}

/** Seconds at full rate that a whip has turned as much as: still, then evenly faster, then at its rate. */
function whipped(since: number): number {
  if (since <= 0) return 0;
  return since < WHIP_RISE_SECONDS ? since ** 2 / (2 * WHIP_RISE_SECONDS) : since - WHIP_RISE_SECONDS / 2;
}

/** Seconds that a hand takes to cover the lens, and that a shake lasts. (start) */
const COVER_SECONDS = 0.3;
const SHAKE_SECONDS = 0.4;
const SHAKE_TIMES = 7;

/** How far a join has come, 0…1, at an instant. */
function joined({ join, filmSeconds, slowdown }: PreviewTake, atSeconds: number, lasts: number): number {
  if (!join) return 0;
  const left = join.side === 'out' ? filmSeconds / slowdown - atSeconds : atSeconds;
  return clamp(1 - left / lasts, 0, 1);
}

/** Light that a covering hand lets through, 0…1. */
export function uncovered(take: PreviewTake, atSeconds: number): number {
  return take.join?.what === 'cover' ? (1 - joined(take, atSeconds, COVER_SECONDS)) ** 2 : 1;
}

/** How many times its usual shake the camera is shaken. */
export function shaken(take: PreviewTake, atSeconds: number): number {
  return take.join?.what === 'shake' ? 1 + (SHAKE_TIMES - 1) * joined(take, atSeconds, SHAKE_SECONDS) : 1;
}

/** Turning to and fro once in this time, seconds (start). */
const TO_AND_FRO_SECONDS = 2.4;
