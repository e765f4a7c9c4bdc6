import { meantIn, strongestOf, withoutMeant } from '../inspect/shake';
import { ROLL_SHARE } from '../motion/shakeSpectrum';

/** How fast a phone turns about its own axes, deg/s, so long after the beginning: x to its right, y to its top, z out of its screen. */
export interface Rate {
  atSeconds: number;
  x: number;
  y: number;
  z: number;
}

/**
 * How the phone rode: its back where the lens looks, so that turning about z is roll; or any way, in a pocket, where the
 * rates of all three axes are shared out as a mount usually shakes.
 */
export type Held = 'asTheLens' | 'anyWay';

/** A shake as measured. */
export interface ShakeRecorded {
  /** Of the axis, yaw and pitch together, what was meant taken off. */
  degPerSRms: number;
  /** The strongest band; `null` where nothing stands out. */
  strongestHz: number | null;
  seconds: number;
  /** Readings a second. */
  perSecond: number;
}

/** Why a recording tells no shake. */
type Unmeasured =
  | { why: 'tooShort'; seconds: number; atLeast: number }
  | { why: 'tooFew'; perSecond: number; atLeast: number }
  /** No stretch is long enough; the longest pause. */
  | { why: 'gap'; atSeconds: number; seconds: number };

/** Less than this says little of a run; work of a minute says enough. */
export const SECONDS = { least: 20, most: 60 } as const;
/** A recorder that is told to run for so long ends within a reading of it. */
const SHORT_SECONDS = 0.5;
/** The head shakes up to 5 Hz (Grossman et al. 1988), a bar buzzes to 12: twice that and a little (Nyquist 1928). */
const LEAST_PER_SECOND = 25;
/** A longer pause of the sensor breaks a recording in two: not even what was meant is known of it. */
const LONGEST_GAP_SECONDS = 1;
/** A reading speaks for no more than this on either side: what shook in a longer pause is not known, and not counted. */
const SPEAKS_FOR_SECONDS = 0.5 / LEAST_PER_SECOND;

/** `rates` in time. */
export function shakeRecorded(
  rates: readonly Rate[],
  held: Held,
): { ok: true; shake: ShakeRecorded } | ({ ok: false } & Unmeasured) {
  const whole = secondsOf(rates);
  const least = SECONDS.least - SHORT_SECONDS;
  if (whole < least) return { ok: false, why: 'tooShort', seconds: whole, atLeast: SECONDS.least };
  const overall = (rates.length - 1) / whole;
  if (overall < LEAST_PER_SECOND)
    return { ok: false, why: 'tooFew', perSecond: overall, atLeast: LEAST_PER_SECOND };
  const { longest, hole } = stretches(rates);
  const seconds = secondsOf(longest);
  if (seconds < least && hole) return { ok: false, why: 'gap', ...hole };
  const perSecond = (longest.length - 1) / seconds;
  const axes = AXES.map((axis) => {
    const even = evenly(longest, axis, perSecond);
    return {
      rms: rmsOfReadings(longest, axis, meantIn(even, perSecond), perSecond),
      shaking: withoutMeant(even, perSecond),
    };
  });
  const anyWay = held === 'anyWay';
  // What turns about the lens is roll, which is no part of the axis.
  const told = anyWay ? axes : axes.slice(0, 2);
  const all = Math.hypot(...told.map(({ rms }) => rms));
  return {
    ok: true,
    shake: {
      degPerSRms: anyWay ? all / Math.hypot(1, ROLL_SHARE) : all,
      strongestHz: strongestOf(
        told.map(({ shaking }) => shaking),
        perSecond,
      ),
      seconds,
      perSecond,
    },
  };
}

/** The longest stretch that no pause of the sensor breaks, and the longest of the pauses. */
function stretches(rates: readonly Rate[]): {
  longest: readonly Rate[];
  hole: { atSeconds: number; seconds: number } | null;
} {
  let longest: readonly Rate[] = [];
  let hole: { atSeconds: number; seconds: number } | null = null;
  let from = 0;
  for (let at = 1; at <= rates.length; at++) {
    const [before, now] = [rates[at - 1], rates[at]];
    const pause = before && now ? now.atSeconds - before.atSeconds : Infinity;
    if (pause <= LONGEST_GAP_SECONDS) continue;
    const stretch = rates.slice(from, at);
    if (secondsOf(stretch) > secondsOf(longest)) longest = stretch;
    if (before && now && pause > (hole?.seconds ?? 0)) hole = { atSeconds: before.atSeconds, seconds: pause };
    from = at;
  }
  return { longest, hole };
}

function secondsOf(rates: readonly Rate[]): number {
  return (rates.at(-1)?.atSeconds ?? 0) - (rates[0]?.atSeconds ?? 0);
}

/** Readings at even times, along straight lines between those that came. */
function evenly(rates: readonly Rate[], axis: Axis, perSecond: number): Float64Array {
  const start = rates[0]?.atSeconds ?? 0;
  let at = 0;
  return Float64Array.from(rates, (_, index) => {
    const time = start + index / perSecond;
    while (at < rates.length - 2 && (rates[at + 1]?.atSeconds ?? 0) < time) at++;
    const [before, after] = [rates[at], rates[at + 1]];
    if (!before || !after) return 0;
    const span = after.atSeconds - before.atSeconds;
    const share = span > 0 ? Math.max(0, Math.min(1, (time - before.atSeconds) / span)) : 0;
    return before[axis] + share * (after[axis] - before[axis]);
  });
}

/**
 * Rms of the readings themselves about what was meant at their times, each for as long as it speaks for: a line drawn from
 * one to the next would swing less than what they read.
 */
function rmsOfReadings(
  rates: readonly Rate[],
  axis: Axis,
  { meant, ends }: ReturnType<typeof meantIn>,
  perSecond: number,
): number {
  const start = rates[0]?.atSeconds ?? 0;
  let [sum, spoken] = [0, 0];
  rates.forEach((rate, at) => {
    const place = Math.round((rate.atSeconds - start) * perSecond);
    if (place < ends || place >= meant.length - ends) return;
    const seconds =
      Math.min(SPEAKS_FOR_SECONDS, secondsOf(rates.slice(Math.max(0, at - 1), at + 1)) / 2) +
      Math.min(SPEAKS_FOR_SECONDS, secondsOf(rates.slice(at, at + 2)) / 2);
    spoken += seconds;
    sum += seconds * (rate[axis] - (meant[place] ?? 0)) ** 2;
  });
  return spoken > 0 ? Math.sqrt(sum / spoken) : 0;
}

const AXES = ['x', 'y', 'z'] as const;
type Axis = (typeof AXES)[number];
