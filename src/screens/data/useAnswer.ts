'use client';

import { useMemo } from 'react';
import type { Answer, RefusalFile } from '@/core/records/answerFile';
import { briefOf } from '@/core/brief/brief';
import type { Assumed, Brief } from '@/core/brief/brief';
import { isTimeLapse } from '@/core/day/partAnswer';
import type { WorkedPart } from '@/core/day/workedDay';
import type { Pins } from '@/core/records/settings';
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

/** `held`: what the shot's day decides of it; where nothing keeps that any more, the shot is answered without. */
export function solveForScreen(shot: Shot, held: Pins = {}): Solved {
  const { brief, assumed } = briefOf(shot, held);
  const outcome = solve(brief);
  if (!outcome.solved && Object.keys(brief.held).length > 0) return solveForScreen(shot);
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

/** A part as its day carries it: the same answer as on the Bench. `null`: not worked out, or a time-lapse. */
export function solveInDay(part: WorkedPart): Solved | null {
  if (!part.answer?.carried || isTimeLapse(part)) return null;
  return solveForScreen(part.shot, part.answer.held?.pins);
}

export function useAnswer(shot: Shot, held?: Pins): Solved {
  return useMemo(() => solveForScreen(shot, held), [shot, held]);
}
