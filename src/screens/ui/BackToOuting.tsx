'use client';

import * as messages from '@/language/ui';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { outingUrl, useOutingAddress } from '../routes';

/** The way back to the outing that a shot was opened from. */
export function BackToOuting({ className }: { className: string }): ReactNode {
  const { outingId, dayId } = useOutingAddress();
  if (outingId === null) return null;
  return (
    <Link href={outingUrl('/outing', outingId, dayId)} className={className}>
      {messages.backToTheOuting}
    </Link>
  );
}
