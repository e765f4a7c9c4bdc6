'use client';

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
      <h2 id="outing-title">Outing</h2>
      <p>
        <Link href={outingUrl('/outing', outing.id, day.id)} prefetch={false} className={styles.name}>
          {outing.name}
        </Link>{' '}
        <span className="quiet">
          {outing.days.map(({ date }) => dayText(date)).join(', ')},{' '}
          {shots === 1 ? '1 shot' : `${shots} shots`}
        </span>
      </p>
      <Link href={outingUrl('/carry', outing.id, day.id)} prefetch={false} className={styles.carry}>
        Carry the day
      </Link>
    </section>
  );
}
