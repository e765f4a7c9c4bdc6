import { ev100OfSetting } from '../light/exposureValue';

/** One reading of an evenly lit wall, the camera left on automatic. */
export interface WallReading {
  fNumber: number;
  shutterSeconds: number;
  iso: number;
}

/** What two readings say of a filter. `odd`: why the figure is not to be trusted as it stands. */
export interface FilterMeasure {
  stops: number;
  odd: 'brighter' | 'farFromLabel' | null;
}

/** Past this from its label, stops, a reading is likelier wrong than the filter (start). */
const FAR_STOPS = 1.5;

/** Stops of a filter from the camera's own settings without and with it, before the same wall. Source: ISO 2720. */
export function measuredStops(without: WallReading, withIt: WallReading, labelStops: number): FilterMeasure {
  const of = ({ fNumber, shutterSeconds, iso }: WallReading): number =>
    ev100OfSetting(fNumber, shutterSeconds, iso);
  const stops = of(without) - of(withIt);
  return {
    stops: Math.max(0, stops),
    odd: stops < 0 ? 'brighter' : Math.abs(stops - labelStops) > FAR_STOPS ? 'farFromLabel' : null,
  };
}
