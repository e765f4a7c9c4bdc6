import { figureKey, slopesOf } from '@/core/explain/losses';
import type { Slope } from '@/core/explain/losses';
import type { TermId } from '@/core/vocabulary/terms';
import * as messages from '@/language/words/losses';

/** What is seen, and the formula: `null` for what is no term of its own. */
export function lossSeen(term: TermId): string | null {
  return term === 'wish' ? null : messages.seen[term];
}
export function lossFormula(term: TermId): string | null {
  if (term === 'wish') return null;
  return slopesOf(term).reduce<string>(
    (text, { name }) => text.replaceAll(calledIn(name), () => `‘${inWords(name)}’`),
    messages.formula[term],
  );
}

/** Where a formula calls a figure: a name made of words anywhere, a plain word only as a factor or where it is marked. */
function calledIn(name: string): RegExp {
  const own = /[A-Z]/.test(name) ? `\\b${name}\\b` : `(?<=× )${name}\\b`;
  return new RegExp(`\`${name}\`|${own}`, 'g');
}

/** A figure by the name that it has in the formula. */
export function lossFigureName({ term, name }: Slope): string {
  const named: Readonly<Record<string, string>> = messages.figure;
  return inWords(named[figureKey(term, name)] ?? name);
}

/** A name of the code as words: "perOctave" is "per octave". */
function inWords(name: string): string {
  return name.replaceAll(/[A-Z]/g, (capital) => ` ${capital.toLowerCase()}`);
}

/** Why a figure is what it is. */
export function becauseText({ term, name }: Slope): string {
  const because: Readonly<Record<string, string>> = messages.because;
  return because[figureKey(term, name)] ?? '';
}
