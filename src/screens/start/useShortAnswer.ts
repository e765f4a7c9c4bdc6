import * as messages from '@/language/start';
import { useEffect, useState } from 'react';
import type { Shot } from '@/core/records/shot';
import { shortAnswer } from '@/workers/shots';
import type { ShortAnswer } from '@/workers/shots';
import { useWithOwn } from '../data/learned';

/** The answer of a shot by itself, worked out beside the page; `null` while there is none yet. */
export function useShortAnswer(shot: Shot): ShortAnswer | null {
  return useAnswerOf(useWithOwn(shot), alone);
}

const alone = (shot: Shot): Promise<ShortAnswer> => shortAnswer(shot);

/** What is answered of a thing: of the thing as it was a moment ago, until the new answer is there. */
export function useAnswerOf<T>(
  of: T,
  answerOf: ((of: T) => Promise<ShortAnswer>) | null,
): ShortAnswer | null {
  const [result, setResult] = useState<ShortAnswer | null>(null);
  useEffect(() => {
    if (!answerOf) return undefined;
    let gone = false;
    answerOf(of).then(
      (answer) => {
        if (!gone) setResult(answer);
      },
      () => {
        if (!gone) setResult({ refused: messages.notWorkedOutOpenIt });
      },
    );
    return () => {
      gone = true;
    };
  }, [of, answerOf]);
  return result;
}
