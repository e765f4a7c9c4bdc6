import type { KeptRecord, RecordOf, RecordTable } from '@/core/records/kinds';
import { WEIGHED_TERMS } from '@/core/vocabulary/terms';
import { trimmed } from '@/core/units/format';
import * as messages from '@/language/words/incoming';
import { TERM_LABEL } from './labels';
import { learnedText } from './learnedText';
import type { Names } from './learnedText';
import { recordText } from './recordText';

/** What a record says that changes every answer: a learned figure with its value, what an eye weighs, a price. */
export function comingText(table: RecordTable, record: KeptRecord, names: Names): string {
  switch (table) {
    case 'learned': {
      const { learned, decided } = record as RecordOf<'learned'>;
      const figure = learnedText(learned, names);
      return decided === 'taken' ? figure : messages.figureLeft({ figure });
    }
    case 'eye': {
      const { answers, weights } = record as RecordOf<'eye'>;
      const weighs = WEIGHED_TERMS.flatMap((term) => {
        const weight = weights?.[term];
        return weight === undefined ? [] : [`${TERM_LABEL[term]} × ${trimmed(weight, 1)}`];
      });
      const count = answers.length;
      return weighs.length === 0
        ? messages.eyeOf({ count })
        : messages.eyeWeighs({ count, weights: weighs.join(', ') });
    }
    case 'practised':
      return messages.drillsOf({ count: (record as RecordOf<'practised'>).tried.length });
    case 'prices': {
      const { id, price } = record as RecordOf<'prices'>;
      return messages.priceOf({ thing: id, price: trimmed(price, 2) });
    }
    default:
      return recordText(table, record);
  }
}
