'use client';

import { useMemo } from 'react';
import type { Answer, RefusalFile } from '@/core/records/answerFile';
import { briefOf } from '@/core/brief/brief';
import type { Assumed, Brief } from '@/core/brief/brief';
import type { Shot } from '@/core/records/shot';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { once } from '@/core/units/once';
import { answerInWords, refusalInWords } from '@/words/answer';

/** A shot solved for the screen: figures to draw with, words to read once they are asked for, or the refusal. */
export type Solved = { brief: Brief; assumed: Assumed[] } & (
  | { solution: Solution; answer: Answer; refusal: null }
  | { solution: null; answer: null; refusal: RefusalFile }
);

export function solveForScreen(shot: Shot): Solved {
  const { brief, assumed } = briefOf(shot);
  const outcome = solve(brief);
  if (!outcome.solved)
    return { brief, assumed, solution: null, answer: null, refusal: refusalInWords(outcome.refusal, brief) };
  const { solution } = outcome;
  const answer = once(() => answerInWords(solution, assumed));
  return {
    brief,
    assumed,
    solution,
    get answer() {
      return answer();
    },
    refusal: null,
  };
}

export function useAnswer(shot: Shot): Solved {
  return useMemo(() => solveForScreen(shot), [shot]);
}
