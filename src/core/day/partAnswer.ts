import { filterSettings } from '../filters/kit';
import { kelvinOf } from '../light/kelvin';
import { lightRangeOf } from '../light/lightRange';
import type { Brief } from '../brief/brief';
import type { Pins, Settings } from '../records/settings';
import { timeLapsePlan, usualTimeLapse } from '../timeLapse/timeLapsePlan';
import type { TimeLapsePlan } from '../timeLapse/timeLapsePlan';
import { SCHOOLS } from '../loss/schools';
import { sharedFrames } from '../search/frames';
import { search } from '../search/search';
import type { Found } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';
import { underPins } from '../search/workings';
import type { DayPart } from './schedule';

/** How one part of a day is filmed, and what it loses. */
export interface PartAnswer {
  settings: Settings;
  loss: number;
  /** Of a time-lapse: a picture every so many seconds. */
  intervalSeconds: number | null;
}

/** A part ready to be asked again and again: what may be chosen for it is worked out once. */
export interface PartSpace {
  part: DayPart;
  /** `null` where the brief has no answer, or is a time-lapse. */
  space: Space | null;
  /** The filters it may wear, each by the ids of its glasses: "" for none. */
  filterKeys: readonly string[];
}

/** A shot that carries a time-lapse is one. */
export function isTimeLapse({ shot }: Pick<DayPart, 'shot'>): boolean {
  return shot.timeLapse !== undefined;
}

export function filterKey(filter: { ids: readonly string[] }): string {
  return filter.ids.join('+');
}

export function partSpace(part: DayPart): PartSpace {
  const { brief } = part;
  if (isTimeLapse(part)) {
    const held = brief.pins.filter;
    const keys = [...new Set(filterSettings(brief.filters).map(filterKey))];
    return { part, space: null, filterKeys: held ? [filterKey(held)] : keys };
  }
  const made = spaceFor(brief, SCHOOLS[brief.look.school]);
  if (!made.ok) return { part, space: null, filterKeys: [] };
  return {
    part,
    space: made.space,
    filterKeys: [...new Set(made.space.filters.map((filter) => filterKey(filter)))],
  };
}

/** The best answer of a part under each filter it may wear; a filter without an answer is left out. */
export function answersByFilter({ part, space, filterKeys }: PartSpace): Map<string, PartAnswer> {
  const answers = new Map<string, PartAnswer>();
  const put = (key: string, answer: PartAnswer | null): void => {
    if (answer) answers.set(key, answer);
  };
  if (isTimeLapse(part)) for (const key of filterKeys) put(key, timeLapseAnswer(part.brief, key));
  else if (space) {
    const shared = sharedFrames(space);
    for (const key of filterKeys) {
      const filters = space.filters.filter((filter) => filterKey(filter) === key);
      put(key, answerOf(space, search({ ...space, filters }, shared)));
    }
  }
  return answers;
}

function answerOf(space: Space, found: Found | null): PartAnswer | null {
  return found && { settings: settingsOf(space, found.candidate), loss: found.score, intervalSeconds: null };
}

/** The best answer with these pins beside the part's own; a pin that says otherwise leaves none. */
export function answerPinned({ part }: PartSpace, wanted: Pins): PartAnswer | null {
  if (isTimeLapse(part)) return null;
  const { brief } = part;
  const own = brief.pins;
  for (const key of Object.keys(wanted) as (keyof Pins)[])
    if (
      key !== 'filter' &&
      own[key] !== undefined &&
      JSON.stringify(own[key]) !== JSON.stringify(wanted[key])
    )
      return null;
  const made = spaceFor(underPins(brief, { ...own, ...wanted }), SCHOOLS[brief.look.school]);
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) return null;
  return answerOf(made.space, found);
}

/** What of the light a time-lapse loses counts as it does elsewhere: a stop of white sky more than one of shade. */
const TIME_LAPSE_OVER_LOSS = 1.5;
const TIME_LAPSE_UNDER_LOSS = 1;

function timeLapseAnswer(brief: Brief, key: string): PartAnswer | null {
  const filters = filterSettings(brief.filters).filter((filter) => filterKey(filter) === key);
  const plan = timeLapsePlan(brief, usualTimeLapse(brief), filters);
  return plan && timeLapseOf(plan, brief);
}

function timeLapseOf(plan: TimeLapsePlan, { light, limits }: Brief): PartAnswer {
  const { mode, filter, shutterSeconds, shutterAngleDeg } = plan;
  const encoding = mode.encodings.reduce((best, one) => (one.bitRateMbps > best.bitRateMbps ? one : best));
  return {
    loss: plan.overStops * TIME_LAPSE_OVER_LOSS + plan.underStops * TIME_LAPSE_UNDER_LOSS,
    intervalSeconds: plan.intervalSeconds,
    settings: {
      frameRate: mode.frameRate,
      shutterSeconds: Math.min(60, shutterSeconds),
      shutterAngleDeg: Math.min(360, shutterAngleDeg),
      shutterMode: 'fixed',
      filter: { ids: [...filter.ids], stops: filter.stops },
      iso: { min: plan.iso, max: plan.iso },
      resolution: { width: mode.resolution.width, height: mode.resolution.height },
      view: { id: mode.view.id, horizontalDeg: mode.view.horizontalDeg },
      bitRateMbps: encoding.bitRateMbps,
      codec: encoding.codec,
      bitDepth: encoding.bitDepth,
      recording: mode.recording,
      stabilization: mode.stabilization,
      // Pictures of one film may not change colour between them.
      whiteBalance: kelvinOf(light, lightRangeOf(light, limits), limits.lamps),
      colour: 'standard',
      exposureOffsetStops: 0,
      sharpening: 'standard',
      noiseReduction: 'standard',
    },
  };
}
