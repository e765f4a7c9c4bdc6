import { horizonAltitudeDeg } from './horizon';
import type { Horizon } from './horizon';
import { sunPosition } from './position';
import type { LatLon } from './position';
import { instantsOf, STEP_MS, sunLightAt } from './sunLight';
import type { SunLight, SunLightAt } from './sunLight';
import { item } from '../../units/items';

/** A stretch of the clock, milliseconds since 1970 UTC. */
export interface Span {
  fromMs: number;
  toMs: number;
}

/** One day's light, five minutes apart. */
export interface DayLight {
  samples: SunLightAt[];
  spans: DaySpans;
}

export interface DaySpans {
  /** The sun's upper edge over the level horizon. */
  sunUp: Span[];
  /** Sun between −4° and 6°: low, warm, long shadows. */
  golden: Span[];
  /** Sun between −6° and −4°: even, blue, short. */
  blue: Span[];
  /** The sun's beam reaches the place over what stands around; `null` when nothing is said to stand around. */
  reached: Span[] | null;
}

/** Geometric altitude of the sun's centre at rise and set: refraction 34′ and half a disc 16′. Source: Meeus, chapter 15. */
const RISE_DEG = -0.833;
const GOLDEN_DEG = { from: -4, to: 6 } as const;
const BLUE_DEG = { from: -6, to: -4 } as const;

/** The light of a stretch of time, such as a day of 23, 24 or 25 hours. */
export function dayLightOf(light: SunLight, day: Span): DayLight {
  return {
    samples: instantsOf(day.fromMs, day.toMs).map((at) => sunLightAt(light, at)),
    spans: daySpansOf(light, light.horizon, day),
  };
}

/** When the sun is up, low, just gone, and in the gorge. A polar day is one whole span, a polar night none. */
export function daySpansOf(place: LatLon, horizon: Horizon | undefined, day: Span): DaySpans {
  const altitude = (at: number): number => sunPosition(place, at).altitudeDeg;
  return {
    sunUp: spansWhere(day, (at) => altitude(at) - RISE_DEG),
    golden: spansWhere(day, (at) => between(altitude(at), GOLDEN_DEG)),
    blue: spansWhere(day, (at) => between(altitude(at), BLUE_DEG)),
    reached: horizon
      ? spansWhere(day, (at) => {
          const sun = sunPosition(place, at);
          return sun.apparentAltitudeDeg - Math.max(0, horizonAltitudeDeg(horizon, sun.azimuthDeg));
        })
      : null,
  };
}

const between = (value: number, { from, to }: { from: number; to: number }): number =>
  Math.min(value - from, to - value);

/** The stretches of a day in which a continuous figure is above zero, their ends to within a second. */
function spansWhere(day: Span, above: (atMs: number) => number): Span[] {
  const instants = instantsOf(day.fromMs, day.toMs, STEP_MS);
  const spans: Span[] = [];
  let start: number | null = above(day.fromMs) > 0 ? day.fromMs : null;
  instants.slice(1).forEach((at, index) => {
    const before = item(instants, index);
    const is = above(at) > 0;
    if (is === (start !== null)) return;
    const edge = crossing(above, before, at);
    if (start !== null) spans.push({ fromMs: start, toMs: edge });
    start = is ? edge : null;
  });
  if (start !== null && start < day.toMs) spans.push({ fromMs: start, toMs: day.toMs });
  return spans;
}

/** Where the sign changes, by halving down to a second. */
function crossing(above: (atMs: number) => number, before: number, after: number): number {
  const was = above(before) > 0;
  let low = before;
  let high = after;
  while (high - low > 1000) {
    const middle = (low + high) / 2;
    if (above(middle) > 0 === was) low = middle;
    else high = middle;
  }
  return Math.round((low + high) / 2);
}

/** A horizon of walls that lets the sun in and out at these instants, level between them. For a place known by its sun. */
export function horizonFromTimes(
  place: LatLon,
  { fromMs, toMs }: Span,
  wallDeg: number,
  behind: Horizon['behind'],
): Horizon {
  const points = [fromMs, toMs].map((at) => {
    const sun = sunPosition(place, at);
    return { azimuthDeg: round(sun.azimuthDeg), altitudeDeg: round(sun.apparentAltitudeDeg) };
  });
  const [rise, set] = points as [(typeof points)[0], (typeof points)[0]];
  const beyond = (azimuthDeg: number, by: number): number => (azimuthDeg + by + 360) % 360;
  return {
    behind,
    points: [
      { azimuthDeg: round(beyond(rise.azimuthDeg, -20)), altitudeDeg: wallDeg },
      rise,
      { azimuthDeg: round(beyond(rise.azimuthDeg, 8)), altitudeDeg: round(rise.altitudeDeg * 0.6) },
      { azimuthDeg: round(beyond(set.azimuthDeg, -8)), altitudeDeg: round(set.altitudeDeg * 0.6) },
      set,
      { azimuthDeg: round(beyond(set.azimuthDeg, 20)), altitudeDeg: wallDeg },
    ],
  };
}

const round = (value: number): number => Math.round(value * 100) / 100;
