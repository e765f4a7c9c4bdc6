import { USUAL_CELL } from '../camera/power';
import type { Gear } from '../records/outing';

/** So many cells like those at hand; what nobody told is the usual. */
export function withCells(own: Gear, count: number): Gear {
  return { ...own, cells: { ...(own.cells ?? USUAL_CELL), count } };
}

export function oneCellMore(own: Gear): Gear {
  return withCells(own, (own.cells ?? USUAL_CELL).count + 1);
}
