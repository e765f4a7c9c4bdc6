import * as messages from '@/language/words/alternative';
import type { Alternative } from '@/core/answer/alternatives';
import type { Filter } from '@/core/filters/kit';
import { RECORDING_LABEL, SCHOOL_LABEL } from './labels';
import { changes } from './changesText';
import { filterText } from './settingText';

export function alternativeLabel({ way, settings }: Alternative, kit: readonly Filter[]): string {
  switch (way.code) {
    case 'school':
      return SCHOOL_LABEL[way.school];
    case 'denserFilter':
      return messages.oneFilterStepDarker({ filter: filterText(settings.filter, kit) });
    case 'lighterFilter':
      return settings.filter.ids.length === 0
        ? messages.noFilterInstead
        : messages.oneFilterStepLighter({ filter: filterText(settings.filter, kit) });
    case 'recording':
      return messages.recordedAs({ recording: RECORDING_LABEL[way.recording] });
    case 'withoutPins':
      return messages.withoutYourPin({ count: way.pins.length });
  }
}

export function gainsText({ gains }: Pick<Alternative, 'gains'>): string {
  return gains.length === 0 ? messages.nothingGained : messages.less({ gains: changes(gains, 3) });
}

export function costsText({ costs }: Pick<Alternative, 'costs'>): string {
  return costs.length === 0 ? messages.nothingLost : messages.more({ costs: changes(costs, 3) });
}
