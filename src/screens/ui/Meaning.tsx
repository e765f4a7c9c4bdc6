'use client';

import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import type { WordId } from '@/core/vocabulary/words';
import { WORD_LABEL, wordFigure } from '@/words/wordText';
import { showMeaning } from './meaning';
import styles from './ui.module.css';

/** A word that opens what it means, and what it comes to on this shot. */
export function Meaning({
  word,
  solution,
  children,
}: {
  word: WordId;
  solution: Solution;
  /** How it is written here, where it is not by its own name. */
  children?: ReactNode;
}): ReactNode {
  return (
    <button
      type="button"
      className={styles.meaning}
      aria-haspopup="dialog"
      onClick={() => showMeaning(word, wordFigure(word, solution))}
    >
      {children ?? WORD_LABEL[word]}
    </button>
  );
}
