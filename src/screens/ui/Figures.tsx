import type { ReactNode } from 'react';
import styles from './ui.module.css';

/** A few computed figures in a row: quiet names, loud numerals. */
export function Figures({
  items,
}: {
  /** `amiss`: it is no good as it is. */
  items: readonly (readonly [name: string, value: string, amiss?: boolean])[];
}): ReactNode {
  return (
    <dl className={styles.figures}>
      {items.map(([name, value, amiss = false]) => (
        <div key={name} data-amiss={amiss}>
          <dt>{name}</dt>
          <dd className="numerals">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
