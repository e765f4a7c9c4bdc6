import * as z from 'zod';
import { checkAgainst } from '@/core/plan/faults';
import { simulatedForecast } from '@/standins/forecast';

export const dynamic = 'force-dynamic';

const Query = z.strictObject({
  lat: z.coerce.number().min(-90).max(90),
  lon: z.coerce.number().min(-180).max(180),
  from: z.iso.datetime({ offset: true }),
  hours: z.coerce.number().int().min(1).max(26).default(24),
});

/** `GET /api/forecast?lat=46.62&lon=12.3&from=2026-10-03T00:00:00+02:00&hours=24`: the simulated forecast of a day. */
export function GET(request: Request): Response {
  const asked = checkAgainst(Query, Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.ok) return Response.json({ faults: asked.faults }, { status: 400 });
  const { lat, lon, from, hours } = asked.value;
  return Response.json(simulatedForecast({ lat, lon }, Date.parse(from), hours));
}
