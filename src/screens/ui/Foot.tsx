import type { ReactNode } from 'react';
import styles from './ui.module.css';

/** What is pressed next; on a phone at the foot of the screen, where the thumb is. */
export function Foot({ children }: { children: ReactNode }): ReactNode {
  return <div className={styles.foot}>{children}</div>;
}

/** A place that has such a foot: its end stays in sight above it. */
export const ABOVE_FOOT = styles.aboveFoot ?? '';
