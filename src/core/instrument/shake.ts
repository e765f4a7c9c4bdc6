import { shakeOf, strongestOf } from '../inspect/shake';
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
export type Unmeasured =
  | { why: 'tooShort'; seconds: number; atLeast: number }
  | { why: 'tooFew'; perSecond: number; atLeast: number }
  | { why: 'gap'; atSeconds: number; seconds: number };

/** Less than this says little of a run; work of a minute says enough. */
export const SECONDS = { least: 20, most: 60 } as const;
/** The head shakes up to 5 Hz (Grossman et al. 1988), a bar buzzes to 12: twice that and a little (Nyquist 1928). */
const LEAST_PER_SECOND = 25;
/** A pause of the sensor of this long is a hole in the recording. */
const LONGEST_GAP_SECONDS = 0.5;

/** `rates` in time. */
export function shakeRecorded(
  rates: readonly Rate[],
  held: Held,
): { ok: true; shake: ShakeRecorded } | ({ ok: false } & Unmeasured) {
  const [first, last] = [rates[0], rates.at(-1)];
  const seconds = first && last ? last.atSeconds - first.atSeconds : 0;
  // A recorder that is told to run for so long ends within a reading of it.
  if (!first || seconds < SECONDS.least - LONGEST_GAP_SECONDS)
    return { ok: false, why: 'tooShort', seconds, atLeast: SECONDS.least };
  const perSecond = (rates.length - 1) / seconds;
  if (perSecond < LEAST_PER_SECOND) return { ok: false, why: 'tooFew', perSecond, atLeast: LEAST_PER_SECOND };
  for (const [at, { atSeconds }] of rates.entries()) {
    const pause = atSeconds - (rates[at - 1]?.atSeconds ?? atSeconds);
    if (pause > LONGEST_GAP_SECONDS) return { ok: false, why: 'gap', atSeconds, seconds: pause };
  }
  const even = evenly(rates, perSecond);
  const measured = shakeOf({ x: even.x, y: even.y, rollDeg: even.z }, perSecond);
  if (!measured) return { ok: false, why: 'tooShort', seconds, atLeast: SECONDS.least };
  const anyWay = held === 'anyWay';
  const all = Math.hypot(measured.shiftRms, measured.rollDegPerSRms);
  return {
    ok: true,
    shake: {
      degPerSRms: anyWay ? all / Math.hypot(1, ROLL_SHARE) : measured.shiftRms,
      strongestHz: anyWay ? strongestOf([even.x, even.y, even.z], perSecond) : measured.strongestHz,
      seconds,
      perSecond,
    },
  };
}

type Series = Record<'x' | 'y' | 'z', Float64Array>;

/** Readings at even times, along straight lines between those that came. */
function evenly(rates: readonly Rate[], perSecond: number): Series {
  const count = rates.length;
  const series: Series = {
    x: new Float64Array(count),
    y: new Float64Array(count),
    z: new Float64Array(count),
  };
  const start = rates[0]?.atSeconds ?? 0;
  let at = 0;
  for (let index = 0; index < count; index++) {
    const time = start + index / perSecond;
    while (at < count - 2 && (rates[at + 1]?.atSeconds ?? 0) < time) at++;
    const [before, after] = [rates[at], rates[at + 1]];
    if (!before || !after) continue;
    const span = after.atSeconds - before.atSeconds;
    const share = span > 0 ? Math.max(0, Math.min(1, (time - before.atSeconds) / span)) : 0;
    for (const axis of AXES) series[axis][index] = before[axis] + share * (after[axis] - before[axis]);
  }
  return series;
}

const AXES = ['x', 'y', 'z'] as const;
