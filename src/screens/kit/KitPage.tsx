import * as messages from '@/language/kit';
import Link from 'next/link';
import type { ReactNode } from 'react';
import styles from './kit.module.css';

/** A page of Kit that is no thing: its name, what it is for, and the way back. */
export function KitPage({
  title,
  lead,
  children,
}: {
  title: string;
  lead: string;
  children: ReactNode;
}): ReactNode {
  return (
    <article className={styles.detail} aria-label={title}>
      <Link href="/kit" className={styles.back}>
        {messages.allThingsInTheKit}
      </Link>
      <h2 className={styles.name}>{title}</h2>
      <p>{lead}</p>
      {children}
    </article>
  );
}
