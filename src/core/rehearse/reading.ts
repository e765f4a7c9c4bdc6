import { filterKey } from '../day/partAnswer';
import type { FilterSetting } from '../filters/kit';
import { item } from '../units/items';
import type { PlannedPart } from './plan';
import type { Unknowns } from './unknowns';
import { outcomeOn } from './filmingOption';
import type { FilmingOption } from './filmingOption';

/** What a reading of the light before the run is worth. */
export interface ReadingWorth {
  /** How often it would change what is set, share. */
  changes: number;
  /** How often it would change the filter among it, share. */
  changesFilter: number;
  /** Loss that it saves on the mean; never below 0. */
  savesLoss: number;
  /** Which filter serves best by what is read at the bright end, EV100, the darkest first. */
  bands: readonly ReadingBand[];
}

/** `null`: and all that is darker, or brighter. */
export interface ReadingBand {
  fromEv: number | null;
  toEv: number | null;
  filter: FilterSetting;
}

const NOTHING: ReadingWorth = { changes: 0, changesFilter: 0, savesLoss: 0, bands: [] };
/** A band that is read less often is not told, share. */
const BAND_FROM = 0.05;

/** How far a reading is off, one standard deviation, stops (start): by its picture's tone. */
const READING_ERROR_STOPS = 0.2;
/** Stops of the grid, and how far it goes, in spreads. */
const POINTS = 81;
const REACH = 5;

/** What a reading before a part is worth, with these other ways of filming it. */
export function readingBefore(
  { option, light, lightSpread }: PlannedPart,
  others: readonly FilmingOption[],
  unknowns: Unknowns,
): ReadingWorth {
  if (!option) return NOTHING;
  const spread = Math.hypot(
    unknowns.dayLightStops,
    unknowns.lightTimes * lightSpread,
    unknowns.cloudTimes * item(light.cloudStops, 0),
  );
  const here = { evMin: item(light.evMin, 0), evMax: item(light.evMax, 0) };
  return worthOfReading([option, ...others], here, spread);
}

/**
 * Expected value of sample information of one reading, Raiffa & Schlaifer 1961, ch. 5: light normal about the likely, the
 * reading normal about the light. Without it one way must serve all light; with it the best for what was read is taken. By
 * sums over a grid, no draws: it cannot come out negative.
 */
export function worthOfReading(
  options: readonly FilmingOption[],
  { evMin, evMax }: { evMin: number; evMax: number },
  spreadStops: number,
): ReadingWorth {
  if (spreadStops <= 0 || options.length < 2) return NOTHING;
  const step = (2 * REACH * spreadStops) / (POINTS - 1);
  const offs = Array.from({ length: POINTS }, (_, at) => -REACH * spreadStops + at * step);
  const left = Math.sqrt(1 / (1 / spreadStops ** 2 + 1 / READING_ERROR_STOPS ** 2));
  const told = Math.sqrt(spreadStops ** 2 - left ** 2);
  const losses = options.map((option) =>
    offs.map((off) => outcomeOn(option, { evMin: evMin + off, evMax: evMax + off, shake: 0, speed: 0 }).loss),
  );
  const after = losses.map((own) => offs.map((middle) => meanAbout(own, offs, middle, left)));
  const weights = offs.map((middle) => Math.exp(-0.5 * (middle / told) ** 2));
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const means = after.map((own) => own.reduce((sum, loss, at) => sum + loss * (weights[at] ?? 0), 0) / whole);
  const best = means.indexOf(Math.min(...means));
  const bestKey = filterKey(item(options, best).filter);
  let [changes, changesFilter, saves] = [0, 0, 0];
  const taken = weights.map((weight, at): FilterSetting => {
    const here = after.map((own) => own[at] ?? 0);
    const least = Math.min(...here);
    const before = here[best] ?? least;
    const { filter } = item(options, least < before ? here.indexOf(least) : best);
    if (least < before) changes += weight;
    if (filterKey(filter) !== bestKey) changesFilter += weight;
    saves += weight * (before - least);
    return filter;
  });
  const bands = bandsOf(
    taken,
    weights.map((weight) => weight / whole),
    offs.map((off) => evMax + off),
    step,
  );
  return { changes: changes / whole, changesFilter: changesFilter / whole, savesLoss: saves / whole, bands };
}

/** Neighbours under one filter as one band; what is hardly ever read goes with the band before it. */
function bandsOf(
  filters: readonly FilterSetting[],
  weights: readonly number[],
  evs: readonly number[],
  step: number,
): ReadingBand[] {
  const runs: { filter: FilterSetting; weight: number; fromEv: number }[] = [];
  filters.forEach((filter, at) => {
    const last = runs.at(-1);
    const weight = item(weights, at);
    if (last && filterKey(last.filter) === filterKey(filter)) last.weight += weight;
    else runs.push({ filter, weight, fromEv: item(evs, at) - step / 2 });
  });
  const told = runs.filter(({ weight }) => weight >= BAND_FROM);
  const bands = told.filter(
    ({ filter }, at) => at === 0 || filterKey(item(told, at - 1).filter) !== filterKey(filter),
  );
  return bands.map(({ filter, fromEv }, at) => ({
    filter,
    fromEv: at === 0 ? null : fromEv,
    toEv: bands[at + 1]?.fromEv ?? null,
  }));
}

/** Mean of a tabled loss about a middle, known to within a spread. */
function meanAbout(
  values: readonly number[],
  places: readonly number[],
  middle: number,
  spread: number,
): number {
  let [sum, whole] = [0, 0];
  places.forEach((place, at) => {
    const weight = Math.exp(-0.5 * ((place - middle) / spread) ** 2);
    sum += weight * (values[at] ?? 0);
    whole += weight;
  });
  return sum / whole;
}
