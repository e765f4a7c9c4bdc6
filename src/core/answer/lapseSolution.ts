import { exposureOf } from '../search/candidate';
import type { LapseAnswer } from '../timeLapse/lapseAnswer';
import type { Brief } from '../brief/brief';
import { omit } from '../units/omit';
import { lapseHolds, lapseMotion } from './lapseFigures';
import { solve } from './solve';
import type { Solution } from './solve';

/**
 * A time-lapse for drawings that want a whole answer: place, light and framing are the shot's, exposure and settings the
 * plan's. What movement and file lose is plain video's and is not to be told. `null`: the shot has no plain answer.
 */
export function lapseSolution(brief: Brief, { plan, settings, loss }: LapseAnswer): Solution | null {
  const outcome = solve({ ...brief, pins: omit(omit(brief.pins, 'recording'), 'filter'), held: {} });
  if (!outcome.solved) return null;
  const { solution: plain } = outcome;
  const candidate = {
    ...plain.candidate,
    mode: plan.mode,
    filter: plan.filter,
    encoding: plan.encoding,
    shutter: plan.shutter,
    iso: plan.iso,
  };
  const { figures } = plain;
  const space = { ...plain.space, brief };
  return {
    space,
    candidate,
    settings,
    score: loss,
    loss: plan.loss,
    exposure: exposureOf(space, candidate),
    figures,
    motion: lapseMotion(brief, plan),
    holds: lapseHolds(brief, plan),
    warnings: [],
    schools: [],
    alternatives: [],
  };
}
