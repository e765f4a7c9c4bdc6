/** One thing wrong with an input: where (dotted path, empty for the whole) and what is amiss there. */
export interface Fault {
  path: string;
  problem: Problem;
}

export type Checked<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/** Forms that a schema asks for, each said by words of its own. */
export const WANTED = [
  'autoShutter',
  'date',
  'heatInOrder',
  'instant',
  'noMeasureOfVariable',
  'noLaterVersion',
  'timeOfDay',
  'year',
  'zone',
] as const;
export type WantedForm = (typeof WANTED)[number];

/** A code with its figures, which words say; `worded` for what was read where words already are. */
export type Problem =
  | { code: 'unknownKey' | 'noForm' | 'tooManyExposures' }
  | { code: 'type'; expected: string; got: string }
  | { code: 'oneOf'; values: readonly unknown[] }
  | {
      code: 'bound';
      is: 'atLeast' | 'moreThan' | 'atMost' | 'lessThan';
      bound: number;
      of: 'value' | 'characters' | 'entries';
    }
  | { code: 'pattern'; pattern: string }
  | { code: 'wanted'; what: WantedForm; got: unknown }
  | { code: 'atLeastKey'; key: string }
  | { code: 'standsTwice' | 'filterTwice' | 'describedTwice' | 'noIsoRange' | 'shotNotInFile'; id: string }
  | { code: 'notDescribed'; id: string; under: string }
  | { code: 'shortestShutter'; fastestFps: number }
  | { code: 'mountPlace'; kind: string; places: readonly string[] }
  /** Combinations that each camera's rules name. */
  | { code: 'tooManyModes'; counts: readonly number[] }
  | { code: 'withinHours'; hours: number }
  /** There is room for no more of a kind. */
  | { code: 'full'; table: string; most: number }
  | { code: 'worded'; text: string };

/** A fault in words of whoever reads a format. */
export function worded(path: string, text: string): Fault {
  return { path, problem: { code: 'worded', text } };
}

/** Puts faults of a part under its place in the whole: ("shots[2]", "light.evMin") → "shots[2].light.evMin". */
export function faultsUnder(place: string, faults: readonly Fault[]): Fault[] {
  return faults.map(({ path, problem }) => ({
    path: path === '' || path.startsWith('[') ? `${place}${path}` : `${place}.${path}`,
    problem,
  }));
}

/** What a schema's own check finds amiss: the parameters of its `refine`. */
export function finds(
  problem: Problem,
  path: readonly PropertyKey[] = [],
): { path: PropertyKey[]; params: { problem: Problem } } {
  return { path: [...path], params: { problem } };
}

/** The message of a schema that asks for a form. */
export function wants(what: WantedForm): WantedForm {
  return what;
}
