import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import type { Brief } from '../brief/brief';
import { wearable } from '../filters/bag';
import { filterSettings } from '../filters/kit';
import { heldBySettings } from '../inspect/planned';
import type { Pins, Settings } from '../records/settings';
import { solvedWith } from '../search/judged';
import type { Judged } from '../search/judged';
import type { Space } from '../search/space';
import { item } from '../units/items';
import { nearlyEqual } from '../units/stops';
import { omit } from '../units/omit';
import { AS_GOOD, choiceOf, LEAST_CHOICES, roundAbout } from './drill';
import type { DrillQuestion, DrillAnswer } from './drill';

/** Kinds that ask for one setting while the rest stays as the answer has it. */
type HeldKind = 'filter' | 'shutter' | 'rate' | 'view';

interface HeldRule {
  /** What must not float for the question to have one answer. */
  first: Pins;
  /** Settings that follow from the one that is asked. */
  free: readonly (keyof Pins)[];
  /** All that could be answered, the least first. */
  answers: (space: Space, best: Settings) => DrillAnswer[];
  /** What lies one stop or one octave further is one more. */
  at: (answer: DrillAnswer) => number;
  isIn: (answer: DrillAnswer, best: Settings) => boolean;
}

/** What is set anew at another frame rate or view. */
const FOLLOWS: readonly (keyof Pins)[] = [
  'shutterSeconds',
  'shutterAngleDeg',
  'shutterMode',
  'shutterFloorSeconds',
  'filter',
  'iso',
  'bitRateMbps',
  'codec',
];

const RULES: Record<HeldKind, HeldRule> = {
  filter: {
    first: { shutterMode: 'fixed' },
    free: ['filter'],
    answers: ({ brief }) =>
      byStops(filterSettings(wearable(brief))).map(({ ids, stops }) => ({
        filter: { ids: [...ids], stops },
      })),
    at: (answer) => ('filter' in answer ? answer.filter.stops : 0),
    isIn: (answer, { filter }) => 'filter' in answer && answer.filter.stops === filter.stops,
  },
  shutter: {
    first: { shutterMode: 'fixed' },
    free: ['shutterSeconds', 'shutterAngleDeg', 'filter', 'iso'],
    answers: ({ shutters }, { frameRate, shutterSeconds }) =>
      aboutAStopApart(
        (shutters.get(frameRate) ?? [])
          .filter(({ spanStops }) => spanStops === 0)
          .map(({ longestSeconds }) => longestSeconds),
        shutterSeconds,
      ).map((seconds) => ({ shutterSeconds: seconds })),
    at: (answer) => ('shutterSeconds' in answer ? -Math.log2(answer.shutterSeconds) : 0),
    isIn: (answer, { shutterSeconds }) =>
      'shutterSeconds' in answer && nearlyEqual(answer.shutterSeconds, shutterSeconds),
  },
  rate: {
    first: {},
    free: ['frameRate', ...FOLLOWS],
    answers: ({ modes }) =>
      [...new Set(modes.map(({ frameRate }) => frameRate))]
        .sort((a, b) => a - b)
        .map((frameRate) => ({ frameRate })),
    at: (answer) => ('frameRate' in answer ? Math.log2(answer.frameRate) : 0),
    isIn: (answer, { frameRate }) => 'frameRate' in answer && answer.frameRate === frameRate,
  },
  view: {
    first: {},
    free: ['view', ...FOLLOWS],
    answers: ({ modes }, best) => {
      const widths = new Map<string, number>();
      for (const { view, stabilization } of modes)
        if (stabilization === best.stabilization) widths.set(view.id, view.horizontalDeg);
      return [...widths]
        .sort(([, a], [, b]) => a - b)
        .map(([id, horizontalDeg]) => ({ view: { id, horizontalDeg } }));
    },
    at: (answer) => ('view' in answer ? Math.log2(answer.view.horizontalDeg) : 0),
    isIn: (answer, { view }) => 'view' in answer && answer.view.id === view.id,
  },
};

/** Which one setting is best for a shot, all else as the answer has it; `before`: where among the choices it stands. */
export function askHeld(kind: HeldKind, brief: Brief, before: number): DrillQuestion | null {
  const rule = RULES[kind];
  const outcome = solve({ ...brief, pins: { ...rule.first, ...brief.pins } });
  if (!outcome.solved) return null;
  const { solution } = outcome;
  const { space, settings } = solution;
  const ways = waysFor(rule, brief, solution);
  const at = ways.findIndex(({ answer }) => rule.isIn(answer, settings));
  if (at < 0) return null;
  const shown = roundAbout(ways, at, before);
  const best = shown.reduce((least, way) => (way.judged.score < least.judged.score ? way : least));
  const choices = shown.map(({ answer, judged }) =>
    choiceOf(answer, rule.at(answer) - rule.at(best.answer), judged, best.judged),
  );
  if (choices.length < LEAST_CHOICES || choices.every(({ loss }) => loss < AS_GOOD)) return null;
  return { light: space.light, given: { kind, settings }, choices, best: shown.indexOf(best) };
}

function waysFor(
  { first, free, answers }: HeldRule,
  brief: Brief,
  { space, settings }: Solution,
): { answer: DrillAnswer; judged: Judged }[] {
  const held = free.reduce<Pins>((pins, key) => omit(pins, key), {
    ...brief.pins,
    ...heldBySettings(brief, settings),
  });
  return answers(space, settings).flatMap((answer) => {
    const judged = solvedWith(brief, { ...first, ...held, ...pinOf(answer) }, space.school);
    return judged ? [{ answer, judged }] : [];
  });
}

function pinOf(answer: DrillAnswer): Pins {
  if ('view' in answer) return { view: { id: answer.view.id } };
  if ('filter' in answer) return { filter: answer.filter };
  if ('shutterSeconds' in answer) return { shutterSeconds: answer.shutterSeconds };
  return 'frameRate' in answer ? { frameRate: answer.frameRate } : {};
}

/** One filter of each strength. */
function byStops<T extends { stops: number }>(filters: readonly T[]): T[] {
  const found = new Map<number, T>();
  for (const one of filters) if (!found.has(one.stops)) found.set(one.stops, one);
  return [...found.values()].sort((a, b) => a.stops - b.stops);
}

/** Of shutters, the one at hand and those that lie about a stop apart from it, the longest first. */
function aboutAStopApart(seconds: readonly number[], best: number): number[] {
  const sorted = [...new Set(seconds)].sort((a, b) => b - a);
  const at = sorted.findIndex((one) => nearlyEqual(one, best));
  if (at < 0) return [];
  const apart = (from: number, step: 1 | -1): number[] => {
    const found: number[] = [];
    let last = best;
    for (let index = from + step; index >= 0 && index < sorted.length; index += step) {
      const one = item(sorted, index);
      if (Math.abs(Math.log2(one / last)) < 0.9) continue;
      found.push(one);
      last = one;
    }
    return found;
  };
  return [...apart(at, -1).reverse(), best, ...apart(at, 1)];
}
