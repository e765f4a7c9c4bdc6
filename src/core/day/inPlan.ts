import type { InPlan } from '../brief/brief';
import { isTimeLapse } from '../records/filmedAs';
import { lapseOf } from '../timeLapse/lapseAnswer';
import type { PartSheet } from './daySheet';
import type { DayPart } from './schedule';

/**
 * What its day decides of a part: solved under this, it has the answer that the day carries, wherever it is looked at.
 * A time-lapse keeps its own plan, and wears what its camera wears then. `sheet`: `null` where the day is not worked out.
 */
export function inPlanOf({ brief, shot }: Pick<DayPart, 'brief' | 'shot'>, sheet: PartSheet | null): InPlan {
  const { mainsHz } = brief.limits;
  if (!isTimeLapse(shot)) return { held: sheet?.held?.pins, mainsHz };
  const worn = sheet?.carried?.settings.filter.ids;
  const alone = lapseOf(brief)?.settings.filter.ids;
  return {
    held: worn && worn.join() !== alone?.join() ? { filter: { ids: [...worn] } } : undefined,
    mainsHz,
  };
}
