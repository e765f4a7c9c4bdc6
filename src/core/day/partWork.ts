import { answersByFilter, partSpace } from './partAnswer';
import type { PartAnswer, PartSpace } from './partAnswer';
import type { DayPart } from './schedule';

/** Answers already worked out, by the part's whole brief: a day asks for the same again and again. */
export type Memo = Map<string, PartWork>;

export interface PartWork {
  space: PartSpace;
  byFilter: ReadonlyMap<string, PartAnswer>;
  own: PartAnswer | null;
  pinned: Map<string, PartAnswer | null>;
}

/** A memo is kept from growing without end. */
const MEMO_MOST = 2000;

export function partWorkOf(part: DayPart, memo: Memo): PartWork {
  const key = JSON.stringify([part.shot, part.brief.limits.mainsHz]);
  const known = memo.get(key);
  if (known) return known;
  const space = partSpace(part);
  const byFilter = answersByFilter(space);
  const own = [...byFilter.values()].reduce<PartAnswer | null>(
    (best, one) => (best && best.loss <= one.loss ? best : one),
    null,
  );
  const work = { space, byFilter, own, pinned: new Map<string, PartAnswer | null>() };
  if (memo.size >= MEMO_MOST) memo.clear();
  memo.set(key, work);
  return work;
}
