import { scaleLinear } from 'd3-scale';
import type { ScaleLinear } from 'd3-scale';
import type { Schedule } from '@/core/day/schedule';
import type { WorkedPart } from '@/core/day/workedDay';
import { evRangeOf } from '@/core/light/lightRange';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { SunLightAt } from '@/core/light/sun/sunLight';
import { without } from '@/core/units/without';

/** Where things stand on the day's ribbon, CSS pixels. */
export const LAY = { left: 92, right: 20, axis: 20, light: 86, lane: 52, pauses: 24, gap: 8 } as const;
/** Usual width of a letter on the ribbon, pixels. */
export const LETTER = 6.6;
const MINUTE_MS = 60_000;

/** The stretch of the day in which something happens, with half an hour to either side. */
export function busyStretch(day: Pick<Schedule, 'fromMs' | 'toMs' | 'parts' | 'pauses'>): {
  fromMs: number;
  toMs: number;
} {
  const all = [...day.parts, ...day.pauses];
  return {
    fromMs: Math.max(day.fromMs, Math.min(...all.map(({ fromMs }) => fromMs)) - 30 * MINUTE_MS),
    toMs: Math.min(day.toMs, Math.max(...all.map(({ toMs }) => toMs)) + 30 * MINUTE_MS),
  };
}

/** The scale of light: from under the darkest shot to over the brightest hour. */
export function lightScale(
  samples: readonly SunLightAt[],
  parts: readonly WorkedPart[],
): ScaleLinear<number, number> {
  const ranges = parts.map((part) => evRangeOf(part.brief.light));
  const top = Math.ceil(
    Math.max(8, ...samples.map(({ evHigh }) => evHigh), ...ranges.map(({ evMax }) => evMax)) + 0.3,
  );
  const bottom = Math.floor(Math.min(...ranges.map(({ evMin }) => evMin)) - 1);
  return scaleLinear([bottom, top], [LAY.axis + LAY.light, LAY.axis + 4]).clamp(true);
}

/** The light in the open where the day is, whatever way a shot looks; with its horizon where a shot tells one. */
export function openSunOf(parts: readonly WorkedPart[]): SunLight | null {
  const suns = parts.flatMap(({ shot }) => (shot.light?.kind === 'sun' ? [shot.light] : []));
  const sun = suns.find(({ horizon }) => horizon !== undefined) ?? suns[0];
  if (!sun) return null;
  return { ...without(sun, 'headingsDeg'), shade: ['open'] };
}

/** A text as long as so many letters allow. */
export function clipped(text: string, letters: number): string {
  return text.length > letters ? `${text.slice(0, Math.max(0, letters - 1))}…` : text;
}
