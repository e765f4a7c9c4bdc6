import { outsOf } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/partWork';
import { checksOf } from '@/core/rehearse/checks';
import { otherOptions } from '@/core/rehearse/otherOptions';
import { planOf } from '@/core/rehearse/plan';
import type { Plan } from '@/core/rehearse/plan';
import { readingBefore } from '@/core/rehearse/reading';
import { Rehearsing } from '@/core/rehearse/rehearse';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { searchTimes } from '@/core/rehearse/times';
import { whatIfs } from '@/core/rehearse/whatIfs';
import type { PlannedDay, RehearseWorker } from './rehearse';

/** Days lived through between two looks at whether it was stopped; the first are told at once. */
const FIRST = 40;
const MORE = 120;
/** Told no more often than this, milliseconds. */
const TELL_MS = 150;

const memo: Memo = new Map();
let wanted = 0;
let current: Rehearsing | null = null;
let searching = 0;

/** What the worker for rehearsals does; the page's tests call it without one. */
export const rehearseWork: RehearseWorker = {
  async rehearse(day, { unknowns, seed, draws }, onReport) {
    wanted += 1;
    const mine = wanted;
    const plan = planned(day);
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
    return { picks, whatIfs: whatIfs(plan, unknowns, seed, memo, draws) };
  },
  stop() {
    wanted += 1;
  },
  async say(days, { unknowns, seed, draws }) {
    const said: Rehearsal[] = [];
    for (const day of days) {
      await breath();
      const rehearsing = new Rehearsing(planned(day), unknowns, seed);
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
      const clouds = rehearsing.clouds(from + at);
      return { number: from + at, loss, parts, clouds, outs: budgets.flatMap(outsOf) };
    });
  },
  cards(day, { unknowns, seed }, readBefore) {
    const plan = planned(day);
    const read = plan.parts.filter(({ part }) => readBefore.includes(part.id));
    return {
      checks: checksOf(plan, unknowns, seed),
      readings: new Map(
        read.map((one) => [one.part.id, readingBefore(one, otherOptions(one, plan, memo), unknowns)]),
      ),
    };
  },
  async times(day, { unknowns, seed }, limits, onTried) {
    searching += 1;
    const mine = searching;
    const search = searchTimes(planned(day), unknowns, seed, limits, memo);
    for (;;) {
      await breath();
      if (mine !== searching) return { how: 'stopped' };
      const step = search.next();
      if (!step.done) onTried(step.value);
      else return step.value ? { how: 'better', times: step.value } : { how: 'none' };
    }
  },
  stopTimes() {
    searching += 1;
  },
};

function planned({ schedule, gear, sheet }: PlannedDay): Plan {
  return planOf(schedule, gear, memo, sheet ?? undefined);
}

function breath(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve));
}
