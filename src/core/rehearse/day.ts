import type { CameraBudget } from '../day/budget';
import { budgetOf } from './budgets';
import type { SeededRandom } from '../units/seededRandom';
import { AIR, delayed, delaysOf } from './delays';
import { byChance, filmed } from './filmed';
import type { Worn } from './filmed';
import { LOST_CLIP } from './simulated';
import type { SimulatedDay, SimulatedPart } from './simulated';
import type { Plan, PlannedPart } from './plan';
import type { Unknowns } from './unknowns';

/** Lives through one day, the plan held fixed. */
export function simulateDay(plan: Plan, drawn: SeededRandom, unknowns: Unknowns): SimulatedDay {
  const { schedule, parts } = plan;
  const delays = delaysOf(schedule, drawn, unknowns);
  const air = drawn.normal(AIR);
  const day = delayed(schedule, delays, air * unknowns.airC);
  const worn: Worn = new Map();
  const slips = byChance(drawn, unknowns);
  const simulated = parts.map((planned) =>
    filmed(planned, delays.get(planned.part.entryId) ?? 0, worn, {
      drawn,
      unknowns,
      air,
      fromMs: schedule.fromMs,
      slips,
    }),
  );
  const cameras = new Map(parts.map(({ part }) => [part.camera.id, part.camera]));
  const budgets = [...cameras.values()].map((camera) => budgetOf(camera, plan, delays, day, drawn, unknowns));
  const byCamera = new Map(budgets.map((one) => [one.cameraId, one]));
  const ended = simulated.map((one, at): SimulatedPart => {
    const planned = parts[at];
    const budget = planned && byCamera.get(planned.part.camera.id);
    return planned && budget ? withOuts(one, planned, budget) : one;
  });
  return {
    parts: ended,
    budgets,
    everythingLasts: budgets.every(({ card, power, heat }) => !card.out && !power.out && !heat.out),
    loss: ended.reduce((sum, { loss }) => sum + loss, 0),
  };
}

/** What ran out while a part was filmed, or had run out before it and was not mended. */
function withOuts(
  simulated: SimulatedPart,
  { part }: PlannedPart,
  { card, power, heat, acts }: CameraBudget,
): SimulatedPart {
  const outs = { card: card.out, power: power.out, heat: heat.out };
  const fromMs = part.fromMs + simulated.delayMs;
  const toMs = part.toMs + simulated.delayMs;
  const failed = new Set(simulated.failed);
  let lost = 0;
  for (const what of ['card', 'power', 'heat'] as const) {
    const out = outs[what];
    if (!out || out.atMs >= toMs) continue;
    const mends = what === 'card' ? ['card'] : ['cell', 'charge'];
    const mended =
      what === 'heat' ||
      acts.some((act) => mends.includes(act.what) && act.atMs > out.atMs && act.atMs <= fromMs);
    if (out.partId !== part.id && mended) continue;
    failed.add(what);
    lost = Math.max(lost, out.atMs <= fromMs ? 1 : (toMs - out.atMs) / Math.max(1, toMs - fromMs));
  }
  return lost === 0 && failed.size === simulated.failed.size
    ? simulated
    : { ...simulated, failed, loss: simulated.loss + lost * LOST_CLIP };
}
