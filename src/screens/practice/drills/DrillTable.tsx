'use client';

import * as messages from '@/language/practice/drills';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { cardsOf, dueOf } from '@/core/drill/next';
import { DRILL_KINDS } from '@/core/vocabulary/drills';
import type { Tried } from '@/core/records/practised';
import { trimmed } from '@/core/units/format';
import { ownZone } from '@/formats/today';
import { DRILL_LABEL } from '@/words/drillText';
import { dateText } from '@/words/lightText';
import { middleOf } from './middle';
import styles from './drills.module.css';

/** Each kind: how often it was answered, what it lost, and when it is asked again. */
export function DrillTable({ tried }: { tried: readonly Tried[] }): ReactNode {
  const cards = useMemo(() => cardsOf(tried), [tried]);
  const dueText = (due: Date | null): string => {
    if (!due) return messages.never;
    return due.getTime() <= Date.now()
      ? messages.now
      : messages.on({ date: dateText(due.getTime(), ownZone()) });
  };
  return (
    <div className={styles.wide}>
      <table className={styles.table}>
        <caption>{messages.byKind}</caption>
        <thead>
          <tr>
            <th scope="col">{messages.kind}</th>
            <th scope="col">{messages.count}</th>
            <th scope="col">{messages.middleLoss}</th>
            <th scope="col">{messages.dueNext}</th>
          </tr>
        </thead>
        <tbody>
          {DRILL_KINDS.map((kind) => {
            const losses = tried.filter((one) => one.kind === kind).map(({ loss }) => loss);
            return (
              <tr key={kind}>
                <th scope="row">{DRILL_LABEL[kind]}</th>
                <td className="numerals">{losses.length}</td>
                <td className="numerals">{losses.length === 0 ? '' : trimmed(middleOf(losses), 1)}</td>
                <td>{dueText(dueOf(kind, cards))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
