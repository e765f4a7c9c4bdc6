import { item } from '../units/items';
import type { LatLon } from '../light/sun/position';

/** A way that was gone: places in order, each with its instant where it is known. */
export interface TrackPoint extends LatLon {
  /** Milliseconds since 1970 UTC. */
  atMs: number | null;
  elevationM: number | null;
}

export interface Track {
  name: string | null;
  points: TrackPoint[];
}

/** Mean radius of the earth, metres. Source: IUGG; the flattening is ignored, 0.3 % at most. */
const EARTH_M = 6_371_008.8;
const RAD = Math.PI / 180;

/** Metres along the great circle. Source: haversine formula. */
export function distanceM(a: LatLon, b: LatLon): number {
  const x =
    Math.sin(((b.lat - a.lat) * RAD) / 2) ** 2 +
    Math.cos(a.lat * RAD) * Math.cos(b.lat * RAD) * Math.sin(((b.lon - a.lon) * RAD) / 2) ** 2;
  return 2 * EARTH_M * Math.asin(Math.sqrt(Math.min(1, x)));
}

/** Compass degrees from one place to another, at the first. */
export function bearingDeg(a: LatLon, b: LatLon): number {
  const turn = (b.lon - a.lon) * RAD;
  const y = Math.sin(turn) * Math.cos(b.lat * RAD);
  const x =
    Math.cos(a.lat * RAD) * Math.sin(b.lat * RAD) -
    Math.sin(a.lat * RAD) * Math.cos(b.lat * RAD) * Math.cos(turn);
  return (Math.atan2(y, x) / RAD + 360) % 360;
}

/** Part of a track over one minute of the clock, as far as the track goes in it. */
export interface TrackMinute {
  fromMs: number;
  toMs: number;
  place: LatLon;
  /** Mean speed, m/s. */
  speedMps: number;
  /** Compass degrees; `null` while standing. */
  headingDeg: number | null;
}

export interface TrackFigures {
  lengthM: number;
  climbM: number;
  /** `null` when fewer than two points have a time. */
  times: { fromMs: number; toMs: number; movingSeconds: number } | null;
  /** Speed over ground, m/s, by share of the moving time; `null` without times. */
  speed: { p50: number; p90: number; p95: number; most: number } | null;
  minutes: TrackMinute[];
}

/** Speeds are taken over this long: a receiver's place wanders by metres from second to second (start). */
const SMOOTH_MS = 6000;
/** Slower than this is standing, m/s (start). */
const STANDING_MPS = 0.4;
/** A height has to change by this much before it counts as climbed, metres (start). */
const CLIMB_STEP_M = 3;
/** Longer without a point is a pause, not a slow stretch. */
const GAP_MS = 120_000;

export function trackFigures({ points }: Track): TrackFigures {
  const lengthM = points.slice(1).reduce((sum, point, at) => sum + distanceM(item(points, at), point), 0);
  const timed = points.filter((point): point is TrackPoint & { atMs: number } => point.atMs !== null);
  const first = timed[0];
  const last = timed[timed.length - 1];
  if (!first || !last || first.atMs >= last.atMs)
    return { lengthM, climbM: climbOf(points), times: null, speed: null, minutes: [] };
  const stretches = stretchesOf(timed).filter(({ mps }) => mps >= STANDING_MPS);
  return {
    lengthM,
    climbM: climbOf(points),
    times: {
      fromMs: first.atMs,
      toMs: last.atMs,
      movingSeconds: stretches.reduce((sum, { ms }) => sum + ms, 0) / 1000,
    },
    speed:
      stretches.length === 0
        ? { p50: 0, p90: 0, p95: 0, most: 0 }
        : {
            p50: percentile(stretches, 0.5),
            p90: percentile(stretches, 0.9),
            p95: percentile(stretches, 0.95),
            most: Math.max(...stretches.slice(0, 50_000).map(({ mps }) => mps)),
          },
    minutes: minutesOf(timed),
  };
}

interface Stretch {
  ms: number;
  mps: number;
}

type Timed = TrackPoint & { atMs: number };

/** The time between neighbouring points with the speed over the smoothing time around it. */
function stretchesOf(timed: readonly Timed[]): Stretch[] {
  const stretches: Stretch[] = [];
  let back = 0;
  let ahead = 0;
  let between = 0;
  for (let at = 1; at < timed.length; at++) {
    const here = item(timed, at);
    const before = item(timed, at - 1);
    const ms = here.atMs - before.atMs;
    const middle = (here.atMs + before.atMs) / 2;
    while (ahead < timed.length - 1 && (ahead < at || item(timed, ahead).atMs < middle + SMOOTH_MS / 2)) {
      between += distanceM(item(timed, ahead), item(timed, ahead + 1));
      ahead += 1;
    }
    while (back < at - 1 && item(timed, back + 1).atMs <= middle - SMOOTH_MS / 2) {
      between -= distanceM(item(timed, back), item(timed, back + 1));
      back += 1;
    }
    if (ms <= 0 || ms > GAP_MS) continue;
    const seconds = (item(timed, ahead).atMs - item(timed, back).atMs) / 1000;
    stretches.push({ ms, mps: seconds > 0 ? Math.max(0, between) / seconds : 0 });
  }
  return stretches;
}

/** The speed that this share of the time stays under. */
function percentile(stretches: readonly Stretch[], share: number): number {
  const sorted = [...stretches].sort((a, b) => a.mps - b.mps);
  const whole = sorted.reduce((sum, { ms }) => sum + ms, 0);
  let so = 0;
  for (const { ms, mps } of sorted) {
    so += ms;
    if (so >= share * whole - 1e-9) return mps;
  }
  return sorted[sorted.length - 1]?.mps ?? 0;
}

function minutesOf(timed: readonly Timed[]): TrackMinute[] {
  const minutes: TrackMinute[] = [];
  let at = 0;
  while (at < timed.length - 1) {
    const start = item(timed, at);
    const endMs = (Math.floor(start.atMs / 60_000) + 1) * 60_000;
    let end = at;
    let lengthM = 0;
    while (end < timed.length - 1 && item(timed, end).atMs < endMs) {
      lengthM += distanceM(item(timed, end), item(timed, end + 1));
      end += 1;
    }
    const last = item(timed, end);
    const seconds = (last.atMs - start.atMs) / 1000;
    const gap = seconds * 1000 > GAP_MS;
    const speedMps = seconds > 0 && !gap ? lengthM / seconds : 0;
    if (!gap)
      minutes.push({
        fromMs: start.atMs,
        toMs: last.atMs,
        place: { lat: start.lat, lon: start.lon },
        speedMps,
        headingDeg: speedMps < STANDING_MPS ? null : bearingDeg(start, last),
      });
    at = Math.max(end, at + 1);
  }
  return minutes;
}

function climbOf(points: readonly TrackPoint[]): number {
  let low: number | null = null;
  let climbed = 0;
  for (const { elevationM } of points) {
    if (elevationM === null) continue;
    if (low === null || elevationM < low) low = elevationM;
    else if (elevationM - low >= CLIMB_STEP_M) {
      climbed += elevationM - low;
      low = elevationM;
    }
  }
  return climbed;
}
