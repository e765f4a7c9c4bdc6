import type { ReactNode } from 'react';
import styles from './ui.module.css';

/** A few computed figures in a row: quiet names, loud numerals. */
export function Figures({
  items,
}: {
  items: readonly (readonly [name: string, value: string])[];
}): ReactNode {
  return (
    <dl className={styles.figures}>
      {items.map(([name, value]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd className="numerals">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
