import * as messages from '@/language/app';
import * as z from 'zod';
import { checkAgainst } from '@/core/schema/faults';
import { InstantSchema } from '@/core/schema/times';
import { simulatedForecast } from '@/simulators/forecast';
import { faultsInWords } from '@/words/faultText';

export const dynamic = 'force-dynamic';

/** A number as an address tells it; an empty one is none. */
const told = (number: z.ZodType<number, number>): z.ZodType<number, string> =>
  z
    .string(messages.expectedANumber)
    .regex(/^-?\d+(\.\d+)?$/, messages.expectedANumber)
    .transform(Number)
    .pipe(number);

const Query = z.strictObject({
  lat: told(z.number().min(-90).max(90)),
  lon: told(z.number().min(-180).max(180)),
  from: InstantSchema,
  hours: told(z.int().min(1).max(26)).default(24),
});

/** `GET /api/forecast?lat=46.62&lon=12.3&from=2026-10-03T00:00:00+02:00&hours=24`: the simulated forecast of a day. */
export function GET(request: Request): Response {
  const asked = checkAgainst(Query, Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.ok) return Response.json({ faults: faultsInWords(asked.faults) }, { status: 400 });
  const { lat, lon, from, hours } = asked.value;
  return Response.json(simulatedForecast({ lat, lon }, Date.parse(from), hours));
}
