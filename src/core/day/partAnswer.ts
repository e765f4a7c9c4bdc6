import { wearable } from '../filters/bag';
import { filterSettings } from '../filters/kit';
import type { Brief } from '../brief/brief';
import type { Pins, Settings } from '../records/settings';
import { isTimeLapse } from '../records/filmedAs';
import { lapseOf } from '../timeLapse/lapseAnswer';
import { schoolOf } from '../loss/schools';
import { sharedFrames } from '../search/frames';
import { search } from '../search/search';
import type { BestCandidate } from '../search/search';
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

export function filterKey(filter: { ids: readonly string[] }): string {
  return filter.ids.join('+');
}

export function partSpace(part: DayPart): PartSpace {
  const { brief } = part;
  if (isTimeLapse(part.shot)) {
    const held = brief.pins.filter;
    const keys = [...new Set(filterSettings(wearable(brief)).map(filterKey))];
    return { part, space: null, filterKeys: held ? [filterKey(held)] : keys };
  }
  const made = spaceFor(brief, schoolOf(brief.look));
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
  if (isTimeLapse(part.shot)) for (const key of filterKeys) put(key, timeLapseAnswer(part.brief, key));
  else if (space) {
    const shared = sharedFrames(space);
    for (const key of filterKeys) {
      const filters = space.filters.filter((filter) => filterKey(filter) === key);
      put(key, answerOf(space, search({ ...space, filters }, shared)));
    }
  }
  return answers;
}

function answerOf(space: Space, found: BestCandidate | null): PartAnswer | null {
  return found && { settings: settingsOf(space, found.candidate), loss: found.score, intervalSeconds: null };
}

/** The best answer with these pins beside the part's own; a pin that says otherwise leaves none. */
export function answerPinned({ part }: PartSpace, wanted: Pins): PartAnswer | null {
  if (isTimeLapse(part.shot)) return null;
  const { brief } = part;
  const own = brief.pins;
  for (const key of Object.keys(wanted) as (keyof Pins)[])
    if (
      key !== 'filter' &&
      own[key] !== undefined &&
      JSON.stringify(own[key]) !== JSON.stringify(wanted[key])
    )
      return null;
  const made = spaceFor(underPins(brief, { ...own, ...wanted }), schoolOf(brief.look));
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) return null;
  return answerOf(made.space, found);
}

function timeLapseAnswer(brief: Brief, key: string): PartAnswer | null {
  const filters = filterSettings(wearable(brief)).filter((filter) => filterKey(filter) === key);
  const lapse = lapseOf(brief, filters);
  return (
    lapse && {
      settings: lapse.settings,
      loss: lapse.loss,
      intervalSeconds: lapse.plan.intervalSeconds,
    }
  );
}
