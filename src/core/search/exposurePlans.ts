import type { FilterSetting } from '../filters/kit';
import { expose, isoWindow, shutterSetting } from '../loss/exposure';
import type { ExposureFacts, IsoWindow, ShutterSetting } from '../loss/exposure';
import { exposureSum, lessBehindGlass, moreBehindGlass } from '../loss/table';
import { drift, RUNNING_AT_LEAST } from '../loss/terms/drift';
import { under } from '../loss/terms/under';
import {
  darkNailedPrice,
  filterPrice,
  heldPrice,
  isoMaxPrice,
  isoSpanPrice,
  whiteNailedPrice,
} from '../loss/wishes';
import { item } from '../units/items';
import type { ColourSpace, Space } from './space';

/** The part E of a score: which filter and ISO window expose one shutter with the least loss. It knows nothing of the mode. */
export interface ExposurePlan {
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
  loss: number;
  brightLog: number;
  darkLog: number;
}

/** The filter and ISO window that expose one fixed shutter with the least loss; `null` where none is below `limit`. */
export function bestFilter(
  space: Space,
  colour: ColourSpace,
  shutter: ShutterSetting,
  limit = Infinity,
): ExposurePlan | null {
  let best: ExposurePlan | null = null;
  walkFilters(space, colour, shutter, limit, (filter, beat) => {
    const plan = bestIso(space, colour, shutter, filter, colour.isoWindows, beat);
    if (plan) best = plan;
    return plan?.loss ?? beat;
  });
  return best;
}

/** The best exposure of an automatic shutter under each filter, as far as below `limit`. */
export function runningPlans(
  space: Space,
  colour: ColourSpace,
  shutter: ShutterSetting,
  limit: number,
): ExposurePlan[] {
  const plans: ExposurePlan[] = [];
  walkFilters(space, colour, shutter, limit, (filter, beat) => {
    const plan = bestIso(space, colour, shutter, filter, colour.autoIsoWindows, beat);
    if (plan) plans.push(plan);
    return beat;
  });
  return plans;
}

/**
 * Visits every filter that may still come below what `visit` gives back. No ISO window loses less than the widest one, with
 * the bright end at the lowest ISO there is and the dark end at the highest; and none in uncertain light less than in light
 * just as told, since the losses are convex (Jensen 1906). What falls with the strength of the filter is halved down to;
 * what rises ends the walk.
 */
function walkFilters(
  { school, told: light, light: actual, filters }: Space,
  { sensor, isoWindows, grain }: ColourSpace,
  shutter: ShutterSetting,
  limit: number,
  visit: (filter: FilterSetting, beat: number) => number,
): void {
  const { weights, wishes } = school;
  const free = shutter.spanStops > 0 ? weights.drift * RUNNING_AT_LEAST : 0;
  const price = heldPrice(wishes, shutter) + free + grain;
  let beat = limit;
  if (price >= beat) return;
  const iso = reachOf(isoWindows);
  const factsOf = (filter: FilterSetting): ExposureFacts => ({
    sensor,
    light,
    shutter,
    filter,
    iso,
    exposure: expose(sensor, light, shutter, filter.stops, iso),
  });
  let weakest = 0;
  let strongest = filters.length;
  while (weakest < strongest) {
    const middle = (weakest + strongest) >> 1;
    const facts = factsOf(item(filters, middle));
    const falling = lessBehindGlass(weights, facts) + whiteNailedPrice(wishes, facts);
    if (price + falling >= beat) weakest = middle + 1;
    else strongest = middle;
  }
  for (let at = weakest; at < filters.length; at++) {
    const filter = item(filters, at);
    const facts = factsOf(filter);
    const rising = price + moreBehindGlass(weights, facts) + darkNailedPrice(wishes, facts);
    // A filter's side effects do not rise with its stops.
    if (rising - weights.filter * filter.cast >= beat) return;
    let bound =
      rising +
      weights.glare * filter.glare +
      filterPrice(wishes, filter) +
      lessBehindGlass(weights, facts) +
      whiteNailedPrice(wishes, facts);
    // What a running shutter drifts follows from the glass alone: its ISO starts at the lowest.
    if (shutter.spanStops > 0 && bound < beat)
      bound += weights.drift * drift.loss(held(facts, actual)) - free;
    if (bound < beat) beat = visit(filter, beat);
  }
}

/** The same in the light with its spread, with ISO held: of what drifts, the shutter's part. */
function held(facts: ExposureFacts, light: ExposureFacts['light']): ExposureFacts {
  return { ...facts, light, iso: { ...facts.iso, spanStops: 0 } };
}

/**
 * What no shutter of a list, filter and ISO window loses less than: the dark end under the longest shutter, bare and at
 * the highest ISO, and the bright end under the shortest, behind the strongest filter and at the lowest. Grain counted in.
 */
export function leastExposure(
  { school, told, filters }: Space,
  { sensor, isoWindows, grain }: ColourSpace,
  shutters: readonly ShutterSetting[],
): number {
  const [bare, strongest] = [filters[0], filters.at(-1)];
  const reach = shutterReachOf(shutters);
  if (!bare || !strongest || !reach) return grain;
  const iso = reachOf(isoWindows);
  const facts = (shutter: ShutterSetting, filter: FilterSetting): ExposureFacts => ({
    sensor,
    light: told,
    shutter,
    filter,
    iso,
    exposure: expose(sensor, told, shutter, filter.stops, iso),
  });
  const { weights } = school;
  return (
    grain +
    weights.under * under.loss(facts(reach.longest, bare)) +
    lessBehindGlass(weights, facts(reach.shortest, strongest))
  );
}

const shutterReaches = new WeakMap<
  readonly ShutterSetting[],
  { longest: ShutterSetting; shortest: ShutterSetting }
>();

/** The longest and the shortest time of any shutter of a list. */
function shutterReachOf(
  shutters: readonly ShutterSetting[],
): { longest: ShutterSetting; shortest: ShutterSetting } | null {
  const known = shutterReaches.get(shutters);
  if (known || shutters.length === 0) return known ?? null;
  const longest = Math.max(...shutters.map(({ longestSeconds }) => longestSeconds));
  const shortest = Math.min(...shutters.map(({ shortestSeconds }) => shortestSeconds));
  const reach = {
    longest: shutterSetting(longest, longest),
    shortest: shutterSetting(shortest, shortest),
  };
  shutterReaches.set(shutters, reach);
  return reach;
}

const reaches = new WeakMap<readonly IsoWindow[], IsoWindow>();

/** From the lowest ISO of any window to the highest. */
function reachOf(windows: readonly IsoWindow[]): IsoWindow {
  let reach = reaches.get(windows);
  if (!reach) {
    reach = isoWindow(Math.min(...windows.map(({ min }) => min)), Math.max(...windows.map(({ max }) => max)));
    reaches.set(windows, reach);
  }
  return reach;
}

/** The ISO window with the least loss under one shutter and filter, if it is below `beat`. */
function bestIso(
  { light, school }: Space,
  { sensor }: ColourSpace,
  shutter: ShutterSetting,
  filter: FilterSetting,
  windows: readonly IsoWindow[],
  beat: number,
): ExposurePlan | null {
  const { weights, wishes } = school;
  const outside = heldPrice(wishes, shutter) + filterPrice(wishes, filter);
  let best: ExposurePlan | null = null;
  let least = beat;
  for (const iso of windows) {
    const prices = outside + isoSpanPrice(wishes, iso) + isoMaxPrice(wishes, iso);
    if (prices >= least) continue;
    const exposure = expose(sensor, light, shutter, filter.stops, iso);
    const facts: ExposureFacts = { sensor, light, shutter, filter, iso, exposure };
    const nailed = whiteNailedPrice(wishes, facts) + darkNailedPrice(wishes, facts);
    const loss = exposureSum(weights, facts, prices + nailed, least);
    if (loss >= least) continue;
    least = loss;
    best = { shutter, filter, iso, loss, brightLog: exposure.brightLog, darkLog: exposure.darkLog };
  }
  return best;
}
