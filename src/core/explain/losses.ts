import { TERM_TABLE } from '../loss/table';
import type { Estimate } from '../units/estimate';
import type { ReasonPage } from '../vocabulary/reasonPages';
import type { TermId } from '../vocabulary/terms';
import type { KnownBy } from './formulas';
import { PAGE_OF_TERM } from '../vocabulary/terms';

/** One figure of a term. */
export interface Slope extends Estimate {
  term: TermId;
  name: string;
}

/** The terms that a page reasons. */
export function termsOn(page: ReasonPage): TermId[] {
  return TERM_TABLE.map(({ id }) => id).filter((id) => PAGE_OF_TERM[id] === page);
}

export function slopesOf(term: TermId): Slope[] {
  const found = TERM_TABLE.find(({ id }) => id === term);
  return Object.entries<Estimate>(found?.slopes ?? {}).map(([name, estimate]) => ({
    ...estimate,
    term,
    name,
  }));
}

/** Argued from practice, or from a source that it names. */
export function knownByOf({ start }: Estimate): KnownBy {
  return start ? 'start' : 'standard';
}

/** What a figure is called in the catalogue. */
export function figureKey(term: TermId, name: string): string {
  return `${term}${name.charAt(0).toUpperCase()}${name.slice(1)}`;
}
