import { getMoonIllumination, getMoonPosition, getPosition } from 'suncalc';

/**
 * Where the sun and the moon stand. Azimuth in degrees clockwise from north; altitude in degrees above the level
 * horizon; instants in milliseconds since 1970 UTC. Source of the positions: suncalc 2, after Meeus, *Astronomical
 * Algorithms*, chapters 25, 47 and 48; against a second algorithm the sun is within 0.05° (see the tests).
 */
export interface LatLon {
  lat: number;
  lon: number;
}

export interface SunPosition {
  /** Of the sun's centre, geometric: without refraction. What a light model wants. */
  altitudeDeg: number;
  /** As the eye sees it, lifted by refraction. What a horizon hides. */
  apparentAltitudeDeg: number;
  azimuthDeg: number;
}

export function sunPosition(place: LatLon, atMs: number): SunPosition {
  const { altitude, azimuth } = getPosition(new Date(atMs), place.lat, place.lon);
  const altitudeDeg = withoutRefraction(altitude);
  return {
    altitudeDeg,
    // The library adds the horizon's refraction below the horizon too, where nothing is seen.
    apparentAltitudeDeg: altitudeDeg < -1 ? altitudeDeg : altitude,
    azimuthDeg: azimuth,
  };
}

export interface MoonPosition {
  altitudeDeg: number;
  azimuthDeg: number;
  /** Angle sun–earth–moon: 0 new, 180 full. */
  elongationDeg: number;
  /** Mean 0.951°; larger when the moon is near. */
  horizontalParallaxDeg: number;
  /** Lit share of the disc, 0…1. */
  litShare: number;
}

const EARTH_RADIUS_KM = 6378.14;

export function moonPosition(place: LatLon, atMs: number): MoonPosition {
  const at = new Date(atMs);
  const { altitude, azimuth, distance } = getMoonPosition(at, place.lat, place.lon);
  const { fraction } = getMoonIllumination(at);
  return {
    altitudeDeg: withoutRefraction(altitude),
    azimuthDeg: azimuth,
    // Meeus 48.1, with the phase angle taken as 180° − elongation (within 0.2°).
    elongationDeg: (Math.acos(1 - 2 * Math.min(1, fraction)) * 180) / Math.PI,
    horizontalParallaxDeg: (Math.asin(EARTH_RADIUS_KM / distance) * 180) / Math.PI,
    litShare: fraction,
  };
}

/** Refraction in degrees for a geometric altitude. Source: Meeus 16.4, held at its value for 0° below the horizon. */
function refractionDeg(altitudeDeg: number): number {
  const h = (Math.max(0, altitudeDeg) * Math.PI) / 180;
  return ((0.0002967 / Math.tan(h + 0.00312536 / (h + 0.08901179))) * 180) / Math.PI;
}

/** Takes back what the library added: the altitude whose refraction leads to the apparent one, to 1e-5°. */
function withoutRefraction(apparentDeg: number): number {
  let altitude = apparentDeg - refractionDeg(apparentDeg);
  for (let step = 0; step < 6; step++) altitude = apparentDeg - refractionDeg(altitude);
  return altitude;
}

/** The smallest angle between two directions on the compass, 0…180°. */
export function compassBetweenDeg(a: number, b: number): number {
  const turn = Math.abs((((a - b) % 360) + 540) % 360) - 180;
  return Math.abs(turn);
}
