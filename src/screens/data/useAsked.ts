'use client';

import { useEffect, useState } from 'react';
import { whyText } from '@/words/whyText';

/** What came of a question, and of which; while the next is worked out the last answer stays. */
export type Asked<Q, A> = { of: Q; answer: A } | { of: Q; failed: string } | null;

/**
 * What a worker answers to a question, anew for every other one; `null` until the first answer. `undefined` asks nothing
 * yet. `ask` is a function of a module, not made at every drawing.
 */
export function useAsked<Q, A>(question: Q | undefined, ask: (question: Q) => Promise<A>): Asked<Q, A> {
  const [asked, setAsked] = useState<Asked<Q, A>>(null);
  useEffect(() => {
    if (question === undefined) return undefined;
    let current = true;
    const put = (next: Asked<Q, A>): void => {
      if (current) setAsked(next);
    };
    ask(question).then(
      (answer) => put({ of: question, answer }),
      (error: unknown) => put({ of: question, failed: whyText(error) }),
    );
    return () => {
      current = false;
    };
  }, [question, ask]);
  return asked;
}
