import { breaksBetween } from '../changes/break';
import type { BreakChange } from '../changes/break';
import { oneCardMore } from '../changes/card';
import { oneCellMore } from '../changes/cell';
import { changed } from '../changes/change';
import type { FedDay } from '../changes/change';
import { forEachCamera } from '../changes/feed';
import type { FeedChange } from '../changes/feed';
import { filtersWorn } from '../changes/filter';
import type { FilterChange } from '../changes/filter';
import { stopsHalfWay } from '../changes/stop';
import type { StopChange } from '../changes/stop';
import type { Memo } from '../day/partWork';
import { simulateDay } from './day';
import { SeededRandom } from '../units/seededRandom';
import { planOf } from './plan';
import type { Plan } from './plan';
import type { Unknowns } from './unknowns';

/** One thing more for a day. */
export type Help = FeedChange | FilterChange | BreakChange | StopChange;

/** What it changes, lived through on the same days. */
export type WhatIf = {
  /** Chance that everything lasts, and mean loss of a day, before and after. */
  lasts: [before: number, after: number];
  loss: [before: number, after: number];
} & Help;

/** Enough days to tell what is worth telling. */
const DAYS = 400;
/** What changes less is not told. */
const TOLD_LOSS = 0.1;
const TOLD_CHANCE = 0.01;

/** What may help a day: a cell or card for each camera, a glass that it would wear, a break, a stop. */
export function helpsFor({ schedule, gear }: FedDay): Help[] {
  const { parts } = schedule;
  return [
    ...forEachCamera(parts, gear, 'cell', oneCellMore),
    ...forEachCamera(parts, gear, 'card', oneCardMore),
    ...filtersWorn(parts),
    ...breaksBetween(schedule),
    ...stopsHalfWay(parts),
  ];
}

/** What one more cell, card, filter or break would change, the most helpful first; on so many days where they are fewer. */
export function whatIfs(plan: Plan, unknowns: Unknowns, seed: number, memo: Memo, most = Infinity): WhatIf[] {
  return atOnce(whatIfsByDay(plan, unknowns, seed, memo, most));
}

/** The same, breathing after every day that was lived through. */
export function* whatIfsByDay(
  plan: Plan,
  unknowns: Unknowns,
  seed: number,
  memo: Memo,
  most = Infinity,
): Generator<undefined, WhatIf[]> {
  const days = Math.min(DAYS, most);
  const before = yield* daysOf(plan, unknowns, seed, days);
  const tried: WhatIf[] = [];
  for (const help of helpsFor(plan)) {
    const { schedule, gear } = changed(plan, help);
    const after = yield* daysOf(planOf(schedule, gear, memo), unknowns, seed, days);
    tried.push({ ...help, lasts: [before.lasts, after.lasts], loss: [before.loss, after.loss] });
  }
  return tried
    .filter(({ lasts, loss }) => loss[0] - loss[1] > TOLD_LOSS || lasts[1] - lasts[0] > TOLD_CHANCE)
    .sort((one, other) => savedBy(other) - savedBy(one));
}

/** A chance that something runs out weighs as a lost clip does. */
function savedBy({ lasts, loss }: WhatIf): number {
  return loss[0] - loss[1] + lasts[1] - lasts[0];
}

/** What so many days of a plan come to. */
export interface DaysOutcome {
  lasts: number;
  loss: number;
  /** Of each day, for comparing by days. */
  losses: readonly number[];
}

export function outcomeOf(plan: Plan, unknowns: Unknowns, seed: number, days: number): DaysOutcome {
  return atOnce(daysOf(plan, unknowns, seed, days));
}

function* daysOf(
  plan: Plan,
  unknowns: Unknowns,
  seed: number,
  days: number,
): Generator<undefined, DaysOutcome> {
  const losses: number[] = [];
  let lasting = 0;
  for (let at = 0; at < days; at++) {
    const { loss, everythingLasts } = simulateDay(plan, new SeededRandom(seed, at), unknowns);
    losses.push(loss);
    if (everythingLasts) lasting += 1;
    yield;
  }
  return { lasts: lasting / days, loss: losses.reduce((sum, loss) => sum + loss, 0) / days, losses };
}

/** Work that could breathe, without a breath. */
function atOnce<T>(steps: Generator<undefined, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
