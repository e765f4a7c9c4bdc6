import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import { CARD_KEYS } from '@/words/card';
import { SETTING_LABEL } from '@/words/labels';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import styles from './eight.module.css';

/** The eight settings of a card, to be read at arm's length; shutter and filter are the loudest. */
export function EightValues({
  settings,
  kit,
  notation,
}: {
  settings: Settings;
  kit: readonly Filter[];
  notation: FilterNotation;
}): ReactNode {
  return (
    <dl className={`${styles.eight ?? ''} numerals`}>
      {CARD_KEYS.map((key) => (
        <div key={key} className={key === 'shutterSeconds' || key === 'filter' ? styles.loudest : undefined}>
          <dt>{SETTING_LABEL[key]}</dt>
          <dd>{settingText(key, settings, kit, notation)}</dd>
        </div>
      ))}
    </dl>
  );
}
