/** One thing wrong with an input: where (dotted path, empty for the whole) and what was expected. */
export interface Fault {
  path: string;
  text: string;
}

export type Checked<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

export function faultLine(fault: Fault): string {
  return fault.path === '' ? fault.text : `${fault.path}: ${fault.text}`;
}

/** Puts faults of a part under its place in the whole: ("shots[2]", "light.evMin") → "shots[2].light.evMin". */
export function faultsUnder(place: string, faults: readonly Fault[]): Fault[] {
  return faults.map(({ path, text }) => ({ path: path === '' ? place : `${place}.${path}`, text }));
}
