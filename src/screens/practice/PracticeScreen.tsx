'use client';

import * as messages from '@/language/practice';
import { useRouter, useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import { PlaceTabs } from '../ui/PlaceTabs';
import { DrillsTab } from './drills/DrillsTab';
import { EyeTab } from './eye/EyeTab';
import styles from './practice.module.css';

const PARTS = [
  { id: 'drills', label: messages.drills },
  { id: 'eye', label: messages.ownEye },
] as const;

/** Practice: short drills of what the answers rest on, and what the person's own eye prefers. */
export function PracticeScreen(): ReactNode {
  const router = useRouter();
  const open = useSearchParams().get('part') === 'eye' ? 'eye' : 'drills';
  return (
    <div className={styles.practice}>
      <h1>{messages.practice}</h1>
      <PlaceTabs
        label={messages.parts}
        tabs={PARTS}
        open={open}
        onOpen={(part) => router.push(part === 'eye' ? '/practice?part=eye' : '/practice')}
      >
        {open === 'eye' ? <EyeTab /> : <DrillsTab />}
      </PlaceTabs>
    </div>
  );
}
