import { mainsHzOf } from '@/core/light/lamps';
import type { Span } from '@/core/light/sun/day';
import type { LatLon } from '@/core/light/sun/position';
import { clockOf } from '@/core/light/sun/clock';
import type { SunLight } from '@/core/light/sun/sunLight';
import type { Outing, OutingPlace } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import { omit } from '@/core/units/omit';
import { dateAndTime, instantOf, isoIn, movedTo, wallClock } from './clock';

/** Shots and outings at a place: their coordinates, clock, country and mains go together. */
export interface ChosenPlace extends LatLon {
  name: string | null;
  /** ISO 3166, two letters. */
  country: string | null;
  /** IANA. */
  zone: string;
}

/** The clock a light is read by, as one that can be reckoned with. */
export function zoneOf(light: SunLight): string {
  return clockOf(light) ?? 'UTC';
}

/** From an instant to another; an end before its start moves onto it. */
export function lightBetween(light: SunLight, fromMs: number, toMs: number): SunLight {
  const zone = zoneOf(light);
  return { ...light, from: isoIn(fromMs, zone), to: isoIn(Math.max(fromMs, toMs), zone) };
}

/** A shot told by the sun from now on, at a place, over a span; what its light was told by before goes. */
export function lightBySun(shot: Shot, place: ChosenPlace, { fromMs, toMs }: Span): Shot {
  const there: SunLight = { kind: 'sun', ...coordinates(place), from: '', to: '' };
  return withMains({ ...shot, light: lightBetween(there, fromMs, toMs) }, place);
}

/** An hour from noon of a date at a place: where nobody has said when. */
export function hourFromNoon(date: string, zone: string): Span {
  const fromMs = instantOf(date, '12:00', zone) ?? Date.parse(`${date}T12:00:00Z`);
  return { fromMs, toMs: fromMs + 3_600_000 };
}

/**
 * Another place at the same clock times. What stood around the old one and its cloud go; mains follow the country.
 */
export function atPlace(place: ChosenPlace): (shot: Shot) => Shot {
  return (shot) => {
    if (shot.light?.kind !== 'sun') return shot;
    const old = shot.light;
    const bare = BOUND.reduce<object>((left, key) => omit(left, key as keyof typeof left), old) as SunLight;
    const { date, time } = dateAndTime(Date.parse(old.from), zoneOf(old));
    const from = instantOf(date, time, place.zone) ?? Date.parse(old.from);
    const lasts = Date.parse(old.to) - Date.parse(old.from);
    const light = lightBetween({ ...bare, ...coordinates(place) }, from, from + lasts);
    return withMains({ ...shot, light }, place);
  };
}

/** What of a light belongs to its place. */
const BOUND: readonly (keyof SunLight)[] = ['horizon', 'clouds', 'place', 'zone', 'country'];

function coordinates({ lat, lon, zone, name, country }: ChosenPlace): Pick<SunLight, 'lat' | 'lon' | 'zone'> {
  return {
    lat: round(lat),
    lon: round(lon),
    zone,
    ...(name === null ? {} : { place: name }),
    ...(country === null ? {} : { country }),
  };
}

function withMains(shot: Shot, { country, lon }: ChosenPlace): Shot {
  return country === null ? shot : { ...shot, limits: { ...shot.limits, mainsHz: mainsHzOf(country, lon) } };
}

const round = (degrees: number): number => Math.round(degrees * 1e5) / 1e5;

/** What changes with an outing that changes: the outing, and its shots by id. */
export interface OutingChange {
  outing: Outing;
  shots: ReadonlyMap<string, (shot: Shot) => Shot>;
}

/**
 * An outing at a place: its clock and its mains are those of the place. Its times on the clock stay; the sun of its shots
 * goes with them, and those filmed at its old place are filmed at the new one.
 */
export function outingAt(outing: Outing, place: ChosenPlace): OutingChange {
  const { name, country, zone } = place;
  const at: OutingPlace = {
    lat: round(place.lat),
    lon: round(place.lon),
    ...(name === null ? {} : { name }),
    ...(country === null ? {} : { country }),
  };
  const mains = country === null ? {} : { mainsHz: mainsHzOf(country, place.lon) };
  const old = outing.place;
  const along = atPlace({ ...place, zone });
  return {
    outing: { ...outing, place: at, zone, ...mains },
    shots: movedShots(outing, zone, (shot) => (old && isAt(shot, old) ? along(shot) : shot)),
  };
}

/** An outing told by another clock: its times on the clock stay, and the sun of its shots goes with them. */
export function outingOnClock(outing: Outing, zone: string): OutingChange {
  return { outing: { ...outing, zone }, shots: movedShots(outing, zone, (shot) => shot) };
}

/** Every shot of an outing once, at the first of its entries by the clock of a zone. */
function movedShots(
  { days }: Outing,
  zone: string,
  before: (shot: Shot) => Shot,
): ReadonlyMap<string, (shot: Shot) => Shot> {
  const shots = new Map<string, (shot: Shot) => Shot>();
  const clock = wallClock(zone);
  for (const { date, entries } of days)
    for (const entry of entries)
      if (entry.what === 'shot' && !shots.has(entry.shotId))
        shots.set(entry.shotId, (shot) => movedTo(before(shot), clock(date, entry.at), zone));
  return shots;
}

function isAt({ light }: Shot, { lat, lon }: LatLon): boolean {
  return light?.kind === 'sun' && Math.abs(light.lat - lat) < 1e-4 && Math.abs(light.lon - lon) < 1e-4;
}

/** The place of an outing as one that a shot can take, by the outing's clock. */
export function placeOfOuting({ place, zone }: Outing): ChosenPlace | null {
  return place
    ? { lat: place.lat, lon: place.lon, name: place.name ?? null, country: place.country ?? null, zone }
    : null;
}
