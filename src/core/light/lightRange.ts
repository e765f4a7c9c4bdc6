import type { Light } from './lightSchema';
import { ev100OfIlluminance } from './exposureValue';
import { pulseOf } from './lamps';
import type { LampsToldBy } from './lamps';
import { evOfReading, rangeOfReadings } from './readings';
import { SCENES } from '../vocabulary/scenes';
import { sunLightRange } from './sun/sunLight';

/** The light of a whole run, EV100, and the pulse of the lamps in it, Hz, if any. */
export interface LightRange {
  evMin: number;
  evMax: number;
  /** How far either end may lie from where it is told, stops: one standard deviation, by how the light is known. */
  spreadStops: number;
  pulseHz: number | null;
}

/** What all light of one day is off by together, stops (start): the air is clearer or hazier than its name. */
export const DAY_LIGHT_STOPS = 0.3;

/** Brightest light, EV100, at which a run of unnamed light is taken to be lit by lamps: a bright hall (start). */
const LAMPLIGHT_UP_TO_EV = 8;
/** Below this, EV100, no lamp is at work: moonlight (start). */
const LAMPLIGHT_DOWN_TO_EV = 0;

/** The light a shot describes, whichever way it was told, with its lamps. Source for scenes: `scenes.ts`. */
export function lightRangeOf(light: Light, told: LampsToldBy): LightRange {
  const range = evRangeOf(light);
  return { ...range, spreadStops: spreadOf(light), pulseHz: pulseOf(told, looksLamplit(light, range)) };
}

/** The range alone, EV100. */
export function evRangeOf(light: Light): { evMin: number; evMax: number } {
  switch (light.kind) {
    case 'range':
      return { evMin: light.evMin, evMax: light.evMax };
    case 'lux':
      return { evMin: ev100OfIlluminance(light.luxMin), evMax: ev100OfIlluminance(light.luxMax) };
    case 'reading': {
      const read = evOfReading({ ...light, offStops: 0 });
      return { evMin: read - light.darkerStops, evMax: read + light.brighterStops };
    }
    case 'readings':
      return rangeOfReadings(light);
    case 'sun':
      return sunLightRange(light);
    case 'scene': {
      const ends = [light.from, light.to].map((scene) => {
        const stops = light.corrected?.[scene]?.stops ?? 0;
        return { evMin: SCENES[scene].evMin + stops, evMax: SCENES[scene].evMax + stops };
      });
      return {
        evMin: Math.min(...ends.map(({ evMin }) => evMin)),
        evMax: Math.max(...ends.map(({ evMax }) => evMax)),
      };
    }
  }
}

/**
 * Standard deviation in stops of light known so (start). A scene's name covers a stop from end to end of what it is used
 * for; a reading errs by its picture's tone; a meter by how it is held. A range says where its ends are, not how it was
 * come by: as good as a reading. Of a sky see `sky.ts`.
 */
const SPREAD_STOPS = { scene: 0.5, range: 0.2, reading: 0.2, readings: 0.2, lux: 0.1 } as const;

function spreadOf(light: Light): number {
  if (light.kind === 'sun') return sunLightRange(light).errorStops;
  if (light.kind !== 'scene') return SPREAD_STOPS[light.kind];
  const { corrected } = light;
  return Math.max(
    ...[light.from, light.to].map((scene) => corrected?.[scene]?.spreadStops ?? SPREAD_STOPS.scene),
  );
}

/** A named scene says whether lamps light it; the sun's light has none; any other is judged by how dark it is. */
function looksLamplit(light: Light, { evMin }: { evMin: number }): boolean {
  if (light.kind === 'scene') return SCENES[light.from].lamps || SCENES[light.to].lamps;
  if (light.kind === 'sun') return false;
  return evMin <= LAMPLIGHT_UP_TO_EV && evMin >= LAMPLIGHT_DOWN_TO_EV;
}
