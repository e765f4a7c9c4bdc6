'use client';

import type { ReactNode } from 'react';
import { VERDICTS } from '@/core/vocabulary/verdicts';
import type { Verdict } from '@/core/vocabulary/verdicts';
import { VERDICT_LABEL } from '@/words/labels';
import styles from './verdicts.module.css';

/** What came of a recording, as presses that stay down; `children` stand behind them. */
export function VerdictButtons({
  label,
  verdicts,
  onToggle,
  children,
}: {
  label: string;
  verdicts: readonly Verdict[];
  onToggle: (verdict: Verdict) => void;
  children?: ReactNode;
}): ReactNode {
  return (
    <div className={styles.verdicts} role="group" aria-label={label}>
      {VERDICTS.map((verdict) => (
        <button
          key={verdict}
          type="button"
          aria-pressed={verdicts.includes(verdict)}
          data-good={verdict === 'good'}
          onClick={() => onToggle(verdict)}
        >
          {VERDICT_LABEL[verdict]}
        </button>
      ))}
      {children}
    </div>
  );
}

/** Verdicts with one more, or one less where it was there. */
export function toggled(verdicts: readonly Verdict[], verdict: Verdict): Verdict[] {
  const others = verdicts.filter((one) => one !== verdict);
  return others.length < verdicts.length ? others : [...others, verdict];
}
