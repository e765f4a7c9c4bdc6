import { outsOf } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/daySheet';
import { planOf } from '@/core/rehearse/plan';
import { Rehearsing } from '@/core/rehearse/rehearse';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { whatIfs } from '@/core/rehearse/whatIfs';
import type { RehearseWorker } from './rehearse';

/** Days lived through between two looks at whether it was stopped; the first are told at once. */
const FIRST = 40;
const MORE = 120;
/** Told no more often than this, milliseconds. */
const TELL_MS = 150;

const memo: Memo = new Map();
let wanted = 0;
let current: Rehearsing | null = null;

/** What the worker for rehearsals does; the page's tests call it without one. */
export const rehearseWork: RehearseWorker = {
  async rehearse(day, gear, { unknowns, seed, draws }, onReport) {
    wanted += 1;
    const mine = wanted;
    const plan = planOf(day, gear, memo);
    const rehearsing = new Rehearsing(plan, unknowns, seed);
    current = rehearsing;
    rehearsing.run(Math.min(FIRST, draws));
    onReport(rehearsing.report());
    let told = performance.now();
    while (rehearsing.draws < draws) {
      await breath();
      if (mine !== wanted) return null;
      rehearsing.run(Math.min(MORE, draws - rehearsing.draws));
      if (performance.now() - told < TELL_MS && rehearsing.draws < draws) continue;
      onReport(rehearsing.report());
      told = performance.now();
    }
    await breath();
    if (mine !== wanted) return null;
    const picks = rehearsing.picks(memo);
    await breath();
    if (mine !== wanted) return null;
    return { picks, whatIfs: whatIfs(plan, unknowns, seed, memo) };
  },
  stop() {
    wanted += 1;
  },
  async say(days, { unknowns, seed, draws }) {
    const said: Rehearsal[] = [];
    for (const { day, gear } of days) {
      await breath();
      const rehearsing = new Rehearsing(planOf(day, gear, memo), unknowns, seed);
      rehearsing.run(draws);
      said.push(rehearsing.report());
    }
    return said;
  },
  look(from, count) {
    const rehearsing = current;
    if (!rehearsing) return [];
    return Array.from({ length: count }, (_, at) => {
      const { loss, parts, budgets } = rehearsing.day(from + at);
      return { number: from + at, loss, parts, outs: budgets.flatMap(outsOf) };
    });
  },
};

function breath(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve));
}
