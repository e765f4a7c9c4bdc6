import { TERM_TABLE } from '@/core/loss/table';
import { figureKey } from '@/core/explain/losses';

/** What the table of losses says of its terms and figures, as sentences of the catalogue. */
export function lossSentences(): Record<'seen' | 'formula' | 'figure' | 'because', Record<string, string>> {
  const figures = TERM_TABLE.flatMap(({ id, slopes }) =>
    Object.entries(slopes).map(([name, { because }]) => ({ key: figureKey(id, name), name, because })),
  );
  return {
    seen: Object.fromEntries(TERM_TABLE.map(({ id, seen }) => [id, seen])),
    formula: Object.fromEntries(
      TERM_TABLE.map(({ id, formula, slopes }) => [id, formulaInWords(formula, Object.keys(slopes))]),
    ),
    figure: Object.fromEntries(figures.map(({ key, name }) => [key, inWords(name)])),
    because: Object.fromEntries(figures.map(({ key, because }) => [key, because])),
  };
}

function formulaInWords(formula: string, names: readonly string[]): string {
  return names.reduce((text, name) => text.replaceAll(calledIn(name), () => `‘${inWords(name)}’`), formula);
}

/** Where a formula calls a figure: a name made of words anywhere, a plain word only as a factor or where it is marked. */
function calledIn(name: string): RegExp {
  const own = /[A-Z]/.test(name) ? `\\b${name}\\b` : `(?<=× )${name}\\b`;
  return new RegExp(`\`${name}\`|${own}`, 'g');
}

/** A name of the code as words: "perOctave" is "per octave". */
function inWords(name: string): string {
  return name.replaceAll(/[A-Z]/g, (capital) => ` ${capital.toLowerCase()}`);
}
