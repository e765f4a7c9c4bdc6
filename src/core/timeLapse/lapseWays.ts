import type { Brief } from '../brief/brief';
import { schoolOf } from '../loss/schools';
import { changesFrom } from '../search/judged';
import type { TermChange } from '../search/judged';
import { omit } from '../units/omit';
import { darkBorne, lapseOf } from './lapseAnswer';
import type { LapseAnswer } from './lapseAnswer';
import type { TimeLapsePlan } from './timeLapsePlan';

/** What would expose a time-lapse that cannot be exposed as it is told, and what is then left. */
export type LapseHelp =
  | { code: 'raiseCeiling'; iso: number; underStops: number }
  | { code: 'longerInterval'; intervalSeconds: number; underStops: number }
  | { code: 'letGo'; pins: ('shutterSeconds' | 'filter' | 'iso')[]; overStops: number; underStops: number };

/** Intervals that one sets by hand, seconds. */
const INTERVALS = [1, 2, 3, 5, 10, 15, 20, 25, 30, 45, 60] as const;

/** The smallest changes that help; none where nothing does or is wanted. */
export function lapseHelps(brief: Brief, { plan, exposed }: LapseAnswer): LapseHelp[] {
  if (exposed) return [];
  const helps: LapseHelp[] = [];
  const held = (['shutterSeconds', 'filter', 'iso'] as const).filter((pin) => brief.pins[pin] !== undefined);
  if (held.length > 0) {
    const pins = held.reduce<Brief['pins']>((left, key) => omit(left, key), brief.pins);
    const free = lapseOf({ ...brief, pins });
    if (free?.exposed) {
      const { overStops, underStops } = free.plan;
      helps.push({ code: 'letGo', pins: held, overStops, underStops });
    }
  }
  if (plan.underStops > darkBorne(brief)) {
    const { camera, limits, timeLapse } = brief;
    const steps = camera.iso.steps.filter(
      (step) => step > limits.isoCeiling && step <= camera.iso.standard.max,
    );
    const raised = firstBetter(steps, plan, (isoCeiling) => ({
      ...brief,
      limits: { ...limits, isoCeiling },
    }));
    if (raised) helps.push({ code: 'raiseCeiling', iso: raised.by, underStops: raised.underStops });
    const longer = INTERVALS.filter((seconds) => seconds > plan.intervalSeconds);
    const slower = timeLapse.moving
      ? null
      : firstBetter(longer, plan, (intervalSeconds) => ({
          ...brief,
          timeLapse: { ...timeLapse, intervalSeconds },
        }));
    if (slower)
      helps.push({ code: 'longerInterval', intervalSeconds: slower.by, underStops: slower.underStops });
  }
  return helps;
}

/** The first of some values that exposes it, else the one that leaves least, where that is less by half a stop. */
function firstBetter(
  values: readonly number[],
  { underStops }: TimeLapsePlan,
  briefWith: (value: number) => Brief,
): { by: number; underStops: number } | null {
  let best: { by: number; underStops: number } | null = null;
  for (const by of values) {
    const lapse = lapseOf(briefWith(by));
    if (!lapse) continue;
    const left = lapse.plan.underStops;
    if (left < (best?.underStops ?? underStops) - 0.5) best = { by, underStops: left };
    if (lapse.exposed) break;
  }
  return best;
}

/** Another way to take the same time-lapse, on the answer's own scale. */
export interface LapseAlternative {
  way: 'bare' | 'held' | 'followed';
  lapse: LapseAnswer;
  gains: TermChange[];
  costs: TermChange[];
}

/** Without glass, with the exposure held, or followed: as far as they differ from the answer and keep its pins. */
export function lapseAlternatives(brief: Brief, { plan, settings }: LapseAnswer): LapseAlternative[] {
  const ways: { way: LapseAlternative['way']; pins: Brief['pins'] }[] = [];
  if (plan.filter.ids.length > 0 && !brief.pins.filter)
    ways.push({ way: 'bare', pins: { filter: { ids: [] } } });
  if (
    brief.pins.shutterMode === undefined &&
    brief.pins.shutterSeconds === undefined &&
    brief.camera.shutter.auto
  )
    ways.push(
      settings.shutterMode === 'auto'
        ? { way: 'held', pins: { shutterMode: 'fixed' } }
        : { way: 'followed', pins: { shutterMode: 'auto' } },
    );
  const school = schoolOf(brief.look);
  return ways.flatMap(({ way, pins }) => {
    const lapse = lapseOf({ ...brief, pins: { ...brief.pins, ...pins } });
    return lapse ? [{ way, lapse, ...changesFrom({ school }, plan.loss, lapse.plan.loss) }] : [];
  });
}
