'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/carry/day';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { DeckCard } from '@/core/day/deck';
import type { Outing, OutingDay } from '@/core/records/outing';
import { clockText } from '@/words/lightText';
import { outingUrl } from '../../routes';
import styles from './day.module.css';

/** The end of the day: what was recorded, what was not, and where to go on. */
export function AfterCard({
  outing,
  day,
  deck,
  onOpen,
}: {
  outing: Outing;
  day: OutingDay;
  deck: readonly DeckCard[];
  onOpen: (cardId: string) => void;
}): ReactNode {
  const shots = deck.filter((card) => card.kind === 'shot');
  const recorded = shots.filter(({ done }) => done === 'recorded').length;
  const at = outing.days.findIndex(({ id }) => id === day.id);
  const next = outing.days[at + 1];
  return (
    <>
      <div className={styles.title}>
        <h1>{messages.afterTheDay}</h1>
        <p>{messages.ofRecordedCopyTheCards({ recorded, count: shots.length })}</p>
      </div>
      <ul className={styles.slots}>
        {shots.map((card) => (
          <li key={card.id}>
            <button type="button" className={styles.plain} onClick={() => onOpen(card.id)}>
              <span className="numerals">{clockText(card.fromMs, outing.zone)}</span>{' '}
              {shotName(card.parts[0]?.shot)}
            </button>{' '}
            <span className="quiet">{card.done ?? messages.open}</span>
          </li>
        ))}
      </ul>
      <p>
        <Link href={outingUrl('/debrief', outing.id, day.id)}>{messages.toTheDebrief}</Link> ·{' '}
        <Link href="/log">{messages.toTheLog}</Link>
        {next && (
          <>
            {' '}
            · <Link href={outingUrl('/carry', outing.id, next.id)}>{messages.toTheNextDay}</Link>
          </>
        )}
      </p>
    </>
  );
}
