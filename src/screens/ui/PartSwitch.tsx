'use client';

import * as messages from '@/language/ui';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import { partCount } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import type { PlacePath } from '../routes';
import styles from './ui.module.css';
import { partName } from '@/words/shotName';

/** The cameras of a shot, when there are several, each a link of its own. */
export function PartSwitch({
  shot,
  id,
  place,
  part,
}: {
  shot: Shot;
  id: string;
  place: PlacePath;
  part: number;
}): ReactNode {
  const query = useSearchParams();
  const count = partCount(shot);
  if (count === 1) return null;
  // The day in which the shot is looked at stays the same.
  const urlOf = (index: number): string => {
    const next = new URLSearchParams(query.toString());
    next.set('shot', id);
    next.delete('angle');
    if (index > 0) next.set('angle', String(index));
    return `${place}?${next.toString()}`;
  };
  return (
    <nav
      aria-label={shot.pair ? messages.camerasAndHalvesOfThis : messages.camerasOfThisShot}
      className={styles.angles}
    >
      {Array.from({ length: count }, (_, index) => (
        <Link
          key={index}
          href={urlOf(index)}
          prefetch={false}
          aria-current={index === part ? 'page' : undefined}
        >
          {partName(shot, index)}
        </Link>
      ))}
    </nav>
  );
}
