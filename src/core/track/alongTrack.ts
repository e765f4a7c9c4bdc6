import { litFrom } from '../light/sun/lit';
import type { LitFrom } from '../light/sun/lit';
import { compassBetweenDeg, sunPosition } from '../light/sun/position';
import { sunLightAt } from '../light/sun/sunLight';
import type { SunLight } from '../light/sun/sunLight';
import type { TrackFigures, TrackMinute } from './track';

/** A minute of a track under a given day's sun: the same way, moved to another day or hour. */
export interface LitMinute extends TrackMinute {
  sunAzimuthDeg: number;
  sunAltitudeDeg: number;
  /** Compass angle between the way and the sun, 0 heading into it; `null` while standing. */
  sunOffDeg: number | null;
  lit: LitFrom | 'standing' | 'night';
}

export function litMinutes(figures: TrackFigures, shiftMs: number): LitMinute[] {
  return figures.minutes.map((minute) => {
    const moved = { ...minute, fromMs: minute.fromMs + shiftMs, toMs: minute.toMs + shiftMs };
    const sun = sunPosition(minute.place, (moved.fromMs + moved.toMs) / 2);
    const sunOffDeg =
      minute.headingDeg === null ? null : compassBetweenDeg(minute.headingDeg, sun.azimuthDeg);
    const lit = sun.apparentAltitudeDeg <= 0 ? 'night' : sunOffDeg === null ? 'standing' : litFrom(sunOffDeg);
    return {
      ...moved,
      sunAzimuthDeg: sun.azimuthDeg,
      sunAltitudeDeg: sun.apparentAltitudeDeg,
      sunOffDeg,
      lit,
    };
  });
}

/** Headings kept of a track: a shot's light takes no more. */
const MOST_HEADINGS = 96;

/**
 * What a track makes of a shot's light and movement: place, times and headings of the way, so that the light is worked
 * out minute by minute; travel at the speed that nine tenths of the way stay under. `null` for a track without times.
 */
export function shotPartsOf(
  figures: TrackFigures,
  shiftMs: number,
  kept: Partial<SunLight>,
): { light: SunLight; travelMps: number } | null {
  const { times, speed, minutes } = figures;
  const first = minutes[0];
  if (!times || !speed || !first) return null;
  const headings = minutes.flatMap(({ headingDeg }) => (headingDeg === null ? [] : [Math.round(headingDeg)]));
  const every = Math.ceil(headings.length / MOST_HEADINGS);
  const some = headings.filter((_, at) => at % every === 0);
  return {
    light: {
      ...kept,
      kind: 'sun',
      lat: round(first.place.lat),
      lon: round(first.place.lon),
      from: new Date(times.fromMs + shiftMs).toISOString(),
      to: new Date(times.toMs + shiftMs).toISOString(),
      ...(some.length > 0 ? { headingsDeg: some } : {}),
    },
    travelMps: Math.round(speed.p90 * 10) / 10,
  };
}

/** The light along the way, EV100, minute by minute. */
export function lightAlong(
  figures: TrackFigures,
  light: SunLight,
  shiftMs: number,
): { evMin: number; evMax: number }[] {
  return figures.minutes.map((minute) => {
    const here: SunLight = {
      ...light,
      ...minute.place,
      ...(minute.headingDeg === null ? {} : { headingsDeg: [minute.headingDeg] }),
    };
    const { evMin, evMax } = sunLightAt(here, minute.fromMs + shiftMs);
    return { evMin, evMax };
  });
}

const round = (degrees: number): number => Math.round(degrees * 1e5) / 1e5;
