'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';

/** The address of a panel of the Bench, from that of the page as it is. */
export function panelUrl(query: string, panel: string): string {
  const next = new URLSearchParams(query);
  next.set('part', panel);
  return `/bench?${next.toString()}#bench-part`;
}

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
  return (
    <Link href={panelUrl(useSearchParams().toString(), panel)} replace aria-label={label}>
      {children}
    </Link>
  );
}
