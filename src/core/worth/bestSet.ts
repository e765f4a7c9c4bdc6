import { item } from '../units/items';

/** One thing that could be got, at a price; without end: it cannot be. */
export interface Priced {
  price: number;
}

/** What is lost somewhere, and what is lost there with certain things at hand: the least of what they allow. */
export interface Unit {
  /** Without anything more. */
  loss: number;
  /** Things needed together, as bits of their places in the list, and the loss with them. */
  ways: readonly { needs: number; loss: number }[];
}

/** A set of things, as bits of their places, with what it saves over all units and what it costs. */
export interface BestSet {
  things: number;
  saves: number;
  price: number;
}

/** As many things as there are bits to name them by. */
export const MOST_THINGS = 30;

/** Sums of the same losses in another order differ by less. */
const SAME = 1e-9;

/** What a set saves over all units. */
export function savedBy(units: readonly Unit[], things: number): number {
  let saved = 0;
  for (const { loss, ways } of units) {
    let least = loss;
    for (const way of ways) if ((way.needs & ~things) === 0 && way.loss < least) least = way.loss;
    saved += loss - least;
  }
  return saved;
}

/**
 * The set that saves most for no more than the budget; of sets that save the same the cheapest. Exact: branch and bound
 * (Land & Doig 1960) over the things, where a branch is left as soon as every way that it could still pay for, each taken
 * for itself, would not save more than the best so far.
 *
 * @throws RangeError for more than `MOST_THINGS` things
 */
export function bestSet(things: readonly Priced[], units: readonly Unit[], budget: number): BestSet {
  if (things.length > MOST_THINGS) throw new RangeError(`at most ${MOST_THINGS} things`);
  const order = things
    .map((_, at) => at)
    .filter((at) => Number.isFinite(item(things, at).price) && item(things, at).price <= budget)
    .sort((a, b) => savedBy(units, 1 << b) - savedBy(units, 1 << a));
  let best: BestSet = { things: 0, saves: 0, price: 0 };
  const visit = (place: number, taken: number, price: number, open: number): void => {
    const saves = savedBy(units, taken);
    if (saves > best.saves + SAME || (saves > best.saves - SAME && price < best.price - SAME))
      best = { things: taken, saves, price };
    const at = order[place];
    if (at === undefined) return;
    const most = mostSaved(things, units, taken, open, budget - price);
    if (most < best.saves - SAME || (most <= best.saves + SAME && price >= best.price - SAME)) return;
    const bit = 1 << at;
    const own = item(things, at).price;
    if (price + own <= budget + SAME) visit(place + 1, taken | bit, price + own, open & ~bit);
    visit(place + 1, taken, price, open & ~bit);
  };
  visit(
    0,
    0,
    0,
    order.reduce((bits, at) => bits | (1 << at), 0),
  );
  return best;
}

/** No set beyond this one saves more: every unit takes the best way whose missing things what is left would pay for. */
function mostSaved(
  things: readonly Priced[],
  units: readonly Unit[],
  taken: number,
  open: number,
  left: number,
): number {
  let saved = 0;
  for (const { loss, ways } of units) {
    let least = loss;
    for (const way of ways) {
      if (way.loss >= least) continue;
      const missing = way.needs & ~taken;
      if ((missing & ~open) === 0 && priceOf(things, missing) <= left + SAME) least = way.loss;
    }
    saved += loss - least;
  }
  return saved;
}

/** Of a set, as bits. */
export function priceOf(things: readonly Priced[], set: number): number {
  let price = 0;
  for (let bits = set, at = 0; bits !== 0; bits >>>= 1, at++) if (bits & 1) price += item(things, at).price;
  return price;
}
