import type { Filter } from './filterSchema';

export type { Filter };

/**
 * The ways the filters of a kit can be set. A filter of s stops passes 2^−s of the light; density is 0.301·s and factor
 * 2^s (nominal ND8, 16, 32, 64 are 3, 4, 5, 6 stops).
 */

/** A filter, or none, as it stands in front of the lens; `cast` is the loss of what it does besides darkening. */
export interface FilterSetting {
  ids: readonly string[];
  stops: number;
  cast: number;
  /** Loss by what mirrors in the frame and this leaves; 0 until a frame is known (`loss/glare.ts`). */
  glare: number;
}

export const NO_FILTER: FilterSetting = { ids: [], stops: 0, cast: 0, glare: 0 };

/** Side effects on the picture, loss units (start): corners, a faint cross at the strong end, bloom, ghosts. */
const CAST: Record<Filter['kind'], number> = {
  nd: 0,
  polarizer: 0.1,
  variable: 0.15,
  haze: 0.2,
  cover: 0.1,
};
/** Two rings before a wide lens darken its corners and throw ghosts between the glasses (start). */
const STACK_CAST = 0.2;
/** A variable filter's ring can be set by its marks at every half stop, and at either end (start). */
const VARIABLE_STEP_STOPS = 0.5;

/** None, every filter, and every stack that may be made, a variable one at each half stop, lightest first. */
export function filterSettings(kit: readonly Filter[]): FilterSetting[] {
  const stacks = kit.flatMap((front) =>
    kit.filter((behind) => front.stacksOn?.includes(behind.id)).map((behind) => [behind, front]),
  );
  return [NO_FILTER, ...[...kit.map((filter) => [filter]), ...stacks].flatMap(settingsOf)].sort(
    (a, b) => a.stops - b.stops,
  );
}

/** The least and most stops a filter can give: as measured, else as labelled. */
export function stopsRange(filter: Filter): { min: number; max: number } {
  if (filter.kind === 'variable') return { min: filter.stopsMin, max: filter.stopsMax };
  const given = filter.measuredStops ?? filter.stops;
  return { min: given, max: given };
}

/**
 * Filters stacked by hand: their stops add up, a variable one at any value that reaches `wantedStops`. Gives `null`
 * when an id is not in the kit, or when the wanted stops lie outside what the stack can give.
 */
export function stackOf(
  kit: readonly Filter[],
  ids: readonly string[],
  wantedStops: number | undefined,
): FilterSetting[] | null {
  const chosen = ids.map((wanted) => kit.find((filter) => filter.id === wanted));
  if (chosen.some((filter) => filter === undefined)) return null;
  const filters = chosen.filter((filter) => filter !== undefined);
  if (filters.length === 0) return wantedStops === undefined || wantedStops < 1e-6 ? [NO_FILTER] : null;
  if (wantedStops === undefined) return settingsOf(filters);
  const { min, max } = reachOf(filters);
  if (wantedStops < min - 1e-6 || wantedStops > max + 1e-6) return null;
  return [{ ids, stops: wantedStops, cast: castOf(filters), glare: 0 }];
}

function settingsOf(filters: readonly Filter[]): FilterSetting[] {
  const { min, max } = reachOf(filters);
  const ids = filters.map((filter) => filter.id);
  return steps(min, max).map((total) => ({ ids, stops: total, cast: castOf(filters), glare: 0 }));
}

function reachOf(filters: readonly Filter[]): { min: number; max: number } {
  const ranges = filters.map(stopsRange);
  return {
    min: ranges.reduce((sum, { min }) => sum + min, 0),
    max: ranges.reduce((sum, { max }) => sum + max, 0),
  };
}

function castOf(filters: readonly Filter[]): number {
  return filters.reduce((sum, filter) => sum + CAST[filter.kind], STACK_CAST * (filters.length - 1));
}

function steps(min: number, max: number): number[] {
  const first = Math.ceil(min / VARIABLE_STEP_STOPS + 1e-9);
  const last = Math.ceil(max / VARIABLE_STEP_STOPS - 1e-9) - 1;
  const marks = Array.from(
    { length: Math.max(0, last - first + 1) },
    (_, index) => (first + index) * VARIABLE_STEP_STOPS,
  );
  return min === max ? [min] : [min, ...marks, max];
}
