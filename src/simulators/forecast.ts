import * as messages from '@/language/simulators';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import type { Forecast } from '@/core/light/forecast';
import { distanceM } from '@/core/track/track';
import type { LatLon } from '@/core/light/sun/position';

/**
 * A stand-in for a weather service: made-up cloud, the same for the same place and day, with a spread that grows with
 * the hours ahead. It knows no weather. Over the made-up outing it has the outing's weather.
 */
const SOURCE = messages.simulatedForecastMadeUpNot;

const HOUR_MS = 3_600_000;

/** The outing's two days: clear, then cloud from the west. */
const OUTING = {
  place: { lat: 46.62, lon: 12.3 },
  withinM: 15_000,
  days: { '2026-10-03': [4, 6, 8, 10], '2026-10-04': [30, 62, 84, 90] } as Record<string, readonly number[]>,
};

/** Cloud for every hour of a day given by its first instant; up to 26 hours. */
export function simulatedForecast(place: LatLon, fromMs: number, hours: number): Forecast {
  const random = dice(place, fromMs);
  const [calm, west, afternoon] = [random(), random(), random()];
  const day = new Date(fromMs + 12 * HOUR_MS).toISOString().slice(0, 10);
  const outing = distanceM(place, OUTING.place) < OUTING.withinM ? OUTING.days[day] : undefined;
  const start = Math.floor(fromMs / HOUR_MS) * HOUR_MS;
  return {
    kind: 'lynxeye/forecast',
    version: 1,
    source: SOURCE,
    simulated: true,
    hours: Array.from({ length: hours }, (_, hour) => {
      const jitter = (random() - 0.5) * 10;
      const cloud = outing
        ? between(outing, hour / hours) + jitter * 0.4
        : calm * 70 +
          west * 60 * (hour / 24 - 0.4) +
          afternoon * 30 * Math.exp(-(((hour - 15) / 4) ** 2)) +
          jitter;
      return {
        at: new Date(start + hour * HOUR_MS).toISOString(),
        cloudPct: Math.round(clampPct(cloud)),
        spreadPct: Math.round(clampPct((outing ? 3 : 6) + 0.8 * hour + Math.abs(jitter) * 0.5)),
      };
    }),
  };
}

/** Even steps through a list of figures. */
function between(figures: readonly number[], share: number): number {
  const at = share * (figures.length - 1);
  const low = figures[Math.floor(at)] ?? 0;
  const high = figures[Math.ceil(at)] ?? low;
  return low + (high - low) * (at - Math.floor(at));
}

function clampPct(value: number): number {
  return Math.min(100, Math.max(0, value));
}

/** Random numbers 0…1 that depend on place (to a tenth of a degree) and day alone. */
function dice(place: LatLon, fromMs: number): () => number {
  const day = Math.floor((fromMs + 12 * HOUR_MS) / (24 * HOUR_MS));
  const generator = xoroshiro128plus(
    Math.round(place.lat * 10) * 73_856_093 + Math.round(place.lon * 10) * 19_349_663 + day * 83_492_791,
  );
  return () => uniformFloat64(generator);
}
