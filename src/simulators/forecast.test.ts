import { describe, expect, it } from 'vitest';
import { ForecastSchema, withForecast, withHour } from '@/core/light/forecast';
import { GET } from '@/app/api/forecast/route';
import { simulatedForecast } from './forecast';

const TARNHOLT = { lat: 46.62, lon: 12.3 };
const day = (iso: string): number => Date.parse(iso);
const mean = (all: readonly number[]): number => all.reduce((sum, one) => sum + one, 0) / all.length;
const ask = (query: string): Response => GET(new Request(`http://localhost/api/forecast?${query}`));

describe('the simulated forecast', () => {
  it('is the same for the same place and day, another elsewhere, and says that it is made up', () => {
    const first = simulatedForecast(TARNHOLT, day('2026-10-03T00:00:00+02:00'), 24);
    expect(simulatedForecast(TARNHOLT, day('2026-10-03T00:00:00+02:00'), 24)).toEqual(first);
    expect(first.simulated).toBe(true);
    expect(first.source).toMatch(/not weather/);
    expect(simulatedForecast({ lat: 50, lon: 8 }, day('2026-10-03T00:00:00+02:00'), 24).hours).not.toEqual(
      first.hours,
    );
  });

  it('has the outing’s weather over the outing: clear on Saturday, cloud from the west on Sunday', () => {
    const clouds = (iso: string): number[] =>
      simulatedForecast(TARNHOLT, day(iso), 24).hours.map(({ cloudPct }) => cloudPct);
    expect(mean(clouds('2026-10-03T00:00:00+02:00'))).toBeLessThan(15);
    const sunday = clouds('2026-10-04T00:00:00+02:00');
    expect(mean(sunday.slice(18))).toBeGreaterThan(mean(sunday.slice(0, 6)) + 25);
  });

  it('answers over HTTP as a service would, and names what is wrong with a question', async () => {
    const good = ask('lat=46.62&lon=12.3&from=2026-10-25T00:00:00%2B02:00&hours=25');
    expect(good.status).toBe(200);
    const { hours } = ForecastSchema.parse(await good.json());
    expect(hours).toHaveLength(25);
    for (const { cloudPct, spreadPct } of hours) {
      expect(cloudPct >= 0 && cloudPct <= 100).toBe(true);
      expect(spreadPct).toBeGreaterThan(0);
    }
    const bad = ask('lat=146&from=yesterday');
    expect(bad.status).toBe(400);
    const { faults } = (await bad.json()) as { faults: { path: string }[] };
    expect(faults.map(({ path }) => path)).toEqual(['lat', 'lon', 'from']);
  });

  it('leaves the hours that the person set', () => {
    const forecast = simulatedForecast(TARNHOLT, day('2026-10-03T00:00:00+02:00'), 24);
    const own = withHour(undefined, { at: '2026-10-03T12:00:00+02:00', cloudPct: 90, spreadPct: 0 });
    const both = withForecast(own, forecast);
    expect(both).toHaveLength(24);
    expect(both.filter(({ by }) => by === 'person')).toEqual(own);
    expect(withHour(both, { at: '2026-10-03T10:00:00Z', cloudPct: 10, spreadPct: 5 })).toHaveLength(24);
    const times = both.map(({ at }) => Date.parse(at));
    expect([...times].sort((a, b) => a - b)).toEqual(times);
  });
});
