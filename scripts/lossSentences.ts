import { TERM_TABLE } from '@/core/loss/table';
import { becauseKey } from '@/core/explain/losses';

/** What the table of losses says of its terms and figures, as sentences of the catalogue. */
export function lossSentences(): Record<'seen' | 'formula' | 'because', Record<string, string>> {
  return {
    seen: Object.fromEntries(TERM_TABLE.map(({ id, seen }) => [id, seen])),
    formula: Object.fromEntries(TERM_TABLE.map(({ id, formula }) => [id, formula])),
    because: Object.fromEntries(
      TERM_TABLE.flatMap(({ id, slopes }) =>
        Object.entries(slopes).map(([name, { because }]) => [becauseKey(id, name), because]),
      ),
    ),
  };
}
