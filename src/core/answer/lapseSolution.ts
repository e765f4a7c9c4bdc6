import { isoWindow, shutterSetting } from '../loss/exposure';
import { exposureOf } from '../search/candidate';
import type { LapseAnswer } from '../timeLapse/lapseAnswer';
import type { Brief } from '../brief/brief';
import { omit } from '../units/omit';
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
    shutter: shutterSetting(plan.shutterSeconds, plan.shutterSeconds),
    iso: isoWindow(plan.iso, plan.iso),
  };
  const { figures, motion } = plain;
  const space = { ...plain.space, brief };
  return {
    space,
    candidate,
    settings,
    score: loss,
    loss: plain.loss,
    exposure: exposureOf(space, candidate),
    figures,
    motion,
    get holds() {
      return plain.holds;
    },
    warnings: [],
    schools: [],
    alternatives: [],
  };
}
