import * as z from 'zod';
import type { CloudHour } from './lightSchema';

/** A forecast as a service gives it, version 1: cloud hour by hour with its spread. */
export const ForecastSchema = z.object({
  kind: z.literal('lynxeye/forecast'),
  version: z.literal(1),
  /** Who made it, to be shown beside it. */
  source: z.string().max(200),
  simulated: z.boolean(),
  hours: z
    .array(z.object({ at: z.iso.datetime({ offset: true }), cloudPct: pct(), spreadPct: pct() }))
    .max(200),
});
export type Forecast = z.output<typeof ForecastSchema>;

function pct(): z.ZodNumber {
  return z.number().min(0).max(100);
}

/** A shot's cloud after a new forecast: hours the person set stay. */
export function withForecast(kept: readonly CloudHour[] | undefined, forecast: Forecast): CloudHour[] {
  const own = (kept ?? []).filter(({ by }) => by === 'person');
  const set = new Set(own.map(({ at }) => Date.parse(at)));
  const told = forecast.hours
    .filter(({ at }) => !set.has(Date.parse(at)))
    .map((hour): CloudHour => ({ ...hour, by: 'forecast' }));
  return byTime([...own, ...told]);
}

/** One hour set by the person. */
export function withHour(kept: readonly CloudHour[] | undefined, hour: Omit<CloudHour, 'by'>): CloudHour[] {
  const others = (kept ?? []).filter(({ at }) => Date.parse(at) !== Date.parse(hour.at));
  return byTime([...others, { ...hour, by: 'person' }]);
}

function byTime(hours: CloudHour[]): CloudHour[] {
  return hours.sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).slice(0, 72);
}
