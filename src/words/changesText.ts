import * as messages from '@/language/words/changes';
import type { TermChange } from '@/core/search/judged';
import { tenths } from '@/core/units/format';
import { TERM_LABEL } from './labels';

/** The largest changes of loss, worded: "0.9 shake smear, 0.3 noise". */
export function changes(all: readonly TermChange[], most = 2): string {
  if (all.length === 0) return messages.nothing;
  return all
    .slice(0, most)
    .map(({ term, by }) => `${tenths(Math.abs(by))} ${TERM_LABEL[term]}`)
    .join(', ');
}
