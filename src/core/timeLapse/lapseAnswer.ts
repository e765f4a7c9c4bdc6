import { wearable } from '../filters/bag';
import { filterSettings } from '../filters/kit';
import type { FilterSetting } from '../filters/kit';
import { colourOfLight } from '../light/kelvin';
import { lightRangeOf } from '../light/lightRange';
import type { Brief } from '../brief/brief';
import type { Settings } from '../records/settings';
import { timeLapsePlan, usualTimeLapse } from './timeLapsePlan';
import type { TimeLapsePlan } from './timeLapsePlan';

/** A time-lapse as an answer: its plan, all its settings, and what of the light it loses. */
export interface LapseAnswer {
  plan: TimeLapsePlan;
  settings: Settings;
  loss: number;
}

/** What of the light a time-lapse loses counts as it does elsewhere: a stop of white sky more than one of shade. */
const OVER_LOSS = 1.5;
const UNDER_LOSS = 1;

/** `null`: the camera records none. Only `filters` are tried: the pinned one, or all of the kit, unless some are named. */
export function lapseOf(
  brief: Brief,
  filters: readonly FilterSetting[] = filtersOf(brief),
): LapseAnswer | null {
  const plan = timeLapsePlan(brief, usualTimeLapse(brief), filters);
  return (
    plan && {
      plan,
      settings: settingsOfPlan(plan, brief),
      loss: plan.overStops * OVER_LOSS + plan.underStops * UNDER_LOSS,
    }
  );
}

function filtersOf(brief: Brief): FilterSetting[] {
  const all = filterSettings(wearable(brief));
  const { filter } = brief.pins;
  return filter ? all.filter(({ ids }) => ids.join() === filter.ids.join()) : all;
}

function settingsOfPlan(plan: TimeLapsePlan, brief: Brief): Settings {
  const { mode, filter, shutterSeconds, shutterAngleDeg } = plan;
  const encoding = mode.encodings.reduce((best, one) => (one.bitRateMbps > best.bitRateMbps ? one : best));
  return {
    frameRate: mode.frameRate,
    shutterSeconds: Math.min(60, shutterSeconds),
    shutterAngleDeg: Math.min(360, shutterAngleDeg),
    shutterMode: 'fixed',
    filter: { ids: [...filter.ids], stops: filter.stops },
    iso: { min: plan.iso, max: plan.iso },
    resolution: { width: mode.resolution.width, height: mode.resolution.height },
    view: { id: mode.view.id, horizontalDeg: mode.view.horizontalDeg },
    bitRateMbps: encoding.bitRateMbps,
    codec: encoding.codec,
    bitDepth: encoding.bitDepth,
    recording: mode.recording,
    stabilization: mode.stabilization,
    // Pictures of one film may not change colour between them.
    whiteBalance: colourOfLight(brief.light, lightRangeOf(brief.light, brief), brief).lockK,
    colour: 'standard',
    exposureOffsetStops: 0,
    sharpening: 'standard',
    noiseReduction: 'standard',
  };
}
