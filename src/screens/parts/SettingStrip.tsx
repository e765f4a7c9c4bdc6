'use client';

import type { ReactNode } from 'react';
import type { Filter } from '@/core/filters/kit';
import type { SettingKey, Settings } from '@/core/records/settings';
import { SETTING_LABEL } from '@/words/labels';
import { FILTER_NOTATIONS, settingText } from '@/words/settingText';
import { useChoice } from './repository';
import styles from './parts.module.css';

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
  const [notation] = useChoice('filterNotation', FILTER_NOTATIONS, 'factor');
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
