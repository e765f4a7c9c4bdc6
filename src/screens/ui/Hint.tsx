'use client';

import * as messages from '@/language/ui';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useHint } from '../data/repository';
import type { HintId } from '../data/repository';
import styles from './ui.module.css';

/** A short hint where it is of use, until it is dismissed for good. */
export function Hint({ id, children }: { id: HintId; children: ReactNode }): ReactNode {
  const { shown, dismiss } = useHint(id);
  if (!shown) return null;
  return (
    <p className={styles.hint} role="note">
      {children}
      <button type="button" aria-label={messages.dismissThisHint} onClick={dismiss}>
        <X size={16} aria-hidden />
      </button>
    </p>
  );
}
