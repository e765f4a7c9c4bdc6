'use client';

import type { ReactNode } from 'react';
import { PAGE_OF_TERM } from '@/core/vocabulary/terms';
import type { TermId } from '@/core/vocabulary/terms';
import { TERM_LABEL } from '@/words/labels';
import styles from './ui.module.css';
import { WhyLink } from './WhyLink';

/** Terms of the loss, each leading to where it is reasoned. */
export function TermLinks({ terms }: { terms: readonly TermId[] }): ReactNode {
  return (
    <p className={styles.terms}>
      {terms.map((term) => (
        <WhyLink key={term} page={PAGE_OF_TERM[term]}>
          {TERM_LABEL[term]}
        </WhyLink>
      ))}
    </p>
  );
}
