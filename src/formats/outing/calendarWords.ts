import type { FilterSwap } from '@/core/day/daySheet';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import { CARD_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { filterChangeText } from '@/words/outingText';
import { settingText } from '@/words/settingText';

/** Lines of a calendar and of a text card. */
export function settingLine(settings: Settings, kit: readonly Filter[]): string {
  return CARD_KEYS.map((key) => `${SETTING_LABEL[key]}: ${settingText(key, settings, kit)}`).join('\n');
}

export function filterChangeLine(camera: string, filterChange: FilterSwap, kit: readonly Filter[]): string {
  return filterChangeText(camera, filterChange.from, filterChange.to, kit, 'factor');
}
