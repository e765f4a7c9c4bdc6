'use client';

import { useMemo } from 'react';
import type { Answer, RefusalFile } from '@/core/records/answerFile';
import { briefOf } from '@/core/brief/brief';
import type { Assumed, Brief, InPlan } from '@/core/brief/brief';
import { refusalFor } from '@/core/answer/refusal';
import type { Refusal } from '@/core/answer/refusal';
import { isLapseBrief } from '@/core/timeLapse/timeLapsePlan';
import { lapseOr } from '@/core/timeLapse/lapseAnswer';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import { inPlanOf } from '@/core/day/inPlan';
import type { WorkedPart } from '@/core/day/workedDay';
import type { Settings } from '@/core/records/settings';
import type { Shot } from '@/core/records/shot';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { once } from '@/core/units/once';
import { useWithOwn } from './learned';
import { answerInWords, refusalInWords } from '@/words/answer';

/**
 * A shot solved for the screen: figures to draw with, words to read once they are asked for, or the refusal; of a
 * time-lapse its plan instead.
 */
export type Solved = { brief: Brief; assumed: Assumed[] } & (
  | { solution: Solution; answer: Answer; refusal: null; lapse: null }
  | { solution: null; answer: null; refusal: RefusalFile; lapse: null }
  | { solution: null; answer: null; refusal: null; lapse: LapseAnswer }
);

/** What is set, whichever way it was worked out; `null`: there is no answer. */
export function solvedSettings({ solution, lapse }: Solved): Settings | null {
  return solution?.settings ?? lapse?.settings ?? null;
}

/** Where nothing keeps any more what the shot's day decides of it, the shot is answered without. */
export function solveForScreen(shot: Shot, inPlan: InPlan = {}): Solved {
  const { brief, assumed } = briefOf(shot, inPlan);
  const outcome = isLapseBrief(brief) ? lapseOutcome(brief) : solve(brief);
  if ('lapse' in outcome)
    return { brief, assumed, solution: null, answer: null, refusal: null, lapse: outcome.lapse };
  if (!outcome.solved && Object.keys(brief.held).length > 0)
    return solveForScreen(shot, { ...inPlan, held: {} });
  if (!outcome.solved)
    return {
      brief,
      assumed,
      solution: null,
      answer: null,
      refusal: refusalInWords(outcome.refusal, brief),
      lapse: null,
    };
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
    lapse: null,
  };
}

function lapseOutcome(brief: Brief): { lapse: LapseAnswer } | { solved: false; refusal: Refusal } {
  const made = lapseOr(brief);
  return made.ok ? { lapse: made.lapse } : { solved: false, refusal: refusalFor(brief, made.obstacle) };
}

/** A part as its day carries it: the same answer as on the Bench. `null`: not worked out. */
export function solveInDay(part: WorkedPart): Solved | null {
  return part.answer?.carried ? solveForScreen(part.shot, inPlanOf(part, part.answer)) : null;
}

export function useAnswer(shot: Shot, inPlan?: InPlan): Solved {
  const own = useWithOwn(shot);
  return useMemo(() => solveForScreen(own, inPlan), [own, inPlan]);
}
