'use client';

import { useMemo } from 'react';
import type { Answer, RefusalFile } from '@/core/records/answerFile';
import { briefOf } from '@/core/brief/brief';
import type { Assumed, Brief, InPlan } from '@/core/brief/brief';
import { isTimeLapse } from '@/core/day/partAnswer';
import type { WorkedPart } from '@/core/day/workedDay';
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

/** Where nothing keeps any more what the shot's day decides of it, the shot is answered without. */
export function solveForScreen(shot: Shot, inPlan: InPlan = {}): Solved {
  const { brief, assumed } = briefOf(shot, inPlan);
  const outcome = solve(brief);
  if (!outcome.solved && Object.keys(brief.held).length > 0)
    return solveForScreen(shot, { ...inPlan, held: {} });
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
  return solveForScreen(part.shot, inPlanOf(part));
}

export function inPlanOf({ brief, answer }: WorkedPart): InPlan {
  return { held: answer?.held?.pins, mainsHz: brief.limits.mainsHz };
}

export function useAnswer(shot: Shot, inPlan?: InPlan): Solved {
  return useMemo(() => solveForScreen(shot, inPlan), [shot, inPlan]);
}
