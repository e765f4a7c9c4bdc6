import * as messages from '@/language/words/kitRemedy';
import type { FromKit } from '@/core/compare/fromKit';
import { tenths } from '@/core/units/format';
import { changes } from './changesText';
import { filterName } from './settingText';

export function kitThingName({ thing }: FromKit): string {
  return thing.what === 'camera' ? thing.camera.name : filterName(thing.filter);
}

/** "Otter, if it is free then: loss 3.9 instead of 4.7; less: 0.3 noise." "ND32: loss 3.0 instead of 10.2; less: 6.1 white sky." */
export function fromKitText(remedy: FromKit, now: number): string {
  const free = remedy.thing.what === 'camera' ? messages.ifItIsFreeThen : '';
  const costs = remedy.costs.length > 0 ? messages.more({ costs: changes(remedy.costs) }) : '';
  return messages.lossInsteadOfLess({
    remedy: kitThingName(remedy),
    free,
    score: tenths(remedy.score),
    now: tenths(now),
    gains: changes(remedy.gains, 3),
    costs,
  });
}
