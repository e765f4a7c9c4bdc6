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
      return `one filter step darker: ${filterText(settings.filter, kit)}`;
    case 'lighterFilter':
      return settings.filter.ids.length === 0
        ? 'no filter instead'
        : `one filter step lighter: ${filterText(settings.filter, kit)}`;
    case 'recording':
      return `recorded as ${RECORDING_LABEL[way.recording]}`;
    case 'withoutPins':
      return `without your ${way.pins.length === 1 ? 'pin' : `${way.pins.length} pins`}`;
  }
}

export function gainsText({ gains }: Alternative): string {
  return gains.length === 0 ? 'nothing gained' : `less: ${changes(gains, 3)}`;
}

export function costsText({ costs }: Alternative): string {
  return costs.length === 0 ? 'nothing lost' : `more: ${changes(costs, 3)}`;
}
