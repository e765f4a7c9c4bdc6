import type { LightSample } from '@/core/filters/filterPlan';
import type { EvWindow } from '@/core/light/exposureValue';
import type { DaySpans, Span } from '@/core/light/sun/day';
import type { SunLightAt } from '@/core/light/sun/sunLight';
import type { Solution } from '@/core/answer/solve';

/** Where things stand on the ribbon, CSS pixels from its top and sides. */
export const LAY = {
  right: 24,
  plotTop: 34,
  plotBottom: 236,
  sun: 242,
  lanes: 260,
  lane: 19,
} as const;

/** Usual width of a letter beside a lane, pixels. */
const LETTER = 6.5;

/** Room to the left for the longest name of a lane, pixels. */
export function labelRoom(names: readonly string[]): number {
  return Math.min(136, Math.max(52, ...names.map((name) => name.length * LETTER + 14)));
}

/** Kept to either side of the light, and of the shot. */
const ROUND_LIGHT_MS = 45 * 60_000;
const ROUND_SHOT_MS = 60 * 60_000;

/** What of a day is worth drawing: from before the first light to after the last, and the shot. */
export function shownSpan(day: Span, spans: DaySpans, shot: Span): Span {
  const lit = [...spans.blue, ...spans.golden, ...spans.sunUp];
  const starts = [...lit.map(({ fromMs }) => fromMs - ROUND_LIGHT_MS), shot.fromMs - ROUND_SHOT_MS];
  const ends = [...lit.map(({ toMs }) => toMs + ROUND_LIGHT_MS), shot.toMs + ROUND_SHOT_MS];
  return {
    fromMs: Math.max(day.fromMs, Math.min(...starts)),
    toMs: Math.min(Math.max(day.toMs, shot.toMs), Math.max(...ends)),
  };
}

/** The window of the setting at hand without its filter, the highlight guard included. */
export function holdingWindow({ exposure, candidate, settings }: Solution): EvWindow {
  return {
    evMin: exposure.windowEvMin - settings.filter.stops,
    evMax: exposure.windowEvMax + candidate.colour.sensor.guardStops - settings.filter.stops,
  };
}

export function planSamples(samples: readonly SunLightAt[]): LightSample[] {
  return samples.map(({ atMs, evLow, evHigh }) => ({ atMs, evMin: evLow, evMax: evHigh }));
}
