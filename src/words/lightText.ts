import { code as LOCALE } from '@/language/locale';
import * as messages from '@/language/words/light';
import type { Shade, Sky, SunGround } from '@/core/vocabulary/outdoors';
import type { Lamps } from '@/core/light/lamps';
import type { LitFrom } from '@/core/light/sun/lit';
import type { Light } from '@/core/records/shot';
import { trimmed } from '@/core/units/format';
import { SCENE_LABEL, WATER_LABEL } from './labels';

/** How light and the clock are said. Instants are milliseconds since 1970 UTC; clocks are those of the place. */
export const SKY_LABEL: Record<Sky, string> = messages.skyLabel;

export const SHADE_LABEL: Record<Shade, string> = messages.shadeLabel;

export const SUN_GROUND_LABEL: Record<SunGround, string> = messages.sunGroundLabel;

export const LIT_LABEL: Record<LitFrom | 'standing' | 'night', string> = messages.litLabel;

export const LAMPS_LABEL: Record<Lamps, string> = messages.lampsLabel;

const formats = new Map<string, Intl.DateTimeFormat>();

function format(zone: string | undefined, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${zone ?? ''} ${JSON.stringify(options)}`;
  const known = formats.get(key);
  if (known) return known;
  const fresh = new Intl.DateTimeFormat(LOCALE, { timeZone: zone ?? 'UTC', ...options });
  formats.set(key, fresh);
  return fresh;
}

/** "12:40" on the clock of the place, to the nearest minute; without a zone in UTC, and said so. */
export function clockText(atMs: number, zone: string | undefined): string {
  const minute = Math.round(atMs / 60_000) * 60_000;
  const text = format(zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(minute);
  return zone === undefined ? messages.utc({ text }) : text;
}

/** "Sat 3 Oct 2026" */
export function dateText(atMs: number, zone: string | undefined): string {
  return format(zone, { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' })
    .format(atMs)
    .replace(',', '');
}

/** "Sat 3 Oct, 12:40–13:10"; both dates where they differ. */
/** A date of a plan, "Sat 3 Oct 2026": the same in every zone. */
export function dayText(date: string): string {
  return dateText(Date.parse(`${date}T12:00:00Z`), 'UTC');
}

export function spanText(fromMs: number, toMs: number, zone: string | undefined): string {
  const days = [dateText(fromMs, zone), dateText(toMs, zone)] as const;
  const start = `${days[0]}, ${clockText(fromMs, zone)}`;
  return days[0] === days[1]
    ? `${start}–${clockText(toMs, zone)}`
    : messages.startToValueToToMs({ start, value: days[1], toMs: clockText(toMs, zone) });
}

/** The zone's name and its distance from UTC at an instant: "Europe/Rome, GMT+2". */
export function zoneText(zone: string, atMs: number): string {
  const name = format(zone, { timeZoneName: 'shortOffset' })
    .formatToParts(atMs)
    .find(({ type }) => type === 'timeZoneName')?.value;
  return name === undefined || name === zone ? zone : `${zone}, ${name}`;
}

/** "46.6200° N, 12.3000° E" */
export function placeText({ lat, lon }: { lat: number; lon: number }): string {
  return `${Math.abs(lat).toFixed(4)}° ${lat < 0 ? messages.south : messages.north}, ${Math.abs(lon).toFixed(4)}° ${lon < 0 ? messages.west : messages.east}`;
}

const POINTS = messages.nNNENEENEE.split(' ');

/** "SSE (158°)" */
export function headingText(deg: number): string {
  return `${POINTS[Math.round(deg / 22.5) % 16] ?? messages.north} (${Math.round(deg) % 360}°)`;
}

/** Where a shot's light comes from, in a few words. */
export function lightText(light: Light): string {
  switch (light.kind) {
    case 'sun':
      return messages.sunAt({
        place: light.place ?? placeText(light),
        from: spanText(Date.parse(light.from), Date.parse(light.to), light.zone),
      });
    case 'scene':
      return light.from === light.to
        ? SCENE_LABEL[light.from]
        : messages.fromToTo({ from: SCENE_LABEL[light.from], to: SCENE_LABEL[light.to] });
    case 'underwater':
      return messages.underWater({
        depthM: trimmed(light.depthM, 1),
        water: WATER_LABEL[light.water],
        surface: lightText(light.surface),
      });
    case 'range':
      return messages.aRangeInEV;
    case 'lux':
      return messages.aMeterInLux;
    case 'reading':
      return messages.aCameraReading;
    case 'readings':
      return messages.readings({ count: light.readings.length });
  }
}

/** From when to when a shot may be filmed with the same setting: "Same setting any time from 11:00 to 14:40." */
export function clockHoldsText(
  { fits, fromMs, toMs }: { fits: boolean; fromMs: number | null; toMs: number | null },
  zone: string | undefined,
): string {
  const from = fromMs === null ? messages.sixHoursEarlierOrMore : clockText(fromMs, zone);
  const to = toMs === null ? messages.sixHoursLaterOrMore : clockText(toMs, zone);
  return fits ? messages.byTheClockTheWhole({ from, to }) : messages.atThePlannedTimeThe({ from, to });
}

/** How sure it is that the light stays inside what the answer holds. */
export function staysInsideText(chance: number): string {
  if (chance > 0.995) return messages.theLightStaysInside;
  if (chance < 0.005) return messages.theLightDoesNotStay;
  return messages.theLightStaysInsideIn({ chance: Math.round(chance * 100) });
}
