import * as messages from '@/language/bench/learned';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { learnedText } from '@/words/learnedText';
import { namesOfBrief } from '@/words/learnedNames';
import styles from './own.module.css';

/** Which of the person's own figures stand behind this answer. */
export function OwnFigures({ brief }: { brief: Brief }): ReactNode {
  const { learned } = brief;
  if (learned.length === 0) return null;
  const names = namesOfBrief(brief);
  return (
    <p className={styles.own}>
      {messages.withYourOwn({ figures: learned.map((one) => learnedText(one, names)).join('; ') })}.{' '}
      <Link href="/kit?item=learned" prefetch={false}>
        {messages.allOfThem}
      </Link>
    </p>
  );
}
