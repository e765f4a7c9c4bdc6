import type { Records } from '@/core/records/kinds';
import { figureAt, isRatio } from '@/core/records/figures';
import { learn, ninetyOf } from '@/core/learn/learn';
import { FILE_VERSION } from '@/core/schema/versions';
import { wallClock } from '@/formats/clock';
import { learnedFigureName, learnedText } from '@/words/learnedText';
import { namesIn } from '@/words/learnedNames';

/** The figures that a backup corrects, before and after, as plain JSON. */
export function learnReport(records: Records): object {
  const names = namesIn(records);
  return {
    kind: 'lynxeye/learning',
    version: FILE_VERSION,
    figures: learn(records, wallClock).map((one) => {
      const { figure, usual, off, spread, spreadBefore, from } = one;
      const value = figureAt(one, off);
      const [low, high] = ninetyOf(one);
      const [lowBefore, highBefore] = ninetyOf({ ...one, off: 0, spread: spreadBefore });
      return {
        figure,
        name: learnedFigureName(figure, names),
        scale: isRatio(figure) ? 'log2' : 'linear',
        before: { value: usual, low: lowBefore, high: highBefore, spread: spreadBefore },
        after: { value, low, high, spread },
        from,
        text: learnedText(one, names),
      };
    }),
  };
}
