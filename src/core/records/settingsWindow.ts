import { windowOf } from '../light/exposureValue';
import type { EvWindow } from '../light/exposureValue';
import type { Settings } from './settings';

/** The light that settings expose correctly at an f-number, EV100. */
export function windowOfSettings(
  {
    shutterSeconds,
    shutterFloorSeconds,
    iso,
    filter,
  }: Pick<Settings, 'shutterSeconds' | 'shutterFloorSeconds' | 'iso' | 'filter'>,
  fNumber: number,
): EvWindow {
  return windowOf({
    fNumber,
    shortestSeconds: shutterFloorSeconds ?? shutterSeconds,
    longestSeconds: shutterSeconds,
    isoMin: iso.min,
    isoMax: iso.max,
    filterStops: filter.stops,
  });
}
