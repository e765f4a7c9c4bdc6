/**
 * Which filter one camera wears when, with changes only where it can be reached: for every number of changes the least
 * loss there is, exactly, by dynamic programming over (stage, filter, changes). What the first stage wears is put on
 * at home and costs nothing.
 */
export interface FilterChangeStage {
  /** Whether the camera can be touched just before this stage; of the first it does not matter. */
  reachable: boolean;
  /** Loss of the stage under each filter; a filter that it cannot wear is left out. */
  loss: ReadonlyMap<string, number>;
}

/** The best filters for a number of changes. */
interface FilterChangeChoice {
  changes: number;
  loss: number;
  filters: readonly string[];
}

export interface FilterChangePlan {
  chosen: FilterChangeChoice;
  /** For every number of changes that does better than fewer, from none on. */
  prices: readonly FilterChangeChoice[];
}

/** A change is worth its trouble when it saves this much loss: a third of what a viewer just notices (start). */
export const FILTER_CHANGE_LOSS = 0.35;

/** `null`: no row of filters is possible, as when two stages without a break between are pinned to different ones. */
export function planFilterChanges(
  stages: readonly FilterChangeStage[],
  filterChangeLoss = FILTER_CHANGE_LOSS,
): FilterChangePlan | null {
  if (stages.length === 0) return { chosen: NOTHING, prices: [NOTHING] };
  const filters = [...new Set(stages.flatMap(({ loss }) => [...loss.keys()]))].sort();
  const most = stages.slice(1).filter(({ reachable }) => reachable).length;
  const prices: FilterChangeChoice[] = [];
  const best = layersOf(stages, filters, most);
  for (let changes = 0; changes <= most; changes += 1) {
    const choice = best[changes];
    // Within rounding, a change that gains nothing is none.
    if (choice && choice.loss < (prices.at(-1)?.loss ?? Infinity) - 1e-9) prices.push(choice);
  }
  const chosen = prices.reduce<FilterChangeChoice | null>(
    (found, one) =>
      found &&
      found.loss + filterChangeLoss * found.changes <= one.loss + filterChangeLoss * one.changes + 1e-12
        ? found
        : one,
    null,
  );
  return chosen ? { chosen, prices } : null;
}

const NOTHING: FilterChangeChoice = { changes: 0, loss: 0, filters: [] };

/** A way to a stage: the filter worn on it, and the way before it. */
interface Way {
  loss: number;
  filter: number;
  before: Way | null;
}

/** The best way through all stages with exactly each number of changes. */
function layersOf(
  stages: readonly FilterChangeStage[],
  filters: readonly string[],
  most: number,
): (FilterChangeChoice | null)[] {
  let reached: (Way | null)[][] = [];
  stages.forEach(({ reachable, loss }, at) => {
    const next: (Way | null)[][] = Array.from({ length: most + 1 }, () => filters.map(() => null));
    for (let changes = 0; changes <= most; changes += 1) {
      const same = reached[changes];
      // The best way with one change fewer, for a change here from whatever it wore; the second best for its own filter.
      const [first, second] =
        at > 0 && reachable && changes > 0 ? twoBest(reached[changes - 1]) : [null, null];
      filters.forEach((filter, index) => {
        const here = loss.get(filter);
        if (here === undefined) return;
        const stay = at === 0 ? (changes === 0 ? START : null) : (same?.[index] ?? null);
        const change = first && first.filter !== index ? first : second;
        const from = !stay ? change : !change || stay.loss <= change.loss ? stay : change;
        const row = next[changes];
        if (from && row)
          row[index] = { loss: from.loss + here, filter: index, before: from === START ? null : from };
      });
    }
    reached = next;
  });
  return reached.map((row) => {
    const [way] = twoBest(row);
    if (!way) return null;
    const worn: string[] = [];
    for (let one: Way | null = way; one; one = one.before) worn.push(filters[one.filter] ?? '');
    worn.reverse();
    return { changes: changesIn(worn), loss: way.loss, filters: worn };
  });
}

const START: Way = { loss: 0, filter: -1, before: null };

function twoBest(ways: readonly (Way | null)[] | undefined): [Way | null, Way | null] {
  let first: Way | null = null;
  let second: Way | null = null;
  for (const way of ways ?? []) {
    if (!way) continue;
    if (!first || way.loss < first.loss) [first, second] = [way, first];
    else if (!second || way.loss < second.loss) second = way;
  }
  return [first, second];
}

export function changesIn(filters: readonly string[]): number {
  return filters.filter((filter, at) => at > 0 && filter !== filters[at - 1]).length;
}
