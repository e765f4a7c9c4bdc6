import { sourced } from '../units/estimate';
import { takesFilters, withFilters } from '../filters/bag';
import type { Brief } from '../brief/brief';
import { schoolOf } from '../loss/schools';
import type { School } from '../loss/schools';
import type { WishCode, Yielded } from '../loss/wishes';
import { exposureOf, yieldedIn } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';

/** A wish that yielded, with what keeping it would have meant: found by solving once more with the wish above all else. */
export interface YieldedWish extends Yielded {
  /** What the best that keeps it scores above the answer; `null` where nothing keeps it. */
  keepingCosts: number | null;
  /** What of the light would then be white past the guard, and dark, stops. */
  whiteStops: number;
  darkStops: number;
  /** One neutral filter that, in the bag, would let the wish stand, stops; `null` where none up to ten does. */
  filterStops: number | null;
}

/** A price that nothing on the scale of losses reaches. */
const ABOVE_ALL = 1000;
const STRONGEST_FILTER_STOPS = 10;
/** Stops that do not matter between one filter and the next. */
const SAME_STOPS = 0.05;

/** The wishes that the answer breaks, those held broken by a pin left out. */
export function yieldedWishes(space: Space, answer: Candidate, score: number): YieldedWish[] {
  return yieldedIn(space, answer)
    .filter(({ wish }) => !isPinned(space, wish))
    .map((yielded) => {
      const kept = bestKeeping(space, yielded.wish);
      const exposure = kept && exposureOf(space, kept.candidate);
      const whiteStops =
        kept && exposure ? Math.max(0, exposure.overStops - kept.candidate.colour.sensor.guardStops) : 0;
      return {
        ...yielded,
        keepingCosts: kept && Math.max(0, kept.score - score),
        whiteStops,
        darkStops: exposure?.underStops ?? 0,
        filterStops:
          kept && whiteStops > SAME_STOPS
            ? filterThatKeeps(space, yielded.wish, kept.candidate.filter.stops + whiteStops)
            : null,
      };
    });
}

/** The best choice that keeps a wish, and its true score; `null` where nothing does. */
function bestKeeping(space: Space, wish: WishCode): { candidate: Candidate; score: number } | null {
  const found = search({ ...space, school: insistingOn(space.school, wish) });
  if (!found) return null;
  const broken = yieldedIn(space, found.candidate).find((one) => one.wish === wish);
  return broken ? null : found;
}

function insistingOn(school: School, wish: WishCode): School {
  const held = school.wishes[wish];
  if (!held) return school;
  const price = sourced(ABOVE_ALL, held.price.because);
  return { ...school, wishes: { ...school.wishes, [wish]: { ...held, price } } };
}

/** The weakest whole number of stops, from what is missing on, with which the school keeps its wish by itself. */
function filterThatKeeps({ brief, school }: Space, wish: WishCode, fromStops: number): number | null {
  if (brief.pins.filter || !takesFilters(brief.camera)) return null;
  const first = Math.ceil(fromStops - SAME_STOPS);
  for (const stops of [first, first + 1]) {
    if (stops > STRONGEST_FILTER_STOPS) return null;
    const made = spaceFor(
      withFilters(brief, [{ id: 'added', kind: 'nd', stops }]),
      schoolOf(brief.look, school.id),
    );
    const found = made.ok ? search(made.space) : null;
    if (made.ok && found && !yieldedIn(made.space, found.candidate).some((one) => one.wish === wish))
      return stops;
  }
  return null;
}

function isPinned({ brief: { pins } }: { brief: Pick<Brief, 'pins'> }, wish: WishCode): boolean {
  switch (wish) {
    case 'stabilization':
      return pins.stabilization !== undefined;
    case 'shutterMode':
      return pins.shutterMode !== undefined || pins.shutterFloorSeconds !== undefined;
    case 'lightKept':
      return isPinned({ brief: { pins } }, 'shutterMode') || isPinned({ brief: { pins } }, 'angle');
    case 'angle':
    case 'withinShakeFloor':
      return pins.shutterSeconds !== undefined || pins.shutterAngleDeg !== undefined;
    case 'noFilter':
      return pins.filter !== undefined;
    case 'isoSpan':
    case 'isoMax':
      return pins.iso !== undefined;
  }
}
