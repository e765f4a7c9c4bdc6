'use client';

import * as messages from '@/language/reasons';
import type { ReactNode } from 'react';
import { PAGE_OF_FIGURE } from '@/core/records/learned';
import type { ReasonPage } from '@/core/vocabulary/reasonPages';
import { learnedText } from '@/words/learnedText';
import { namesIn } from '@/words/learnedNames';
import { capital } from '@/words/sentences';
import { useKit } from '../data/kit';
import { useOwn } from '../data/learned';
import { useShots } from '../data/repository';

/** What of a page's figures is learned from the person and in use, or of all. */
export function LearnedInUse({ of }: { of: ReasonPage | 'all' }): ReactNode {
  const { learned } = useOwn();
  const kit = useKit();
  const shots = useShots();
  if (!kit || !shots) return null;
  const names = namesIn({ kit, shots });
  const shown = learned.filter(({ figure }) => of === 'all' || PAGE_OF_FIGURE[figure.of] === of);
  if (shown.length === 0 && of !== 'all') return null;
  return (
    <section aria-labelledby="learned-title">
      <h2 id="learned-title">{messages.figures.learnedCaption}</h2>
      {shown.length === 0 ? (
        <p>{messages.figures.noneLearned}</p>
      ) : (
        <ul>
          {shown.map((one) => {
            const text = learnedText(one, names);
            return <li key={text}>{capital(text)}</li>;
          })}
        </ul>
      )}
    </section>
  );
}
