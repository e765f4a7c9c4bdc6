import { withFilters } from '../filters/bag';
import type { Filter } from '../filters/kit';
import type { Solution } from '../answer/solve';
import { changesFrom, judgedBy } from '../search/judged';
import type { TermChange } from '../search/judged';

/** A filter of the kit that the bag leaves at home, and what the shot would win and lose with it. */
export interface FromKit {
  filter: Filter;
  score: number;
  gains: TermChange[];
  costs: TermChange[];
}

/** Loss that another filter must take away to be worth fetching: half of just noticeable (start). */
const WORTH_FETCHING = 0.5;
/** How many to tell. */
const MOST = 3;

/**
 * Where the answer is warned of or a wish of the school yields: the filters with which the shot loses least, the best
 * first. Pins stay.
 */
export function fromKit({ space, loss, score, warnings }: Solution, owned: readonly Filter[]): FromKit[] {
  const wanting =
    loss.wish > 0 || warnings.some(({ code, severity }) => code !== 'safety' && severity !== 'note');
  if (!wanting) return [];
  const { brief, school } = space;
  // Rings of several sizes hold the same glass.
  const glass = new Map(owned.map(({ id, ...filter }) => [JSON.stringify(filter), { id, ...filter }]));
  return [...glass.values()]
    .filter(({ id }) => brief.filters.every((one) => one.id !== id))
    .flatMap((filter): FromKit[] => {
      const judged = judgedBy(space, withFilters(brief, [filter]), school.id);
      if (!judged || judged.score > score - WORTH_FETCHING) return [];
      return [{ filter, score: judged.score, ...changesFrom(space, loss, judged.loss) }];
    })
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST);
}
