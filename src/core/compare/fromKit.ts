import type { CameraProfile } from '../camera/profile';
import type { Filter } from '../filters/kit';
import type { Solution } from '../answer/solve';
import { changesFrom, judgedBy } from '../search/judged';
import type { TermChange } from '../search/judged';

/** What a person owns and this shot does not use. */
export interface Owned {
  cameras: readonly CameraProfile[];
  filters: readonly Filter[];
}

/** One thing of the kit that would film the shot better: solved with it, and told with what it wins and loses. */
export interface FromKit {
  thing: { what: 'camera'; camera: CameraProfile } | { what: 'filter'; filter: Filter };
  score: number;
  gains: TermChange[];
  costs: TermChange[];
}

/** Loss that another thing must take away to be worth fetching: half of just noticeable (start). */
const WORTH_FETCHING = 0.5;
/** How many to tell. */
const MOST = 3;

/**
 * Where the answer is warned of or a wish of the school yields: the things with which the shot loses least, the best first.
 * Pins stay, and what cannot keep them is left out.
 */
export function fromKit({ space, loss, score, warnings }: Solution, owned: Owned): FromKit[] {
  const wanting =
    loss.wish > 0 || warnings.some(({ code, severity }) => code !== 'safety' && severity !== 'note');
  if (!wanting) return [];
  const { brief, school } = space;
  const cameras = owned.cameras
    .filter(({ id }) => id !== brief.camera.id)
    .map((camera) => ({ thing: { what: 'camera' as const, camera }, other: { ...brief, camera } }));
  // Rings of several sizes hold the same glass.
  const glass = new Map(
    owned.filters.map(({ id, ...filter }) => [JSON.stringify(filter), { id, ...filter }]),
  );
  const filters = [...glass.values()]
    .filter(({ id }) => brief.filters.every((one) => one.id !== id))
    .map((filter) => ({
      thing: { what: 'filter' as const, filter },
      other: { ...brief, filters: [...brief.filters, filter] },
    }));
  return [...cameras, ...filters]
    .flatMap(({ thing, other }): FromKit[] => {
      const judged = judgedBy(space, other, school.id);
      if (!judged || judged.score > score - WORTH_FETCHING) return [];
      return [{ thing, score: judged.score, ...changesFrom(space, loss, judged.loss) }];
    })
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST);
}
