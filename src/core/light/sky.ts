import { SHADE_STOPS, SKIES, SKY_HABITS } from '../vocabulary/outdoors';
import type { Shade, Sky } from '../vocabulary/outdoors';
import type { CloudHour } from './lightSchema';
import { item } from '../units/items';

/** What measured twilights differ by from the fitted curve, stops. Source: Janiczek & DeYoung 1987, as in `sun/illuminance.ts`. */
const TWILIGHT_ERROR_STOPS = 0.5;
/** The sun's centre on the horizon, lifted by refraction, degrees. */
const TWILIGHT_BELOW_DEG = -0.8;

/**
 * How far the model may be off under a sky that divides the light so, stops; between named skies it grows evenly with
 * the divisor's stops. In twilight half a stop comes to it. `ownStops`: under this sky, from the person's own clips.
 */
export function modelErrorStops(divisor: number, sunAltitudeDeg: number, ownStops?: number): number {
  const at = SKIES.findIndex((sky) => SKY_HABITS[sky].divisor >= divisor);
  const above = item(SKIES, at < 0 ? SKIES.length - 1 : at);
  const below = item(SKIES, Math.max(0, (at < 0 ? SKIES.length : at) - 1));
  const width = Math.log2(SKY_HABITS[above].divisor / SKY_HABITS[below].divisor);
  const along = width === 0 ? 0 : Math.log2(divisor / SKY_HABITS[below].divisor) / width;
  const [low, high] = [SKY_HABITS[below].errorStops, SKY_HABITS[above].errorStops];
  const sky = ownStops ?? low + Math.min(1, along) * (high - low);
  return sunAltitudeDeg < TWILIGHT_BELOW_DEG ? sky + TWILIGHT_ERROR_STOPS : sky;
}

/** Of the stops a shade takes in full sun, those that are the direct beam itself: under cloud it is gone already (start). */
const BEAM_STOPS = 2.5;

/** Stops that a shade takes, 0 or less. `beamShare`: how much of its full part the beam has, 1 in clear sun, 0 in none. */
export function shadeStops(shade: Shade, beamShare: number): number {
  return Math.min(0, SHADE_STOPS[shade] + BEAM_STOPS * (1 - beamShare));
}

/** Cloud cover at which each divisor stands; between them the divisor grows evenly in stops (start). */
const COVER: readonly (readonly [pct: number, divisor: number])[] = [
  [0, 1],
  [50, 2],
  [85, 3],
  [100, 5],
];

export function divisorOfCloud(cloudPct: number): number {
  const pct = Math.min(100, Math.max(0, cloudPct));
  const above = COVER.findIndex(([at]) => at >= pct);
  const [highPct, high] = item(COVER, above);
  const [lowPct, low] = item(COVER, Math.max(0, above - 1));
  if (highPct === lowPct) return high;
  return low * (high / low) ** ((pct - lowPct) / (highPct - lowPct));
}

/** Of the direct beam, the share that still reaches the ground: all when clear, 0.3 at 2, none from 3 on (start). */
export function beamShareOf(divisor: number): number {
  if (divisor <= 2) return 1 - 0.7 * Math.log2(divisor);
  return Math.max(0, 0.3 * (3 - divisor));
}

/** The sky at an instant as a divisor with its spread: the least, the likely, the most. */
interface SkyAt {
  least: number;
  likely: number;
  most: number;
  /** Told by its name alone. */
  named: boolean;
}

/** The hour nearest to the instant decides, if one lies within an hour of it; else the sky by its name, without spread. */
export function skyAt(sky: Sky, clouds: readonly CloudHour[] | undefined, atMs: number): SkyAt {
  const near = clouds
    ?.map((hour) => ({ hour, far: Math.abs(Date.parse(hour.at) + 1_800_000 - atMs) }))
    .reduce((best, one) => (one.far < best.far ? one : best), {
      hour: null as CloudHour | null,
      far: Infinity,
    });
  if (!near?.hour || near.far > 3_600_000) {
    const divisor = SKY_HABITS[sky].divisor;
    return { least: divisor, likely: divisor, most: divisor, named: true };
  }
  const { cloudPct, spreadPct } = near.hour;
  return {
    least: divisorOfCloud(cloudPct - spreadPct),
    likely: divisorOfCloud(cloudPct),
    most: divisorOfCloud(cloudPct + spreadPct),
    named: false,
  };
}
