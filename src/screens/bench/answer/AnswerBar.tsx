'use client';

import * as messages from '@/language/bench/answer';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { memo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Settings } from '@/core/records/settings';
import { CARD_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { settingText } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import styles from './answerBar.module.css';

/**
 * The eight values while the tiles are out of sight: along the top of a laptop, at the foot of a phone, where the first
 * four stand and the others come with a tap.
 */
export const AnswerBar = memo(function AnswerBar({
  settings,
  kit,
  stale,
}: {
  settings: Settings;
  kit: Brief['filters'];
  stale: boolean;
}): ReactNode {
  const [all, setAll] = useState(false);
  const [notation] = usePreference('filterNotation');
  return (
    <aside className={styles.bar} aria-label={messages.theAnswer} data-all={all} data-stale={stale}>
      <dl className="numerals">
        {CARD_KEYS.map((key) => (
          <div key={key}>
            <dt>{SETTING_LABEL[key]}</dt>
            <dd>{settingText(key, settings, kit, notation)}</dd>
          </div>
        ))}
      </dl>
      <button
        type="button"
        className={styles.more}
        aria-expanded={all}
        aria-label={messages.theOtherFour}
        onClick={() => setAll(!all)}
      >
        {all ? <ChevronDown size={22} aria-hidden /> : <ChevronUp size={22} aria-hidden />}
      </button>
    </aside>
  );
});
