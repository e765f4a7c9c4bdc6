import type { CameraProfile } from '../camera/profile';
import { airAtC, minutesUntil, temperatureAfter } from './heat';
import type { Cut, HeatLevel } from './levels';
import type { Schedule } from './schedule';
import { hourOf } from './stretches';
import type { Stretch } from './stretches';

/** The temperature is drawn at steps of this, minutes. */
const HEAT_STEP = 2;

/** How warm a camera gets over the day, warming as it films and cooling between. */
export function heatPass(
  { heat }: CameraProfile,
  stretches: readonly Stretch[],
  day: Pick<Schedule, 'air' | 'fromMs'>,
): HeatLevel {
  const course: { atMs: number; celsius: number }[] = [];
  const cuts: { warn: Cut | null; screenOff: Cut | null; out: Cut | null } = {
    warn: null,
    screenOff: null,
    out: null,
  };
  let celsius: number | null = null;
  let atMs = 0;
  for (const stretch of stretches) {
    const { load, part } = stretch;
    const airC = airAtC(day.air, hourOf(stretch.fromMs, day));
    const on = { airC, sunC: load.sunC, powerW: load.powerW, airSpeedMps: load.airSpeedMps };
    const idle = { ...on, powerW: 0, airSpeedMps: 0 };
    if (celsius === null) celsius = airC + load.sunC;
    else {
      const rested: number = celsius;
      const idleMinutes = (stretch.fromMs - atMs) / 60_000;
      const cooled = (minutes: number): number => temperatureAfter(rested, heat, idle, minutes);
      for (let at = HEAT_STEP; at < Math.min(idleMinutes, 6 * heat.tauMinutes); at += HEAT_STEP)
        course.push({ atMs: atMs + at * 60_000, celsius: cooled(at) });
      celsius = cooled(idleMinutes);
    }
    const limits = { warn: heat.warnC, screenOff: heat.screenOffC, out: heat.shutdownC };
    for (const what of ['warn', 'screenOff', 'out'] as const) {
      const after = minutesUntil(limits[what], celsius, heat, on);
      const cutMs = after === null ? Infinity : stretch.fromMs + after * 60_000;
      if (!cuts[what] && cutMs < stretch.toMs) cuts[what] = { atMs: cutMs, partId: part.id };
    }
    const minutes = (stretch.toMs - stretch.fromMs) / 60_000;
    const from = celsius;
    const off = minutesUntil(heat.shutdownC, from, heat, on);
    for (let at = 0; at < minutes; at += HEAT_STEP)
      course.push({ atMs: stretch.fromMs + at * 60_000, celsius: warmed(from, heat, on, idle, at, off) });
    celsius = warmed(from, heat, on, idle, minutes, off);
    if (off !== null && off < minutes)
      course.push({ atMs: stretch.fromMs + off * 60_000, celsius: heat.shutdownC });
    course.push({ atMs: stretch.toMs, celsius });
    atMs = stretch.toMs;
  }
  course.sort((a, b) => a.atMs - b.atMs);
  return { course, hottestC: Math.max(-Infinity, ...course.map((one) => one.celsius)), ...cuts };
}

type Load = Parameters<typeof temperatureAfter>[2];

/** It warms until it shuts itself off, and cools from there. */
function warmed(
  from: number,
  heat: CameraProfile['heat'],
  on: Load,
  idle: Load,
  minutes: number,
  off: number | null,
): number {
  if (off === null || minutes <= off) return temperatureAfter(from, heat, on, minutes);
  return temperatureAfter(heat.shutdownC, heat, idle, minutes - off);
}
