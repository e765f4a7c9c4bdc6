'use client';

import * as messages from '@/language/start';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { dayText } from '@/words/lightText';
import { openDayOf, useOutings } from '../data/outings';
import { outingUrl } from '../routes';
import styles from './start.module.css';

/** The next outing, or the last: its days, and the two ways into it. */
export function NextOuting(): ReactNode {
  const outings = useOutings();
  const open = outings && openDayOf(outings, null, null);
  if (!open) return null;
  const { outing, day } = open;
  const shots = new Set(
    outing.days.flatMap(({ entries }) =>
      entries.flatMap((entry) => (entry.what === 'shot' ? [entry.id] : [])),
    ),
  ).size;
  return (
    <section aria-labelledby="outing-title" className={styles.outing}>
      <h2 id="outing-title">{messages.outing}</h2>
      <p>
        <Link href={outingUrl('/outing', outing.id, day.id)} prefetch={false} className={styles.name}>
          {outing.name}
        </Link>{' '}
        <span className="quiet">
          {outing.days.map(({ date }) => dayText(date)).join(', ')}, {messages.n1Shot({ shots })}
        </span>
      </p>
      <Link href={outingUrl('/carry', outing.id, day.id)} prefetch={false} className={styles.carry}>
        {messages.carryTheDay}
      </Link>
    </section>
  );
}
