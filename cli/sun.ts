import { SKIES, SKY_HABITS } from '@/core/vocabulary/outdoors';
import * as z from 'zod';
import { parseArgs } from 'node:util';
import { checkAgainst } from '@/core/schema/faults';
import type { Checked } from '@/core/schema/fault';
import { ev100OfIlluminance } from '@/core/light/exposureValue';
import { modelErrorStops } from '@/core/light/sky';
import { daylightAt, litEv } from '@/core/light/sun/lit';
import { worded } from '@/core/schema/fault';

const SunArguments = z.strictObject({
  lat: z.coerce.number({ error: 'expected a number from -90 to 90' }).min(-90).max(90),
  lon: z.coerce.number({ error: 'expected a number from -180 to 180' }).min(-180).max(180),
  at: z.iso.datetime({
    offset: true,
    error: 'expected a date and time with its offset, such as 2026-10-03T09:30:00+02:00',
  }),
  sky: z.enum(SKIES).default('clear'),
});

/** What the sun gives at a place and instant: degrees, lux, EV100; `null` for the moon while the sun is up. */
export interface SunReport {
  altitudeDeg: number;
  apparentAltitudeDeg: number;
  azimuthDeg: number;
  lux: number;
  ev100: number;
  diffuseShare: number;
  frontLitEv100: number;
  sideLitEv100: number;
  backLitEv100: number;
  moon: { altitudeDeg: number; azimuthDeg: number; litShare: number } | null;
  errorStops: number;
}

/** Reads `--lat 46.6 --lon 12.3 --at … [--sky cloud]` and works the sun out. */
export function sunReport(args: readonly string[]): Checked<SunReport> {
  const text = { type: 'string' } as const;
  let values: Record<string, string | undefined>;
  try {
    // A negative number after a space reads as a flag to Node; joined to its flag it does not.
    const joined = args.join('\u0000').replace(/(--(?:lat|lon))\u0000(-?[^\u0000]*)/g, '$1=$2');
    ({ values } = parseArgs({
      args: joined === '' ? [] : joined.split('\u0000'),
      options: { lat: text, lon: text, at: text, sky: text },
    }));
  } catch (error) {
    return {
      ok: false,
      faults: [worded('', error instanceof Error ? error.message : String(error))],
    };
  }
  const empty = (['lat', 'lon'] as const).find((key) => values[key]?.trim() === '');
  if (empty) return { ok: false, faults: [worded(empty, 'expected number')] };
  const read = checkAgainst(SunArguments, { ...values });
  if (!read.ok) return read;
  const { lat, lon, at, sky } = read.value;
  const light = daylightAt({ lat, lon }, Date.parse(at), SKY_HABITS[sky].divisor);
  const { sun, moon } = light;
  return {
    ok: true,
    value: {
      altitudeDeg: sun.altitudeDeg,
      apparentAltitudeDeg: sun.apparentAltitudeDeg,
      azimuthDeg: sun.azimuthDeg,
      lux: light.horizontalLux,
      ev100: ev100OfIlluminance(light.horizontalLux),
      diffuseShare: light.diffuseShare,
      frontLitEv100: litEv(light, 'front'),
      sideLitEv100: litEv(light, 'side'),
      backLitEv100: litEv(light, 'back'),
      moon: moon && { altitudeDeg: moon.altitudeDeg, azimuthDeg: moon.azimuthDeg, litShare: moon.litShare },
      errorStops: modelErrorStops(SKY_HABITS[sky].divisor, sun.altitudeDeg),
    },
  };
}
