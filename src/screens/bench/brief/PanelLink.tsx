'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';

/** Opens a panel of the Bench below, on the same shot and camera. */
export function PanelLink({
  panel,
  label,
  children,
}: {
  panel: string;
  label?: string;
  children: ReactNode;
}): ReactNode {
  const next = new URLSearchParams(useSearchParams());
  next.set('part', panel);
  return (
    <Link href={`/bench?${next.toString()}#bench-part`} replace aria-label={label}>
      {children}
    </Link>
  );
}
