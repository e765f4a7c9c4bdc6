import { describe, expect, it } from 'vitest';
import { GET } from './route';

const ask = (query: string): Response => GET(new Request(`http://localhost/api/forecast?${query}`));
const when = 'from=2026-10-03T00:00:00%2B02:00';

describe('GET /api/forecast', () => {
  it('tells the clouds of a day, hour by hour', async () => {
    const response = ask(`lat=46.62&lon=12.3&${when}`);
    expect(response.status).toBe(200);
    const { simulated, hours } = (await response.json()) as { simulated: boolean; hours: unknown[] };
    expect(simulated).toBe(true);
    expect(hours).toHaveLength(24);
  });

  it('names no weather where no place is told', async () => {
    for (const query of [
      when,
      `lat=&lon=&${when}`,
      `lat=46&lon=&${when}`,
      `lat=1e2&lon=1&${when}`,
      'lat=1&lon=1',
    ]) {
      const response = ask(query);
      expect(response.status, query).toBe(400);
      const { faults } = (await response.json()) as { faults: { path: string }[] };
      expect(faults.length).toBeGreaterThan(0);
    }
  });
});
