import * as messages from '@/language/practice';
import type { ReactNode } from 'react';
import { PAIR_LIMITS } from '@/core/eye/pairs';
import type { EyeQuestion } from '@/core/eye/question';
import type { EyeChoice } from '@/core/records/ownEye';
import { SEEN_TERMS } from '@/core/vocabulary/terms';
import { TERM_LABEL } from '@/words/labels';
import { settingText } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import styles from './eye.module.css';

const TOLD = ['frameRate', 'shutterSeconds', 'filter', 'iso', 'view', 'stabilization'] as const;

/** What the pair before this one was, now that it is answered. */
export function LastPair({ question, said }: { question: EyeQuestion; said: EyeChoice }): ReactNode {
  const [notation] = usePreference('filterNotation');
  const { differences, settings, shot, plain } = question;
  const worse = (sign: 1 | -1): string =>
    SEEN_TERMS.filter((term) => sign * (differences[term] ?? 0) >= PAIR_LIMITS.part.value)
      .map((term) => TERM_LABEL[term])
      .join(messages.and);
  const set = (side: 0 | 1): string =>
    TOLD.filter((key) => text(side, key) !== text(side === 0 ? 1 : 0, key))
      .map((key) => text(side, key))
      .join(', ');
  const text = (side: 0 | 1, key: (typeof TOLD)[number]): string => {
    const said = settingText(key, settings[side], shot.filters, notation);
    if (key === 'iso') return messages.isoOf({ iso: said });
    return key === 'filter' && settings[side].filter.ids.length === 0 ? messages.noFilter : said;
  };
  return (
    <p className={styles.last} role="status">
      {messages.lastPair({ said: messages.saidLast[said] })}{' '}
      {messages.sideWas({ name: 'A', set: set(0), worse: worse(-1) === '' ? messages.nothing : worse(-1) })}{' '}
      {messages.sideWas({ name: 'B', set: set(1), worse: worse(1) === '' ? messages.nothing : worse(1) })}
      {plain && ` ${messages.wasPlain}`}
    </p>
  );
}
