'use client';

import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import type { SettingKey, Settings } from '@/core/records/settings';
import { SETTING_LABEL } from '@/words/labels';
import { settingText } from '@/words/settingText';
import { usePreference } from '../data/repository';
import styles from './ui.module.css';

/** Settings in a row, to read: quiet labels, loud numerals. */
export function SettingStrip({
  keys,
  settings,
  kit,
}: {
  keys: readonly SettingKey[];
  settings: Settings;
  kit: readonly Filter[];
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  return (
    <dl className={styles.strip}>
      {keys.map((key) => (
        <div key={key}>
          <dt>{SETTING_LABEL[key]}</dt>
          <dd className="numerals">{settingText(key, settings, kit, notation)}</dd>
        </div>
      ))}
    </dl>
  );
}
