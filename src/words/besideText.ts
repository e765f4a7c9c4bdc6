import * as messages from '@/language/words/beside';
import type { Neighbour } from '@/core/answer/neighbours';
import type { Filter } from '@/core/filters/kit';
import type { SettingKey } from '@/core/records/settings';
import { tenths } from '@/core/units/format';
import { TERM_LABEL } from './labels';
import { changes } from './changesText';
import { capital } from './sentences';
import { settingText } from './settingText';

/** A step that costs less than this comes to the same. */
const SAME_BELOW = 0.05;

/** What the nearest other values cost, as one sentence: "1/60 s costs 0.3 more, for shake smear; 1/100 s 0.2, for strobing." */
export function besideText(
  setting: SettingKey,
  beside: readonly Neighbour[],
  kit: readonly Filter[],
): string {
  const nearest = [...beside].sort((a, b) => a.by - b.by).slice(0, 2);
  const told = nearest.map((one, at) => {
    const value = settingText(setting, one.settings, kit);
    const [worst] = one.costs;
    if (one.by < SAME_BELOW) return messages.comesToAboutTheSame({ value });
    const verb = at === 0 || nearest[0] === undefined || nearest[0].by < SAME_BELOW ? messages.costs : '';
    return messages.more({
      value,
      verb,
      by: tenths(one.by),
      worst: worst ? messages.forWord({ term: TERM_LABEL[worst.term] }) : '',
    });
  });
  return told.length === 0 ? '' : `${capital(told.join('; '))}.`;
}

/** The same with everything that gets better and worse, a line each. */
export function besideSteps(
  setting: SettingKey,
  beside: readonly Neighbour[],
  kit: readonly Filter[],
): string[] {
  return beside
    .filter(({ gains, costs }) => gains.length + costs.length > 0)
    .map((one) =>
      messages.insteadItWouldWinAnd({
        setting: capital(settingText(setting, one.settings, kit)),
        gains: changes(one.gains),
        costs: changes(one.costs),
      }),
    );
}
