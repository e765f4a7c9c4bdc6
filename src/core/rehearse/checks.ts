import { AIR, delaysOf } from './delays';
import { SeededRandom } from '../units/seededRandom';
import { filmed, timesToSlip } from './filmed';
import type { DrawnDay, Worn } from './filmed';
import type { Plan, PlannedPart } from './plan';
import type { Slip, Unknowns } from './unknowns';

/** What looking once more saves: a slip before a part, by its chance and what it costs where it happens. */
export interface CheckWorth {
  /** Of the part. */
  id: string;
  entryId: string;
  slip: Slip;
  chance: number;
  /** Loss more where it happens, on the mean; a forgotten filter goes on until the next change. */
  costs: number;
  saves: number;
}

/** Days on which each slip is made to happen, so that a rare one is told as surely as a frequent one. */
const DAYS = 60;

/** Every slip that a person could make on the day, what the check against it saves, the most first. */
export function checksOf(plan: Plan, unknowns: Unknowns, seed: number): CheckWorth[] {
  const days = Array.from({ length: DAYS }, (_, at) => {
    const drawn = new SeededRandom(seed, at);
    return { drawn, delays: delaysOf(plan.schedule, drawn, unknowns), air: drawn.normal(AIR) };
  });
  return plan.parts
    .flatMap((planned) =>
      timesToSlip(planned).map(([slip, name]): CheckWorth => {
        const rest = fromOn(plan, planned, slip);
        let costs = 0;
        for (const { drawn, delays, air } of days) {
          const lossOf = (slips: DrawnDay['slips']): number => {
            const worn: Worn = new Map();
            const day = { drawn, unknowns, air, fromMs: plan.schedule.fromMs, slips };
            return rest.reduce(
              (sum, one) => sum + filmed(one, delays.get(one.part.entryId) ?? 0, worn, day).loss,
              0,
            );
          };
          costs += lossOf((_, its) => its === name) - lossOf(() => false);
        }
        costs /= DAYS;
        const chance = unknowns.slips[slip];
        const { id, entryId } = planned.part;
        return { id, entryId, slip, chance, costs, saves: chance * Math.max(0, costs) };
      }),
    )
    .sort((one, other) => other.saves - one.saves);
}

/** What a slip touches: the part alone, or all until the filter is changed the next time. */
function fromOn({ parts }: Plan, planned: PlannedPart, slip: Slip): PlannedPart[] {
  if (slip !== 'forgottenFilter') return [planned];
  const own = parts.filter(({ part }) => part.camera.id === planned.part.camera.id);
  const later = own.slice(own.indexOf(planned) + 1);
  const next = later.findIndex(({ changesFrom }) => changesFrom !== null);
  return [planned, ...(next < 0 ? later : later.slice(0, next))];
}
