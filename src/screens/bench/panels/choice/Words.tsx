import * as messages from '@/language/bench/choice';
import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import { WORDS } from '@/core/vocabulary/words';
import { Meaning } from '../../../ui/Meaning';
import styles from '../../bench.module.css';

/** Every word that wants explaining, each with its figure on this shot. */
export function Words({ solution }: { solution: Solution }): ReactNode {
  return (
    <section aria-labelledby="words-title" className={styles.findings}>
      <h2 id="words-title">{messages.whatWordsMean}</h2>
      <p className={styles.words}>
        {WORDS.map((word) => (
          <Meaning key={word} word={word} solution={solution} />
        ))}
      </p>
    </section>
  );
}
