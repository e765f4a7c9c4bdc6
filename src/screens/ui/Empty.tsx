import type { ReactNode } from 'react';
import styles from './ui.module.css';

/** A place with nothing on it yet: what belongs here, and the way to it. */
export function Empty({
  title,
  text,
  children,
}: {
  title: string;
  text: string;
  children?: ReactNode;
}): ReactNode {
  return (
    <section className={styles.empty}>
      <h2>{title}</h2>
      <p className="quiet">{text}</p>
      {children}
    </section>
  );
}
