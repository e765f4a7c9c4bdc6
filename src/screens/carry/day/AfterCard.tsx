'use client';

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
        <h1>After the day</h1>
        <p>
          {recorded} of {shots.length} recorded. Copy the cards twice before they are emptied; charge cells
          warm and dry.
        </p>
      </div>
      <ul className={styles.slots}>
        {shots.map((card) => (
          <li key={card.id}>
            <button type="button" className={styles.plain} onClick={() => onOpen(card.id)}>
              <span className="numerals">{clockText(card.fromMs, outing.zone)}</span>{' '}
              {card.parts[0]?.shot.name ?? 'Untitled shot'}
            </button>{' '}
            <span className="quiet">{card.done ?? 'open'}</span>
          </li>
        ))}
      </ul>
      <p>
        <Link href="/log">To the log</Link>
        {next && (
          <>
            {' '}
            · <Link href={outingUrl('/carry', outing.id, next.id)}>To the next day</Link>
          </>
        )}
      </p>
    </>
  );
}
