'use client';

import * as messages from '@/language/practice';
import type { ReactNode } from 'react';
import { EyeTab } from './eye/EyeTab';
import styles from './practice.module.css';

/** Practice: what the person's own eye prefers. */
export function PracticeScreen(): ReactNode {
  return (
    <div className={styles.practice}>
      <h1>{messages.practice}</h1>
      <h2>{messages.ownEye}</h2>
      <EyeTab />
    </div>
  );
}
