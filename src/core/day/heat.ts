import type { CameraProfile } from '../camera/profile';

/**
 * How warm a camera gets: one thermal resistance, one time constant. Degrees Celsius, watts, minutes, metres a second.
 *
 *   T = T_air + sun + P·R(v)·(1 − e^(−t/τ)),  R(v) = R0/(1 + 0.35·√v)
 *
 * A body of one temperature is a rough picture: good to some five degrees, and the profile's figures are starts until
 * they are measured.
 */
type Heat = CameraProfile['heat'];

/** Moving air carries heat off faster (start). */
const WIND = 0.35;
/** What full sun on a dark case adds, °C; behind cloud or in shade none (start). */
const FULL_SUN_C = 8;
/** Light, EV100, from which the sun itself is on the camera (start). */
const SUNLIT_EV = 14.2;

/** Kelvin a watt at this speed of air. */
function resistanceKPerW(stillAirKPerW: number, airSpeedMps: number): number {
  return stillAirKPerW / (1 + WIND * Math.sqrt(airSpeedMps));
}

/** What the sun adds, by the brightest light of the shot. */
export function sunOnCameraC(evMax: number): number {
  return evMax >= SUNLIT_EV ? FULL_SUN_C : 0;
}

/** Temperature after some minutes at one load, from any start. */
export function temperatureAfter(
  fromC: number,
  { stillAirKPerW, tauMinutes }: Pick<Heat, 'stillAirKPerW' | 'tauMinutes'>,
  load: { airC: number; sunC: number; powerW: number; airSpeedMps: number },
  minutes: number,
): number {
  const target = targetOf(stillAirKPerW, load);
  return target + (fromC - target) * Math.exp(-minutes / tauMinutes);
}

/** Minutes until a temperature is reached on the way up; `null`: never at this load. */
export function minutesUntil(
  limitC: number,
  fromC: number,
  { stillAirKPerW, tauMinutes }: Pick<Heat, 'stillAirKPerW' | 'tauMinutes'>,
  load: { airC: number; sunC: number; powerW: number; airSpeedMps: number },
): number | null {
  if (fromC >= limitC) return 0;
  const target = targetOf(stillAirKPerW, load);
  return target <= limitC ? null : tauMinutes * Math.log((target - fromC) / (target - limitC));
}

function targetOf(
  stillAirKPerW: number,
  { airC, sunC, powerW, airSpeedMps }: { airC: number; sunC: number; powerW: number; airSpeedMps: number },
): number {
  return airC + sunC + powerW * resistanceKPerW(stillAirKPerW, airSpeedMps);
}

/** The thermal resistance in still air by which a load gets so warm in so many minutes, from the air; `null`: it need not warm. */
export function resistanceReaching(
  limitC: number,
  { tauMinutes }: Pick<Heat, 'tauMinutes'>,
  { airC, sunC, powerW, airSpeedMps }: { airC: number; sunC: number; powerW: number; airSpeedMps: number },
  minutes: number,
): number | null {
  const risesC = limitC - airC - sunC;
  const warmed = 1 - Math.exp(-minutes / tauMinutes);
  return risesC <= 0 ? null : risesC / (powerW * warmed) / resistanceKPerW(1, airSpeedMps);
}

/** Kept below the shutdown by a plan of pauses, °C (start). */
const HEAT_MARGIN_C = 3;

/**
 * The fewest pauses that get a recording to its end: it runs up to the margin below shutdown, cools for as long as the
 * next stretch of the same length needs, and so on. `null`: it cannot be cooled enough (the air itself is too hot).
 */
export function pausePlan(
  heat: Heat,
  load: { airC: number; sunC: number; powerW: number; airSpeedMps: number },
  recordMinutes: number,
  fromC: number,
  pauseMinutes: number,
): { afterMinutes: number; minutes: number }[] | null {
  const limit = heat.shutdownC - HEAT_MARGIN_C;
  const idle = { ...load, powerW: 0 };
  const pauses: { afterMinutes: number; minutes: number }[] = [];
  let at = 0;
  let temperature = fromC;
  while (at < recordMinutes) {
    const until = minutesUntil(limit, temperature, heat, load);
    if (until === null || at + until >= recordMinutes) return pauses;
    const stretch = Math.floor(until * 2) / 2;
    // A stretch shorter than a minute is no filming.
    if (stretch < 1 || pauses.length >= 60) return null;
    at += stretch;
    temperature = temperatureAfter(
      temperatureAfter(temperature, heat, load, stretch),
      heat,
      idle,
      pauseMinutes,
    );
    pauses.push({ afterMinutes: at, minutes: pauseMinutes });
  }
  return pauses;
}

/** Air over the day, °C: lowest at six, highest at three in the afternoon (start). */
export function airAtC({ lowC, highC }: { lowC: number; highC: number }, hour: number): number {
  const middle = (lowC + highC) / 2;
  const swing = (highC - lowC) / 2;
  const rising = hour >= 6 && hour <= 15;
  const phase = rising ? (hour - 6) / 9 : ((hour + 24 - 15) % 24) / 15;
  return rising ? middle - swing * Math.cos(Math.PI * phase) : middle + swing * Math.cos(Math.PI * phase);
}
