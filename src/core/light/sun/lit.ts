import { ev100OfIlluminance } from '../exposureValue';
import { beamShareOf } from '../sky';
import { clearSkyHorizontalLux, moonHorizontalLux } from './illuminance';
import { moonPosition, sunPosition } from './position';
import type { MoonPosition, LatLon, SunPosition } from './position';

/** The light at one place and instant, in lux, before shade and ground. */
export interface Daylight {
  sun: SunPosition;
  /** Only where the sun leaves it something to do: from 5° below the horizon down. */
  moon: MoonPosition | null;
  /** On level ground, sun, sky and moon together. */
  horizontalLux: number;
  /** On a card held square to the sun's beam. */
  beamLux: number;
  /** On level ground from the sky alone. */
  diffuseLux: number;
  /** Of the light on level ground, what comes from the sky and not from the sun. */
  diffuseShare: number;
}

/** What neither sun nor sky gives a card but the ground throws back (start): a mid-grey ground. */
const GROUND_ALBEDO = 0.2;
/** The moon is worked out from here down, degrees: above, the sun drowns it. */
const MOON_COUNTS_BELOW_DEG = -5;

/**
 * Optical air mass, 1 overhead, 38 at the horizon; infinite below it. Source: Kasten & Young 1989, Applied Optics 28.
 */
export function airMass(altitudeDeg: number): number {
  if (altitudeDeg < 0) return Infinity;
  return 1 / (Math.sin((altitudeDeg * Math.PI) / 180) + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);
}

/** Direct normal illuminance under a clear sky, lux: `127.5·exp(−0.21 m)` klx. Source: IES RP-21. */
export function clearBeamLux(altitudeDeg: number): number {
  return 127_500 * Math.exp(-0.21 * airMass(altitudeDeg));
}

/** The light at a place and instant under a sky that divides the clear sky's light by `divisor` (see `sky.ts`). */
export function daylightAt(place: LatLon, atMs: number, divisor: number): Daylight {
  const sun = sunPosition(place, atMs);
  const moon = sun.altitudeDeg < MOON_COUNTS_BELOW_DEG ? moonPosition(place, atMs) : null;
  return daylightOf(sun, moon, divisor);
}

export function daylightOf(sun: SunPosition, moon: MoonPosition | null, divisor: number): Daylight {
  const clear = clearSkyHorizontalLux(sun.altitudeDeg) + (moon ? moonHorizontalLux(moon) : 0);
  const horizontalLux = clear / divisor;
  const rise = Math.sin((Math.max(0, sun.altitudeDeg) * Math.PI) / 180);
  // The beam's model and the ground's are two fits; where they disagree the ground's total stands.
  const beam = Math.min(
    clearBeamLux(sun.altitudeDeg) * beamShareOf(divisor),
    rise > 0 ? horizontalLux / rise : 0,
  );
  const diffuseLux = Math.max(0, horizontalLux - beam * rise);
  return { sun, moon, horizontalLux, beamLux: beam, diffuseLux, diffuseShare: diffuseLux / horizontalLux };
}

/**
 * Lux on an upright card that faces the camera. `sunOffDeg` is the angle on the compass between where the camera
 * looks and where the sun stands: 180 with the sun behind the camera, 0 looking into it. Half the sky and half the
 * ground shine on an upright card.
 */
export function cardLux(light: Daylight, sunOffDeg: number): number {
  const facing = -Math.cos((sunOffDeg * Math.PI) / 180) * Math.cos((light.sun.altitudeDeg * Math.PI) / 180);
  return (
    light.beamLux * Math.max(0, facing) + light.diffuseLux / 2 + (light.horizontalLux * GROUND_ALBEDO) / 2
  );
}

/** The compass angle between camera and sun that stands for each way of being lit. A side-lit card is lit at 60°. */
export const LIT_FROM_DEG = { front: 180, side: 120, back: 0 } as const;
export type LitFrom = keyof typeof LIT_FROM_DEG;

export function litEv(light: Daylight, from: LitFrom): number {
  return ev100OfIlluminance(cardLux(light, LIT_FROM_DEG[from]));
}

/** Which way a camera's scene is lit, by the compass angle between camera and sun. */
export function litFrom(sunOffDeg: number): LitFrom {
  return sunOffDeg < 60 ? 'back' : sunOffDeg < 130 ? 'side' : 'front';
}
