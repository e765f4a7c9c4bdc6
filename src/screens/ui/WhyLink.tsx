'use client';

import * as messages from '@/language/ui';
import Link from 'next/link';
import { usePathname, useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import type { ReasonPage } from '@/core/vocabulary/reasonPages';
import { PAGE_TITLE } from '@/words/reasonTitles';
import { reasonsUrl, useShotId } from '../routes';
import styles from './ui.module.css';

/** Leads from what is told to the page that reasons it, with the numbers of the open shot, and from there back here. */
export function WhyLink({
  page,
  shotId,
  children,
  onGo,
}: {
  page: ReasonPage;
  /** Whose numbers; the shot that the address names where nothing is said. */
  shotId?: string | undefined;
  /** What is told itself, where it is the link. */
  children?: ReactNode;
  onGo?: () => void;
}): ReactNode {
  const path = usePathname();
  const query = useSearchParams().toString();
  const open = useShotId();
  return (
    <Link
      className={styles.why}
      href={reasonsUrl(page, shotId ?? open, query === '' ? path : `${path}?${query}`)}
      {...(children === undefined ? { 'aria-label': messages.whyPage({ page: PAGE_TITLE[page] }) } : {})}
      {...(onGo ? { onClick: onGo } : {})}
    >
      {children ?? messages.why}
    </Link>
  );
}
