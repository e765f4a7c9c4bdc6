import { figureKey } from '@/core/explain/losses';
import type { Slope } from '@/core/explain/losses';
import type { TermId } from '@/core/vocabulary/terms';
import * as messages from '@/language/words/losses';

/** What is seen, and the formula: `null` for what is no term of its own. */
export function lossSeen(term: TermId): string | null {
  return term === 'wish' ? null : messages.seen[term];
}
export function lossFormula(term: TermId): string | null {
  return term === 'wish' ? null : messages.formula[term];
}

/** A figure by the name that it has in the formula. */
export function lossFigureName({ term, name }: Slope): string {
  const named: Readonly<Record<string, string>> = messages.figure;
  return named[figureKey(term, name)] ?? name;
}

/** Why a figure is what it is. */
export function becauseText({ term, name }: Slope): string {
  const because: Readonly<Record<string, string>> = messages.because;
  return because[figureKey(term, name)] ?? '';
}
