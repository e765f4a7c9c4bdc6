import * as messages from '@/language/start';
import { useEffect, useState } from 'react';
import type { Shot } from '@/core/records/shot';
import { shortAnswer } from '@/workers/shots';
import type { ShortAnswer } from '@/workers/shots';

/** The answer of a shot, worked out beside the page; `null` while there is none yet. */
export function useShortAnswer(shot: Shot): ShortAnswer | null {
  const [result, setResult] = useState<{ of: Shot; answer: ShortAnswer } | null>(null);
  useEffect(() => {
    let gone = false;
    shortAnswer(shot).then(
      (answer) => {
        if (!gone) setResult({ of: shot, answer });
      },
      () => {
        if (!gone) setResult({ of: shot, answer: { refused: messages.notWorkedOutOpenIt } });
      },
    );
    return () => {
      gone = true;
    };
  }, [shot]);
  // Of the shot as it was a moment ago, until the new answer is there.
  return result?.answer ?? null;
}
