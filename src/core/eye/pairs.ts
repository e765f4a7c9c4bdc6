import type { Brief } from '../brief/brief';
import type { Mode } from '../camera/modeTable';
import { EVEN_WEIGHTS, scoreOf, TERMS } from '../loss/table';
import type { Loss } from '../loss/table';
import { encodingLosses, lossOf } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import { spaceFor } from '../search/space';
import type { ColourSpace, Space } from '../search/space';
import type { EyeAnswer } from '../records/ownEye';
import { start } from '../units/estimate';
import { item } from '../units/items';
import { SEEN_TERMS } from '../vocabulary/terms';
import type { TermId } from '../vocabulary/terms';

const UNSEEN_TERMS = TERMS.filter((term) => !(SEEN_TERMS as readonly TermId[]).includes(term));

/**
 * Two ways of filming one shot that trade one thing that is seen for another; or, to find out whether somebody looks at
 * all, of which one is plainly worse.
 */
export interface EyePair {
  space: Space;
  sides: readonly [Candidate, Candidate];
  /** Loss of the second less that of the first, by `SEEN_TERMS`. */
  differences: readonly number[];
  /** The second is worse whatever the weights. */
  plain: boolean;
  /** One name for what is asked, and one for the same turned round. */
  names: readonly [string, string];
}

/** What makes a pair worth a look; loss, on which 1 is just noticed. */
export const PAIR_LIMITS = {
  /** Each side is better by so much at least, and worse by no more than so much. */
  seenFrom: start(1, 'a trade of which one side is not even just noticed asks nothing'),
  most: start(6, 'where one side is all spoilt there is nothing to weigh'),
  /** A term that changes by less is no part of the trade. */
  part: start(0.31, 'a third of what is just noticed is not looked at'),
  /** All that pictures do not show differs by no more than so much. */
  unseen: start(0.5, 'it costs the person nothing here, and it is not theirs to see'),
  /** What is plainly worse is worse by so much and up to twice that. */
  plainly: start(3, 'three times what is just noticed, and nothing gained for it'),
};
const SEEN_FROM = PAIR_LIMITS.seenFrom.value;
const MOST = PAIR_LIMITS.most.value;
const PART = PAIR_LIMITS.part.value;
const UNSEEN = PAIR_LIMITS.unseen.value;
const PLAINLY = PAIR_LIMITS.plainly.value;

/** A trade has two sides. */
const PARTS = 2;
/** Of one trade in one shot, and of what is plainly worse in one shot, so many pairs. */
const EACH_TRADE = 5;
const EACH_PLAIN = 5;
/** Ways that differ by less than this in all that is seen are one. */
const ALIKE = 0.02;

interface Way {
  candidate: Candidate;
  loss: Loss;
  /** To an even hand. */
  score: number;
  seen: readonly number[];
}

/** The pairs that a shot offers: every trade of its camera, light and bag that two pictures can show. */
export function pairsOf(brief: Brief): EyePair[] {
  const made = spaceFor(brief);
  if (!made.ok) return [];
  // What a school wishes is not seen: pictures are asked about as they are.
  const space = { ...made.space, school: { ...made.space.school, wishes: {} } };
  const ways = waysIn(space).sort((a, b) => a.score - b.score);
  return [...tradesAmong(space, undominated(ways)), ...plainlyWorse(space, ways)];
}

/** A difference of loss by the name of its term; what is alike is left out. */
export function differencesByTerm(differences: readonly number[]): EyeAnswer['differences'] {
  return Object.fromEntries(
    SEEN_TERMS.flatMap((term, at) => {
      const by = differences[at] ?? 0;
      return Math.abs(by) < ALIKE ? [] : [[term, Math.round(by * 1000) / 1000]];
    }),
  );
}

/** Fixed shutters a stop apart, every filter, ISO from the base up to each stop: what a person could set by hand. */
function waysIn(space: Space): Way[] {
  const [colour] = space.colours;
  if (!colour) return [];
  const isos = isoWindows(colour);
  return videoModes(space).flatMap((mode) => {
    const encoding = encodingLosses(space, mode)[0]?.encoding;
    if (!encoding) return [];
    return shutters(space, mode).flatMap((shutter) =>
      space.filters.flatMap((filter) =>
        isos.map((iso) => {
          const candidate: Candidate = { mode, encoding, colour, shutter, filter, iso };
          const loss = lossOf(space, candidate);
          return {
            candidate,
            loss,
            score: scoreOf(loss, EVEN_WEIGHTS),
            seen: SEEN_TERMS.map((term) => loss[term]),
          };
        }),
      ),
    );
  });
}

/** One mode of each frame rate, view and hold. */
function videoModes({ modes }: Space): Mode[] {
  const found = new Map<string, Mode>();
  for (const mode of modes) {
    const key = `${mode.frameRate} ${mode.view.id} ${mode.stabilization}`;
    if (mode.recording === 'video' && !found.has(key)) found.set(key, mode);
  }
  return [...found.values()];
}

function isoWindows({ isoWindows: all, sensor }: ColourSpace): ColourSpace['isoWindows'] {
  return wholeStops(
    all.filter(({ minLog }) => minLog === sensor.baseLog),
    ({ spanStops }) => spanStops,
  );
}

function shutters(space: Space, { frameRate }: Mode): Candidate['shutter'][] {
  const fixed = (space.shutters.get(frameRate) ?? []).filter(({ spanStops }) => spanStops === 0);
  return wholeStops(fixed, ({ longestLog }) => -longestLog);
}

/** Of a list, about one a stop, from the lowest on. */
function wholeStops<T>(list: readonly T[], stopsOf: (one: T) => number): T[] {
  const kept: T[] = [];
  for (const one of [...list].sort((a, b) => stopsOf(a) - stopsOf(b))) {
    const last = kept.at(-1);
    if (last === undefined || stopsOf(one) - stopsOf(last) > 0.9) kept.push(one);
  }
  return kept;
}

/** Those that are better in something than every other, from a list by rising score. */
function undominated(ways: readonly Way[]): Way[] {
  const front: Way[] = [];
  for (const way of ways)
    if (!front.some((one) => one.seen.every((loss, at) => loss <= (way.seen[at] ?? 0) + ALIKE)))
      front.push(way);
  return front;
}

function tradesAmong(space: Space, front: readonly Way[]): EyePair[] {
  const byTrade = new Map<string, EyePair[]>();
  for (const [at, first] of front.entries())
    for (const second of front.slice(at + 1)) {
      const differences = differenceOf(first, second);
      if (!differences || !isTrade(differences)) continue;
      const trade = differences.map((by) => (Math.abs(by) < PART ? 0 : Math.sign(by))).join();
      const known = byTrade.get(trade);
      const pair = pairOf(space, first, second, differences, false);
      if (known) known.push(pair);
      else byTrade.set(trade, [pair]);
    }
  return [...byTrade.values()].flatMap((pairs) => spreadOver(pairs, EACH_TRADE));
}

function isTrade(differences: readonly number[]): boolean {
  const parts = differences.filter((by) => Math.abs(by) >= PART);
  const { up, down } = sidesOf(differences);
  return parts.length === PARTS && Math.min(up, down) >= SEEN_FROM && Math.max(up, down) <= MOST;
}

/** The best of the shot beside ways that are worse in something and better in nothing. */
function plainlyWorse(space: Space, ways: readonly Way[]): EyePair[] {
  const [best] = ways;
  if (!best) return [];
  const pairs = ways.flatMap((way): EyePair[] => {
    const differences = differenceOf(best, way);
    if (!differences) return [];
    const parts = differences.filter((by) => by >= PART);
    const { up, down } = sidesOf(differences);
    return parts.length <= PARTS && down <= ALIKE && up >= PLAINLY && up <= 2 * PLAINLY
      ? [pairOf(space, best, way, differences, true)]
      : [];
  });
  return spreadOver(pairs, EACH_PLAIN);
}

function pairOf(
  space: Space,
  first: Way,
  second: Way,
  differences: readonly number[],
  plain: boolean,
): EyePair {
  const names = [differences, differences.map((by) => -by)].map((each) =>
    questionKey(differencesByTerm(each)),
  );
  return {
    space,
    sides: [first.candidate, second.candidate],
    differences,
    plain,
    names: [item(names, 0), item(names, 1)],
  };
}

/** What a question is known by again. */
export function questionKey(differences: EyeAnswer['differences']): string {
  return SEEN_TERMS.map((term) => differences[term] ?? 0).join();
}

/** `null` where what is not seen differs too. */
function differenceOf(first: Way, second: Way): number[] | null {
  let unseen = 0;
  for (const term of UNSEEN_TERMS) unseen += Math.abs(second.loss[term] - first.loss[term]);
  return unseen > UNSEEN ? null : second.seen.map((loss, at) => loss - (first.seen[at] ?? 0));
}

function sidesOf(differences: readonly number[]): { up: number; down: number } {
  let up = 0;
  let down = 0;
  for (const by of differences)
    if (by > 0) up += by;
    else down -= by;
  return { up, down };
}

/** So many of a list, from those that lean most to one side to those that lean most to the other. */
function spreadOver(pairs: readonly EyePair[], count: number): EyePair[] {
  const lean = ({ differences }: EyePair): number => differences.reduce((sum, by) => sum + by, 0);
  const sorted = [...pairs].sort((a, b) => lean(a) - lean(b));
  if (sorted.length <= count) return sorted;
  const step = (sorted.length - 1) / (count - 1);
  return sorted.filter((_, at) => Math.round(Math.round(at / step) * step) === at);
}
