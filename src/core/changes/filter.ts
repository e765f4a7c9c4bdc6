import { USUAL_FILTERS } from '../brief/usual';
import { camerasOf, partsOfCamera } from '../day/schedule';
import type { DayPart } from '../day/schedule';
import { takesFilters, wearable, withFilters } from '../filters/bag';
import { stopsRange } from '../filters/kit';
import type { Filter } from '../filters/kit';
import { schoolOf } from '../loss/schools';
import { isTimeLapse } from '../records/filmedAs';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import { changesOfParts } from './shots';
import type { ShotChanges } from './shots';

/** A glass more in the bag of a camera. */
export interface FilterChange {
  what: 'filter';
  cameraId: string;
  filter: Filter;
}

/** What is sold everywhere and not in a camera's bag, where it would be worn; a camera without any takes none. */
export function filtersWorn(parts: readonly DayPart[]): FilterChange[] {
  return camerasOf(parts).flatMap(({ id }) => {
    const wanted = new Map<string, Filter>();
    for (const { brief } of partsOfCamera(parts, id).filter(wearsFilters)) {
      const more = USUAL_FILTERS.filter((one) => brief.filters.every((has) => has.id !== one.id));
      const made = spaceFor(withFilters(brief, more), schoolOf(brief.look));
      const worn = made.ok ? (search(made.space)?.candidate.filter.ids ?? []) : [];
      for (const one of more) if (worn.includes(one.id)) wanted.set(one.id, one);
    }
    return [...wanted.values()].map((filter): FilterChange => ({ what: 'filter', cameraId: id, filter }));
  });
}

/** Neutral filters that are offered, stops: two to two hundred and fifty-six times darker. */
const STOPS = [1, 2, 3, 4, 5, 6, 7, 8];
/** A filter as strong as one at hand, within so many stops, is none more. */
const SAME_STOPS = 0.4;

/** Every strength that is not at hand, for each camera that takes a filter. */
export function strengthsNotAtHand(parts: readonly DayPart[]): FilterChange[] {
  return camerasOf(parts).flatMap((camera) => {
    if (!takesFilters(camera)) return [];
    const { id: cameraId } = camera;
    const bags = partsOfCamera(parts, cameraId).map(({ brief }) => brief.filters);
    return STOPS.filter((stops) => bags.some((bag) => !bag.some((one) => covers(one, stops)))).map(
      (stops): FilterChange => ({
        what: 'filter',
        cameraId,
        filter: { id: `nd${2 ** stops}`, kind: 'nd', stops },
      }),
    );
  });
}

function covers(filter: Filter, stops: number): boolean {
  if (filter.kind !== 'nd' && filter.kind !== 'variable') return false;
  const { min, max } = stopsRange(filter);
  return stops >= min - SAME_STOPS && stops <= max + SAME_STOPS;
}

function wearsFilters({ brief, shot }: DayPart): boolean {
  return wearable(brief).length > 0 && !isTimeLapse(shot);
}

export function withFilter(parts: readonly DayPart[], change: FilterChange): DayPart[] {
  const { filter } = change;
  return parts.map((part) =>
    isPutIn(part, change)
      ? {
          ...part,
          shot: { ...part.shot, filters: [...(part.shot.filters ?? part.brief.filters), filter] },
          brief: withFilters(part.brief, [filter]),
        }
      : part,
  );
}

function isPutIn(part: DayPart, { cameraId, filter }: FilterChange): boolean {
  return (
    part.camera.id === cameraId &&
    wearsFilters(part) &&
    part.brief.filters.every(({ id }) => id !== filter.id)
  );
}

/** The shots that this camera films, each with the glass in its bag. */
export function filterTaken(parts: readonly DayPart[], change: FilterChange): ShotChanges {
  const own = parts.filter((part) => isPutIn(part, change));
  return changesOfParts(own, (shot, { brief }) => {
    const bag = shot.filters ?? [...brief.filters];
    return bag.some(({ id }) => id === change.filter.id)
      ? shot
      : { ...shot, filters: [...bag, change.filter] };
  });
}
