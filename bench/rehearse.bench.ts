import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { makeDemo } from '../demo/makeDemo';
import { daySheet } from '@/core/day/daySheet';
import type { DaySheet } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/partWork';
import { scheduleOf } from '@/core/day/schedule';
import type { Schedule } from '@/core/day/schedule';
import { checksOf } from '@/core/rehearse/checks';
import { planOf } from '@/core/rehearse/plan';
import { Rehearsing } from '@/core/rehearse/rehearse';
import { searchTimes } from '@/core/rehearse/times';
import { USUAL_UNKNOWNS } from '@/core/rehearse/unknowns';
import { whatIfs } from '@/core/rehearse/whatIfs';
import { item } from '@/core/units/items';
import { wallClock } from '@/formats/clock';

/** The demo's ten-hour Saturday, nothing remembered the first time: its plan, first days, all of them, and what would help. */
const { shots, outings } = makeDemo();
const outing = item(outings, 0);
const kept = new Map(shots.map((one) => [one.id, one]));

const since = (from: number): string => `${(performance.now() - from).toFixed(0)} ms`;

interface Asked {
  schedule: Schedule;
  gear: typeof outing.gear;
  sheet: DaySheet;
}

function whole(): void {
  for (const turn of ['first', 'again', 'once more']) {
    const memo: Memo = new Map();
    let from = performance.now();
    const plan = planOf(scheduleOf(outing, 'saturday', kept, wallClock(outing.zone)), outing.gear, memo);
    const planned = since(from);
    const rehearsing = new Rehearsing(plan, USUAL_UNKNOWNS, 1);
    from = performance.now();
    rehearsing.run(40);
    rehearsing.report();
    const first = since(from);
    rehearsing.run(960);
    rehearsing.report();
    const thousand = since(from);
    rehearsing.run(4000);
    rehearsing.report();
    const all = since(from);
    from = performance.now();
    rehearsing.picks(memo);
    const picks = since(from);
    from = performance.now();
    whatIfs(plan, USUAL_UNKNOWNS, 1, memo);
    const helps = since(from);
    from = performance.now();
    checksOf(plan, USUAL_UNKNOWNS, 1);
    const checks = since(from);
    from = performance.now();
    const limits = { fromMs: 0, toMs: Infinity, mostMinutes: 120, betweenMinutes: 5, order: true, stay: [] };
    const search = searchTimes(plan, USUAL_UNKNOWNS, 1, limits, memo);
    let tried = 0;
    for (let step = search.next(); !step.done; step = search.next()) tried = step.value.tried;
    const times = `${since(from)} for ${tried} plans`;
    console.log(
      `rehearsing the demo's Saturday, ${turn}: plan ${planned}, first 40 days ${first}, 1,000 days ${thousand}, 5,000 days ${all}, picks ${picks}, what would help ${helps}, what checks save ${checks}, other times ${times}`,
    );
  }
}

/** First figures in a worker that never ran, of a day that another worked out: as one comes from the outing. */
function cold({ schedule, gear, sheet }: Asked): void {
  const from = performance.now();
  const rehearsing = new Rehearsing(planOf(schedule, gear, new Map(), sheet), USUAL_UNKNOWNS, 1);
  rehearsing.run(40);
  rehearsing.report();
  const first = since(from);
  rehearsing.run(960);
  rehearsing.report();
  console.log(
    `the same day worked out before, a cold worker: first 40 days ${first}, 1,000 days ${since(from)}`,
  );
}

if (isMainThread) {
  whole();
  const schedule = scheduleOf(outing, 'saturday', kept, wallClock(outing.zone));
  const asked: Asked = { schedule, gear: outing.gear, sheet: daySheet(schedule, outing.gear) };
  new Worker(process.argv[1] ?? '').postMessage(asked);
} else parentPort?.once('message', cold);
