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
import { whatIfsByDay } from '@/core/rehearse/whatIfs';
import type { SimulatedPart } from '@/core/rehearse/simulated';
import type { PlannedDay, RehearseWorker, SeenPart } from './rehearse';

/** So many days are told first. */
const FIRST = 40;
/** So long it works between two looks at whether it was stopped, milliseconds. */
const SLICE_MS = 30;
/** Told no more often than this, milliseconds, nor more than a quarter of the time: the days of a long plan take long to sum up. */
const TELL_MS = 150;
const TELL_SHARE = 4;

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
    const stillWanted = async (): Promise<boolean> => {
      await breath();
      return mine === wanted;
    };
    let next = 0;
    while (rehearsing.draws < draws) {
      if (!(await stillWanted())) return null;
      const till = performance.now() + SLICE_MS;
      while (rehearsing.draws < draws && performance.now() < till) rehearsing.run(1);
      const now = performance.now();
      if (rehearsing.draws < draws && (rehearsing.draws < FIRST || now < next)) continue;
      onReport(rehearsing.report());
      next = performance.now() + Math.max(TELL_MS, TELL_SHARE * (performance.now() - now));
    }
    const picks = await inSlices(rehearsing.eachPick(memo), stillWanted);
    if (!picks) return null;
    const found = await inSlices(whatIfsByDay(plan, unknowns, seed, memo, draws), stillWanted);
    return found && { picks: picks.each, whatIfs: found.done };
  },
  stop() {
    wanted += 1;
  },
  async say(days, { unknowns, seed, draws }) {
    const said: Rehearsal[] = [];
    for (const day of days) {
      await breath();
      const rehearsing = new Rehearsing(planned(day), unknowns, seed);
      while (rehearsing.draws < draws) {
        const till = performance.now() + SLICE_MS;
        while (rehearsing.draws < draws && performance.now() < till) rehearsing.run(1);
        await breath();
      }
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
      return { number: from + at, loss, parts: parts.map(seenPart), clouds, outs: budgets.flatMap(outsOf) };
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

/** What is looked at of a part: what drove it stays here. */
function seenPart({ id, delayMs, evMin, evMax, failed, slips }: SimulatedPart): SeenPart {
  return { id, delayMs, evMin, evMax, failed, slips };
}

function planned({ schedule, gear, sheet }: PlannedDay): Plan {
  return planOf(schedule, gear, memo, sheet ?? undefined);
}

/** Does work step by step, with a breath between slices of it; `null`: it is no longer wanted. */
async function inSlices<E, D>(
  steps: Iterator<E, D>,
  stillWanted: () => Promise<boolean>,
): Promise<{ each: E[]; done: D } | null> {
  const each: E[] = [];
  for (;;) {
    if (!(await stillWanted())) return null;
    const till = performance.now() + SLICE_MS;
    while (performance.now() < till) {
      const step = steps.next();
      if (step.done) return { each, done: step.value };
      each.push(step.value);
    }
  }
}

function breath(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve));
}
