import type { Swap } from '@/core/day/daySheet';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import { CARD_KEYS } from '@/words/card';
import { SETTING_LABEL } from '@/words/labels';
import { swapText } from '@/words/outingText';
import { settingText } from '@/words/settingText';

/** Lines of a calendar and of a text card. */
export function settingLine(settings: Settings, kit: readonly Filter[]): string {
  return CARD_KEYS.map((key) => `${SETTING_LABEL[key]}: ${settingText(key, settings, kit)}`).join('\n');
}

export function swapLine(camera: string, swap: Swap, kit: readonly Filter[]): string {
  return swapText(camera, swap.from, swap.to, kit, 'factor');
}
