import * as messages from '@/language/words/kitRemedy';
import type { FromKit } from '@/core/compare/fromKit';
import { tenths } from '@/core/units/format';
import { changes } from './changesText';
import { filterName } from './settingText';

/** "ND32: loss 3.0 instead of 10.2; less: 6.1 white sky." */
export function fromKitText({ filter, score, gains, costs }: FromKit, now: number): string {
  return messages.lossInsteadOfLess({
    remedy: filterName(filter),
    score: tenths(score),
    now: tenths(now),
    gains: changes(gains, 3),
    costs: costs.length > 0 ? messages.more({ costs: changes(costs) }) : '',
  });
}
