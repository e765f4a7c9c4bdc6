import { TERM_TABLE } from '@/core/loss/table';
import { figureKey } from '@/core/explain/losses';

/** What the table of losses says of its terms and figures, as sentences of the catalogue. */
export function lossSentences(): Record<'seen' | 'formula' | 'figure' | 'because', Record<string, string>> {
  const figures = TERM_TABLE.flatMap(({ id, slopes }) =>
    Object.entries(slopes).map(([name, { because }]) => ({ key: figureKey(id, name), name, because })),
  );
  return {
    seen: Object.fromEntries(TERM_TABLE.map(({ id, seen }) => [id, seen])),
    formula: Object.fromEntries(TERM_TABLE.map(({ id, formula }) => [id, formula])),
    figure: Object.fromEntries(figures.map(({ key, name }) => [key, name])),
    because: Object.fromEntries(figures.map(({ key, because }) => [key, because])),
  };
}
