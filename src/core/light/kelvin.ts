import { SKY_HABITS } from '../vocabulary/outdoors';
import type { Light } from './lightSchema';
import type { Lamps } from './lamps';
import type { LightRange } from './lightRange';
import { skyAt } from './sky';
import { sunPosition } from './sun/position';
import { USUAL_SUN } from './sun/sunLight';
import { item } from '../units/items';

/**
 * Correlated colour temperature of the light, kelvin, to lock white balance at. Starting estimates in the order of
 * published daylight tables: a low sun is warm, shade and cloud are cool.
 */
const LAMPS_K = 3200;
const DAYLIGHT_K = 5600;
const CLOUD_K = 6500;
const SHADE_K = 7000;
const SCREEN_K = 6500;
/** Sunlight by the sun's altitude, degrees. */
const SUN_K: readonly (readonly [altitudeDeg: number, kelvin: number])[] = [
  [-6, 8500],
  [-2, 4500],
  [0, 2800],
  [5, 3700],
  [10, 4400],
  [20, 5100],
  [35, 5500],
  [90, 5700],
];

/** A camera's white balance is set in hundreds. */
const STEP_K = 100;

/** The colour temperature of a run's light, in the middle of it. */
export function kelvinOf(light: Light, range: Pick<LightRange, 'evMax' | 'pulseHz'>, lamps: Lamps): number {
  if (lamps === 'screen') return SCREEN_K;
  if (range.pulseHz !== null) return LAMPS_K;
  if (light.kind !== 'sun') return range.evMax >= 13 ? DAYLIGHT_K : CLOUD_K;
  const middle = (Date.parse(light.from) + Date.parse(light.to)) / 2;
  // Told cloud by the hour comes before the day's sky, as it does for the light itself.
  if (skyAt(light.sky ?? USUAL_SUN.sky, light.clouds, middle).likely >= SKY_HABITS.cloud.divisor)
    return CLOUD_K;
  const shades = light.shade ?? USUAL_SUN.shade;
  if (!shades.includes('open')) return SHADE_K;
  return Math.round(sunKelvin(sunPosition(light, middle).altitudeDeg) / STEP_K) * STEP_K;
}

function sunKelvin(altitudeDeg: number): number {
  const above = SUN_K.findIndex(([at]) => at >= altitudeDeg);
  if (above <= 0) return item(SUN_K, above === 0 ? 0 : SUN_K.length - 1)[1];
  const [lowAt, low] = item(SUN_K, above - 1);
  const [highAt, high] = item(SUN_K, above);
  return low + ((high - low) * (altitudeDeg - lowAt)) / (highAt - lowAt);
}
