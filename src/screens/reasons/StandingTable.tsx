import * as messages from '@/language/reasons';
import type { ReactNode } from 'react';
import type { KnownBy } from '@/core/explain/formulas';
import styles from './reasons.module.css';

/** Figures or formulas, each with how it is known and why. */
export function StandingTable({
  caption,
  rows,
}: {
  caption: string | undefined;
  rows: readonly { key: string; name: ReactNode; value: string; standing: KnownBy; because: string }[];
}): ReactNode {
  return (
    <div className={styles.wide}>
      <table className={styles.table}>
        {caption !== undefined && <caption>{caption}</caption>}
        <thead>
          <tr>
            <th scope="col">{messages.figure}</th>
            <th scope="col">{messages.value}</th>
            <th scope="col">{messages.standing}</th>
            <th scope="col">{messages.because}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, name, value, standing, because }) => (
            <tr key={key}>
              <th scope="row">{name}</th>
              <td className="numerals">{value}</td>
              <td>{messages.standingLabel[standing]}</td>
              <td>{because}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
