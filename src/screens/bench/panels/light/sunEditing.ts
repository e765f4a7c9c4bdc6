import { horizonFromTimes } from '@/core/light/sun/day';
import { horizonAltitudeDeg } from '@/core/light/sun/horizon';
import type { Horizon } from '@/core/light/sun/horizon';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import { item } from '@/core/units/items';
import { dateAndTime, instantOf, isoIn, onDate } from '@/formats/clock';
import { lightBetween, zoneOf } from '@/formats/placed';

/** Changes to a shot's sun light; a shot whose light is told otherwise stays as it is. */
type SunChange = (light: SunLight) => SunLight;

export function changingSun(change: SunChange): (shot: Shot) => Shot {
  return (shot) => (shot.light?.kind === 'sun' ? { ...shot, light: change(shot.light) } : shot);
}

/** The whole run moved to start at an instant, as long as before. */
export const startingAt =
  (fromMs: number): SunChange =>
  (light) => {
    const lasts = Date.parse(light.to) - Date.parse(light.from);
    return lightBetween(light, fromMs, fromMs + lasts);
  };

/** The whole run moved by so many steps of a length, onto the steps, and kept inside a span of instants. */
export const shiftedBy =
  (steps: number, stepMs: number, within: { fromMs: number; toMs: number }): SunChange =>
  (light) => {
    const fromMs = Date.parse(light.from);
    const lasts = Date.parse(light.to) - fromMs;
    const to = Math.round(fromMs / stepMs + steps) * stepMs;
    return startingAt(Math.min(within.toMs - lasts, Math.max(within.fromMs, to)))(light);
  };

/** Start or end set by its clock; the other end stays unless it would come first, then it follows. */
export const withEnd =
  (end: 'from' | 'to', atMs: number): SunChange =>
  (light) => {
    const from = end === 'from' ? atMs : Date.parse(light.from);
    const to = end === 'to' ? atMs : Date.parse(light.to);
    if (from <= to) return lightBetween(light, from, to);
    return end === 'from' ? startingAt(atMs)(light) : lightBetween(light, to, to);
  };

/** The same clock times on another date; told cloud belongs to the old day and goes. */
export const onDay =
  (date: string): SunChange =>
  (light) => {
    const zone = zoneOf(light);
    const from = onDate(Date.parse(light.from), date, zone);
    if (from === null) return light;
    const moved = startingAt(from)(light);
    return date === isoIn(Date.parse(light.from), zone).slice(0, 10) ? moved : omit(moved, 'clouds');
  };

/** Another zone for the same instants: only the clock's words change. */
export const inZone =
  (zone: string): SunChange =>
  (light) =>
    lightBetween({ ...light, zone }, Date.parse(light.from), Date.parse(light.to));

/** What usually stands around, to start drawing from. */
export const HORIZONS: Record<'valley' | 'trees', Horizon> = {
  valley: {
    behind: 'openShade',
    points: [
      { azimuthDeg: 0, altitudeDeg: 8 },
      { azimuthDeg: 90, altitudeDeg: 25 },
      { azimuthDeg: 180, altitudeDeg: 8 },
      { azimuthDeg: 270, altitudeDeg: 25 },
    ],
  },
  trees: {
    behind: 'lightWood',
    points: [
      { azimuthDeg: 0, altitudeDeg: 22 },
      { azimuthDeg: 120, altitudeDeg: 18 },
      { azimuthDeg: 240, altitudeDeg: 22 },
    ],
  },
};

/** Walls between which the sun comes and goes at two clock times of the run's day. */
export function gorgeBetween(light: SunLight, comes: string, goes: string): Horizon | null {
  const zone = zoneOf(light);
  const { date } = dateAndTime(Date.parse(light.from), zone);
  const fromMs = instantOf(date, comes, zone);
  const toMs = instantOf(date, goes, zone);
  if (fromMs === null || toMs === null || fromMs >= toMs) return null;
  return horizonFromTimes(light, { fromMs, toMs }, WALL_DEG, 'gorge');
}

const WALL_DEG = 62;

/** One corner of the horizon moved, its neighbours holding it between them; whole degrees. */
export function withCorner(horizon: Horizon, at: number, azimuthDeg: number, altitudeDeg: number): Horizon {
  const left = horizon.points[at - 1]?.azimuthDeg ?? -1;
  const right = horizon.points[at + 1]?.azimuthDeg ?? 361;
  const moved = {
    azimuthDeg: Math.min(right - 1, Math.max(left + 1, Math.round(azimuthDeg))),
    altitudeDeg: Math.min(89, Math.max(0, Math.round(altitudeDeg))),
  };
  return { ...horizon, points: horizon.points.map((point, index) => (index === at ? moved : point)) };
}

/** Corners in the order of their azimuths, as `withCorner` wants them. */
export function ordered(horizon: Horizon): Horizon {
  return { ...horizon, points: [...horizon.points].sort((a, b) => a.azimuthDeg - b.azimuthDeg) };
}

/** A corner more, in the middle of the widest stretch without one. */
export function withMoreCorners(horizon: Horizon): Horizon {
  const { points } = ordered(horizon);
  const gaps = points.map((point, at) => {
    const next = points[(at + 1) % points.length] ?? point;
    return (next.azimuthDeg - point.azimuthDeg + 360) % 360 || 360;
  });
  const widest = gaps.indexOf(Math.max(...gaps));
  const azimuthDeg = Math.round((item(points, widest).azimuthDeg + item(gaps, widest) / 2) % 360);
  const altitudeDeg = Math.round(Math.max(0, horizonAltitudeDeg(horizon, azimuthDeg)));
  return ordered({ ...horizon, points: [...points, { azimuthDeg, altitudeDeg }] });
}
