import type { Brief } from '../brief/brief';
import { withGlare } from '../loss/glare';
import { workingsOf } from '../search/workings';
import type { FilterSetting } from '../filters/kit';
import { named } from '../units/seededRandom';
import type { SeededRandom } from '../units/seededRandom';
import { LOST_CLIP } from './simulated';
import type { Failure, SimulatedPart } from './simulated';
import { atDelay } from './plan';
import type { PlannedPart } from './plan';
import type { Slip, Unknowns } from './unknowns';
import { outcomeOn } from './filmingOption';
import type { FilmingOption } from './filmingOption';

/** A clip begun late lacks so much of its action (start). */
const LATE_SHARE = 0.4;
/** Behind a drop on the lens a picture loses this (start). */
const WET_LOSS = 2;
/** So late, minutes, a shot's moment is gone (start): the others went on; and its sun, where its bright end fell by this. */
const LATE_MINUTES = 45;
const SUN_GONE_STOPS = 1.5;
/** Cloud of an hour goes with that of the hour before (start). */
const CLOUD_CARRIED = 0.7;
const HOUR_MS = 3_600_000;

const DAY_LIGHT = named('light of the day');
const CLOUD = named('cloud');

/** A day as it is drawn, on which parts are filmed. */
export interface DrawnDay {
  drawn: SeededRandom;
  unknowns: Unknowns;
  /** Warmer than told, in spreads. */
  air: number;
  fromMs: number;
  /** Whether a person slips so, by the name of the time that it could happen. */
  slips: (slip: Slip, name: number) => boolean;
}

/** What each camera wears, by its id: a change that was forgotten stays forgotten until the next. */
export type Worn = Map<string, FilterSetting>;

/** By the chances of the unknowns. */
export function byChance(drawn: SeededRandom, { slips }: Unknowns): DrawnDay['slips'] {
  return (slip, name) => slips[slip] > 0 && drawn.even(name) < slips[slip];
}

/** When a person could slip before a part, each by its name. */
export function timesToSlip({ option, changesFrom, otherOption, wet, names }: PlannedPart): [Slip, number][] {
  if (!option) return [];
  const times: [Slip, number][] = [['startedLate', names.start]];
  if (changesFrom) times.push(['forgottenFilter', names.filter]);
  if (otherOption) times.push(['wrongSetup', names.setup]);
  if (wet) times.push(['wetLens', names.lens]);
  return times;
}

/** A part as it came out, its card, cell and warmth aside. */
export function filmed(planned: PlannedPart, delayMs: number, worn: Worn, day: DrawnDay): SimulatedPart {
  const { drawn, unknowns, air } = day;
  const { part, option, light, names } = planned;
  const happened = timesToSlip(planned).flatMap(([slip, name]) => (day.slips(slip, name) ? [slip] : []));
  const cloud = cloudAt(drawn, (part.fromMs + delayMs - day.fromMs) / HOUR_MS);
  const cloudStops = unknowns.cloudTimes * atDelay(light.cloudStops, delayMs, light.stepMs);
  const ownLight = drawn.normal(names.light);
  const dayLight = drawn.normal(DAY_LIGHT);
  const offStops =
    unknowns.dayLightStops * dayLight +
    unknowns.lightTimes * planned.lightSpread * ownLight +
    cloudStops * cloud;
  const evMin = atDelay(light.evMin, delayMs, light.stepMs) + offStops;
  const evMax = atDelay(light.evMax, delayMs, light.stepMs) + offStops;
  const conditions = {
    evMin,
    evMax,
    shake: drawn.normal(planned.shakeName) * spreadOr(unknowns.shake, planned.shakeSpread),
    speed: drawn.normal(names.speed) * unknowns.speed,
  };
  const failed = new Set<Failure>();
  let loss = 0;
  if (option) {
    const on = wornBy(planned, option, happened.includes('forgottenFilter'), worn);
    worn.set(part.camera.id, on);
    const used = happened.includes('wrongSetup') ? (planned.otherOption ?? option) : option;
    const outcome = outcomeOn(used, conditions, on === option.filter ? on : beforeFrame(part.brief, on));
    loss = outcome.loss;
    for (const code of ['over', 'under', 'smear'] as const) if (outcome[code]) failed.add(code);
  }
  if (happened.includes('startedLate')) {
    failed.add('late');
    loss += LATE_SHARE * LOST_CLIP;
  }
  if (happened.includes('wetLens')) loss += WET_LOSS;
  const fell = (light.evMax[0] ?? evMax) - atDelay(light.evMax, delayMs, light.stepMs);
  if (delayMs > LATE_MINUTES * 60_000 || fell > SUN_GONE_STOPS) failed.add('late');
  return {
    id: part.id,
    delayMs,
    evMin,
    evMax,
    failed,
    slips: happened,
    loss,
    inputs: {
      light: offStops - cloudStops * cloud,
      cloud: cloudStops * cloud,
      shake: conditions.shake,
      speed: conditions.speed,
      late: delayMs,
      air,
      power: drawn.normal(named(`power ${part.camera.id}`)),
      heat: drawn.normal(named(`heat ${part.camera.id}`)),
      bitRate: drawn.normal(named(`bits ${part.camera.id}`)),
      slips: happened.length,
    },
  };
}

/** A filter that was meant for another frame, with what mirrors in this one. */
function beforeFrame(brief: Brief, glass: FilterSetting): FilterSetting {
  const [seen = glass] = withGlare([glass], brief.filters, workingsOf(brief).glare);
  return seen;
}

/** Its own filter, or what was left on: by a change forgotten now, or before where none is planned since. */
function wornBy(
  { part, changesFrom }: PlannedPart,
  option: FilmingOption,
  forgot: boolean,
  worn: Worn,
): FilterSetting {
  const left = worn.get(part.camera.id) ?? changesFrom ?? option.filter;
  const stays = changesFrom === null || forgot;
  return stays && left.ids.join() !== option.filter.ids.join() ? left : option.filter;
}

/** What was learned of a spread goes before the usual one; where nothing is unknown, nothing is. */
export function spreadOr(usual: number, learned: number | null): number {
  return usual === 0 ? 0 : (learned ?? usual);
}

/** What cloud of an hour leaves of the light, in spreads of its forecast: each hour goes on from the one before. */
export function cloudAt(drawn: SeededRandom, hour: number): number {
  const whole = Math.max(0, Math.min(47, Math.floor(hour)));
  let cloud = drawn.normal(CLOUD);
  const fresh = Math.sqrt(1 - CLOUD_CARRIED ** 2);
  for (let at = 1; at <= whole; at++) cloud = CLOUD_CARRIED * cloud + fresh * drawn.normal(CLOUD + at);
  return cloud;
}
