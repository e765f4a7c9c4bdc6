import * as messages from '@/language/words/beside';
import type { Neighbour } from '@/core/answer/neighbours';
import type { Filter } from '@/core/filters/kit';
import type { TermId } from '@/core/vocabulary/terms';
import type { SettingKey } from '@/core/records/settings';
import { tenths } from '@/core/units/format';
import { STABILIZATION_LABEL, TERM_LABEL } from './labels';
import { changes } from './changesText';
import { capital } from './sentences';
import { settingText } from './settingText';

/** A step that costs less than this comes to the same. */
const SAME_BELOW = 0.05;

/** A value as it would stand; a view with the hold that goes with it, where that is another. */
function valueText(setting: SettingKey, { settings, hold }: Neighbour, kit: readonly Filter[]): string {
  const value = settingText(setting, settings, kit);
  return setting === 'view' && hold !== null
    ? messages.withHold({ value, hold: STABILIZATION_LABEL[hold].toLowerCase() })
    : value;
}

/** What a value costs for; a wider lens that is still too narrow shows less upright, or of another shape. */
function costText({ way }: Neighbour, term: TermId): string {
  return way === 'higher' && term === 'viewNarrow' ? messages.lessUpright : TERM_LABEL[term];
}

/** What the nearest other values cost, as one sentence: "1/60 s costs 0.3 more, for shake smear; 1/100 s 0.2, for strobing." */
export function besideText(
  setting: SettingKey,
  beside: readonly Neighbour[],
  kit: readonly Filter[],
): string {
  const nearest = [...beside].sort((a, b) => a.by - b.by).slice(0, 2);
  const told = nearest.map((one, at) => {
    const value = valueText(setting, one, kit);
    // What is seen says more than that a school wishes otherwise.
    const worst = one.costs.find(({ term }) => term !== 'wish') ?? one.costs[0];
    if (one.by < SAME_BELOW) return messages.comesToAboutTheSame({ value });
    const verb = at === 0 || nearest[0] === undefined || nearest[0].by < SAME_BELOW ? messages.costs : '';
    return messages.more({
      value,
      verb,
      by: tenths(one.by),
      worst: worst ? messages.forWord({ term: costText(one, worst.term) }) : '',
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
        setting: capital(valueText(setting, one, kit)),
        gains: changes(one.gains),
        costs: changes(one.costs),
      }),
    );
}
