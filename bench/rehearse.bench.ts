import { makeDemo } from '../demo/makeDemo';
import type { Memo } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import { planOf } from '@/core/rehearse/plan';
import { Rehearsing } from '@/core/rehearse/rehearse';
import { USUAL_UNKNOWNS } from '@/core/rehearse/unknowns';
import { whatIfs } from '@/core/rehearse/whatIfs';
import { item } from '@/core/units/items';
import { wallClock } from '@/formats/clock';

/** The demo's ten-hour Saturday, nothing remembered the first time: its plan, first days, all of them, and what would help. */
const { shots, outings } = makeDemo();
const outing = item(outings, 0);
const kept = new Map(shots.map((one) => [one.id, one]));

const since = (from: number): string => `${(performance.now() - from).toFixed(0)} ms`;

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
  console.log(
    `rehearsing the demo's Saturday, ${turn}: plan ${planned}, first 40 days ${first}, 1,000 days ${thousand}, 5,000 days ${all}, picks ${picks}, what would help ${since(from)}`,
  );
}
