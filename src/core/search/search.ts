import type { FilterSetting } from '../filters/kit';
import type { Candidate } from './candidate';
import { bestFilter, leastExposure, runningPlans } from './exposurePlans';
import type { ExposurePlan } from './exposurePlans';
import { frameOf, sharedFrames } from './frames';
import type { RateSearch, BoundedGroups, Group, Kindest, SharedFrames } from './frames';
import type { Weights } from '../loss/table';
import { movedScore } from './moved';
import type { ColourSpace, Space } from './space';

/**
 * The least loss of a space, exactly, without visiting most of it. In each colour the score splits in three:
 *
 *   score = M(colour, mode, encoding) + S(motion group, shutter used) + E(colour, shutter, filter, ISO)
 *
 * each with the prices of the wishes that it alone breaks. Modes of one motion group differ only in M, so the best of
 * each stands for all. E knows nothing of the mode, so for each fixed shutter the best filter and ISO are found once; for
 * an automatic one, once per filter, since the filter decides which shutter is used. Since S ≥ 0, M + E is a bound, and so
 * is M with the least that any shutter of a frame rate makes of the light: rates, groups and exposures are left as soon as
 * their bound passes the best so far; and what one colour reached bounds the next.
 */
export interface BestCandidate {
  candidate: Candidate;
  score: number;
}

interface Best {
  colour: ColourSpace;
  group: Group;
  plan: ExposurePlan;
  score: number;
}

/** The best candidate; `null` for an empty space. Ties go to the earlier mode and the wider ISO window. */
export function search(space: Space, shared?: SharedFrames): BestCandidate | null {
  const best = bestIn(space, shared ?? sharedFrames(space), Infinity);
  return best && foundOf(best);
}

/** The best candidate, if it loses less than this; most of what does not is never looked at. */
export function searchBelow(space: Space, limit: number): BestCandidate | null {
  const best = bestIn(space, sharedFrames(space), limit);
  return best && foundOf(best);
}

/**
 * The best that scores below a limit. Fixed shutters first: few, and their best rules out most of the automatic ones
 * unseen.
 */
function bestIn(whole: Space, shared: SharedFrames, limit: number): Best | null {
  const space = { ...whole, filters: undominated(whole.filters, whole.school.weights) };
  const places = placesOf(space, shared.families);
  let best: Best | null = null;
  for (const bestOf of [bestHeld, bestRunning])
    for (const { family, colour, beside, plans } of places) {
      const beat: number = best?.score ?? limit;
      if (family.loss + beside >= beat) break;
      const frame = frameOf(space, shared, family, colour, beat - beside);
      if (frame && frame.least + beside < beat) best = bestOf(space, colour, frame, plans, best, limit);
    }
  return best;
}

/** A frame rate in one colour. */
interface Place {
  family: RateSearch;
  colour: ColourSpace;
  /** What the colour loses, and its shutters lose of the light, at the very least. */
  beside: number;
  plans: Plans;
}

/** Every frame rate in every colour, the one that may lose least first. */
function placesOf(space: Space, families: readonly RateSearch[]): Place[] {
  return space.colours
    .flatMap((colour) => {
      const plans: Plans = { fixed: new Map(), running: new Map() };
      return families.map((family): Place => {
        const beside = colour.loss + leastExposure(space, colour, family.shutters);
        return { family, colour, beside, plans };
      });
    })
    .sort((a, b) => a.family.loss + a.beside - b.family.loss - b.beside);
}

/** Exposures of one colour by longest shutter, each looked for once, below the limit that mattered then. */
interface Plans {
  fixed: Map<number, { below: number; plan: ExposurePlan | null }>;
  running: Map<number, { below: number; plans: readonly ExposurePlan[] }>;
}

function foundOf({ colour, group, plan, score }: Best): BestCandidate {
  const { mode, encoding } = group;
  const { shutter, filter, iso } = plan;
  return { candidate: { mode, encoding, colour, shutter, filter, iso }, score };
}

/** Of filters that take the same stops only the one that loses least can win: a variable one set to 3 stops, or ND8. */
function undominated(filters: readonly FilterSetting[], weights: Weights): readonly FilterSetting[] {
  const beside = ({ cast, glare }: FilterSetting): number => weights.filter * cast + weights.glare * glare;
  const least = new Map<number, FilterSetting>();
  for (const filter of filters) {
    const known = least.get(filter.stops);
    if (!known || beside(filter) < beside(known)) least.set(filter.stops, filter);
  }
  return filters.filter((filter) => least.get(filter.stops) === filter);
}

/** The best of a frame under a fixed shutter, or `sofar` where that is at least as good. */
function bestHeld(
  space: Space,
  colour: ColourSpace,
  frame: BoundedGroups,
  plans: Plans,
  sofar: Best | null,
  limit: number,
): Best | null {
  const least = frame.least + colour.loss;
  let best = sofar;
  for (const { shutter, moved } of frame.held) {
    const below: number = (best?.score ?? limit) - least - moved;
    if (below <= colour.grain) break;
    let known = plans.fixed.get(shutter.longestSeconds);
    if (!known || (!known.plan && known.below < below)) {
      known = { below, plan: bestFilter(space, colour, shutter, below) };
      plans.fixed.set(shutter.longestSeconds, known);
    }
    const { plan } = known;
    if (plan) best = bestGroup(space, colour, frame, plan, plan.loss + moved, best, limit);
  }
  return best;
}

/** The same under an automatic shutter. */
function bestRunning(
  space: Space,
  colour: ColourSpace,
  frame: BoundedGroups,
  plans: Plans,
  sofar: Best | null,
  limit: number,
): Best | null {
  const least = frame.least + colour.loss;
  let best = sofar;
  for (const shutter of frame.running) {
    const below: number = (best?.score ?? limit) - least;
    let known = plans.running.get(shutter.longestSeconds);
    if (!known || known.below < below) {
      known = { below, plans: runningPlans(space, colour, shutter, below) };
      plans.running.set(shutter.longestSeconds, known);
    }
    for (const plan of known.plans) {
      if (least + plan.loss >= (best?.score ?? limit)) continue;
      const bound = plan.loss + shutterScore(space, frame.kindest, plan);
      best = bestGroup(space, colour, frame, plan, bound, best, limit);
    }
  }
  return best;
}

/** The best group under one exposure, `bound` being what none of them undercuts beside its M. */
function bestGroup(
  space: Space,
  colour: ColourSpace,
  { groups }: BoundedGroups,
  plan: ExposurePlan,
  bound: number,
  sofar: Best | null,
  limit: number,
): Best | null {
  let best = sofar;
  for (const group of groups) {
    const beat = best?.score ?? limit;
    const framed = group.loss + colour.loss;
    if (framed + bound >= beat) break;
    const score =
      framed + plan.loss + shutterScore(space, { figures: group.figures, aim: space.school.aim }, plan);
    if (score < beat) best = { colour, group, plan, score };
  }
  return best;
}

function shutterScore({ school, light }: Space, { figures, aim }: Kindest, plan: ExposurePlan): number {
  const { brightLog, darkLog, shutter } = plan;
  const { darkWeight } = light;
  const { longestLog } = shutter;
  return movedScore(school, { figures, aim, brightLog, darkLog, darkWeight, longestLog }, shutter);
}
