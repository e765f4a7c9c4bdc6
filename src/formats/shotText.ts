import { shotName } from '@/words/shotName';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import { CARD_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { settingText } from '@/words/settingText';

/** The shot itself, behind the text that people read: so that a pasted message brings the shot back. */
export const TAIL = 'lynxeye-shot/1 ';

/** A shot as a card in plain text, with the shot itself in its last line. */
export function shotToText(shot: Shot, settings: Settings | null, kit: readonly Filter[]): string {
  const lines = [shotName(shot)];
  if (settings)
    lines.push(...CARD_KEYS.map((key) => `${SETTING_LABEL[key]}: ${settingText(key, settings, kit)}`));
  return `${lines.join('\n')}\n\n${TAIL}${JSON.stringify(shot)}\n`;
}
