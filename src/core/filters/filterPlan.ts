import type { EvWindow } from '../light/exposureValue';
import type { Span } from '../light/sun/day';
import { item, last } from '../units/items';
import type { FilterSetting } from './kit';

/** The light at an instant, EV100: what one setting must hold there, darkest to brightest. */
export interface LightSample {
  atMs: number;
  evMin: number;
  evMax: number;
}

/** A filter's hours, a variable one's at whatever it is best set to: when the light lies inside its window. */
export interface FilterLane {
  ids: readonly string[];
  /** The settings it can be brought to, stops from lightest to darkest. */
  stops: readonly number[];
  /** All of the light inside. */
  fits: Span[];
  /** No more than `NEAR_STOPS` outside at either end. */
  near: Span[];
}

/** One filter from then to then. Margins are the least over the stretch; negative: the light sticks out by so much. */
export interface PlanStretch extends Span {
  filter: FilterSetting;
  marginBrightStops: number;
  marginDarkStops: number;
}

/** A miss that most pictures bear, stops (start). */
const NEAR_STOPS = 1;
/** A white sky is worse than a dark shade: a stop over counts for as much as this many under (start). */
const OVER_COUNTS = 1.5;
/** Less than this outside is not seen, stops. */
const SLACK_STOPS = 0.05;

/** The hours of each filter; `bare` is the window of the setting without any. */
export function lanesOf(
  samples: readonly LightSample[],
  filters: readonly FilterSetting[],
  bare: EvWindow,
): FilterLane[] {
  const byIds = new Map<string, FilterSetting[]>();
  for (const filter of filters)
    byIds.set(filter.ids.join(), [...(byIds.get(filter.ids.join()) ?? []), filter]);
  return [...byIds.values()].map((settings) => {
    const room = (sample: LightSample): number =>
      Math.max(
        ...settings.map(({ stops }) =>
          Math.min(...margins(sample, { evMin: bare.evMin + stops, evMax: bare.evMax + stops })),
        ),
      );
    const where = (slack: number): Span[] => runs(samples, (sample) => room(sample) >= -slack);
    return {
      ids: item(settings, 0).ids,
      stops: settings.map(({ stops }) => stops),
      fits: where(SLACK_STOPS),
      near: where(NEAR_STOPS),
    };
  });
}

/**
 * Which filter when, with the fewest changes: the one that holds longest stays until it no longer does. Where none
 * holds, the one that misses least. `preferred` wins where it holds as long as any. The fewest changes follow from the greedy choice, as in covering a line by intervals.
 */
export function filterPlanOf(
  samples: readonly LightSample[],
  filters: readonly FilterSetting[],
  bare: EvWindow,
  preferred?: FilterSetting,
): PlanStretch[] {
  const margin = (sample: LightSample, filter: FilterSetting): readonly [bright: number, dark: number] =>
    margins(sample, { evMin: bare.evMin + filter.stops, evMax: bare.evMax + filter.stops });
  const holds = (sample: LightSample, filter: FilterSetting): boolean =>
    Math.min(...margin(sample, filter)) >= -SLACK_STOPS;
  const missOf = (sample: LightSample, filter: FilterSetting): number => {
    const [bright, dark] = margin(sample, filter);
    return OVER_COUNTS * Math.max(0, -bright) + Math.max(0, -dark);
  };
  const stretches: PlanStretch[] = [];
  let at = 0;
  while (at < samples.length) {
    const start = item(samples, at);
    const lengths = filters.map((filter) => {
      let end = at;
      while (end < samples.length && holds(item(samples, end), filter)) end += 1;
      return { filter, end };
    });
    // Of those that hold equally long, the one at hand, else the one with the most room at its tighter end.
    const roomOf = (filter: FilterSetting, end: number): number =>
      isSame(filter, preferred)
        ? Infinity
        : Math.min(...samples.slice(at, end).flatMap((sample) => margin(sample, filter)));
    const longest = lengths.reduce((best, one) =>
      one.end > best.end ||
      (one.end === best.end && roomOf(one.filter, one.end) > roomOf(best.filter, best.end))
        ? one
        : best,
    );
    let filter = longest.filter;
    let end = longest.end;
    if (end === at) {
      // None holds here: the least miss stays for as long as none holds and no other misses clearly less.
      const least = (sample: LightSample): FilterSetting =>
        filters.reduce((best, one) => (missOf(sample, one) < missOf(sample, best) - 1e-9 ? one : best));
      filter = least(start);
      while (
        end < samples.length &&
        !filters.some((one) => holds(item(samples, end), one)) &&
        missOf(item(samples, end), filter) - missOf(item(samples, end), least(item(samples, end))) < 0.25
      )
        end += 1;
    }
    const covered = samples.slice(at, Math.max(end, at + 1));
    stretches.push({
      filter,
      fromMs: start.atMs,
      toMs: (samples[end] ?? last(samples)).atMs,
      marginBrightStops: Math.min(...covered.map((sample) => margin(sample, filter)[0])),
      marginDarkStops: Math.min(...covered.map((sample) => margin(sample, filter)[1])),
    });
    at = Math.max(end, at + 1);
  }
  return stretches;
}

function isSame(filter: FilterSetting, other: FilterSetting | undefined): boolean {
  return other !== undefined && filter.ids.join() === other.ids.join() && filter.stops === other.stops;
}

/** Room at the bright and at the dark end, stops. */
function margins({ evMin, evMax }: LightSample, window: EvWindow): readonly [bright: number, dark: number] {
  return [window.evMax - evMax, evMin - window.evMin];
}

function runs(samples: readonly LightSample[], inside: (sample: LightSample) => boolean): Span[] {
  const spans: Span[] = [];
  samples.forEach((sample, at) => {
    if (!inside(sample)) return;
    const last = spans[spans.length - 1];
    const before = samples[at - 1];
    const toMs = samples[at + 1]?.atMs ?? sample.atMs;
    if (last && before && last.toMs >= sample.atMs) last.toMs = toMs;
    else spans.push({ fromMs: sample.atMs, toMs });
  });
  return spans;
}

/** Which way to err from a filter whose margins are these: towards the end with more room. */
export function errTowards({
  marginBrightStops,
  marginDarkStops,
}: Pick<PlanStretch, 'marginBrightStops' | 'marginDarkStops'>): 'lighter' | 'darker' | 'either' {
  const lean = marginBrightStops - marginDarkStops;
  return Math.abs(lean) < 0.5 ? 'either' : lean > 0 ? 'lighter' : 'darker';
}
