import * as messages from '@/language/bench/answer';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { SettingKey } from '@/core/records/settings';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import { CARD_KEYS, SECOND_ROW_KEYS } from '@/words/cardKeys';
import { SETTING_LABEL } from '@/words/labels';
import { lapseText, lapseTileText } from '@/words/lapseText';
import { settingText } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import styles from '../bench.module.css';

/** A time-lapse in the places of any answer: its settings follow from the interval, so none is chosen by itself. */
export function LapseTiles({ brief, lapse }: { brief: Brief; lapse: LapseAnswer }): ReactNode {
  const [notation] = usePreference('filterNotation');
  const { plan, settings } = lapse;
  const whys = useMemo(() => lapseTileText(lapse, brief), [lapse, brief]);
  const amiss = plan.overStops > plan.underStops ? 'filter' : 'iso';
  const tiles = (keys: readonly SettingKey[], small: boolean): ReactNode =>
    keys.map((key) => {
      const held = brief.held[key] !== undefined;
      const why = [held ? messages.theDayHoldsIt : '', whys[key] ?? ''].join(' ').trim();
      return (
        <div
          key={key}
          className={[styles.tile, small ? styles.small : '', held ? styles.held : ''].join(' ')}
        >
          <dt className={styles.tileName}>{SETTING_LABEL[key]}</dt>
          <dd
            className={`${styles.tileValue ?? ''} ${styles.still ?? ''} numerals`}
            data-amiss={!lapse.exposed && key === amiss}
          >
            {settingText(key, settings, brief.filters, notation)}
          </dd>
          {why !== '' && <dd className={styles.tileWhy}>{why}</dd>}
        </div>
      );
    });
  return (
    <section aria-label={messages.theAnswer}>
      <p className={styles.lapse}>
        <b>{messages.timeLapse}</b> <span className="numerals">{lapseText(plan, brief)}</span>
      </p>
      <dl className={styles.tiles}>{tiles(CARD_KEYS, false)}</dl>
      <dl className={styles.secondRow}>{tiles(SECOND_ROW_KEYS, true)}</dl>
    </section>
  );
}
