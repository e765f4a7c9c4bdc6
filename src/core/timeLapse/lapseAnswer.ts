import type { FilterSetting } from '../filters/kit';
import type { Brief } from '../brief/brief';
import type { Settings } from '../records/settings';
import type { Obstacle } from '../search/obstacle';
import { workingsOf } from '../search/workings';
import { timeLapsePlan } from './timeLapsePlan';
import type { TimeLapsePlan } from './timeLapsePlan';

/** A time-lapse as an answer: its plan and all its settings, what it loses, and whether it can be exposed at all. */
export interface LapseAnswer {
  plan: TimeLapsePlan;
  settings: Settings;
  /** The weighted losses, on the scale of every answer. */
  loss: number;
  /** Neither white nor dark past what an edit brings back. */
  exposed: boolean;
}

type LapseOr = { ok: true; lapse: LapseAnswer } | { ok: false; obstacle: Obstacle };

/** White that the edit may still bring back beside the camera's guard, and dark that it may lift, stops (start). */
const BRIGHT_BORNE_STOPS = 0.5;
const DARK_BORNE_STOPS = 1;
/** A night that falls may end dark: what was watched has gone by then, stops (start). */
const NIGHT_BORNE_STOPS = 3;

export function lapseOr(brief: Brief, filters?: readonly FilterSetting[]): LapseOr {
  const made = timeLapsePlan(brief, filters);
  if (!made.ok) return made;
  const { plan } = made;
  const guard = brief.camera.highlightGuardStops[brief.pins.colour ?? 'standard'];
  return {
    ok: true,
    lapse: {
      plan,
      settings: settingsOfPlan(plan, brief),
      loss: plan.score,
      exposed: plan.overStops <= guard + BRIGHT_BORNE_STOPS && plan.underStops <= darkBorne(brief),
    },
  };
}

export function darkBorne({ timeLapse }: Brief): number {
  return timeLapse.change === 'sunset' ? NIGHT_BORNE_STOPS : DARK_BORNE_STOPS;
}

/** `null`: the camera records none that keeps the pins. Only `filters` are tried, where some are named. */
export function lapseOf(brief: Brief, filters?: readonly FilterSetting[]): LapseAnswer | null {
  const made = lapseOr(brief, filters);
  return made.ok ? made.lapse : null;
}

/** White balance at which a sunset keeps its colours, K. */
const SUNSET_K = 5400;
/** And at which a night sky is neither brown nor blue, K (start). */
const STARS_K = 4000;

function settingsOfPlan(plan: TimeLapsePlan, brief: Brief): Settings {
  const { mode, encoding, filter, shutter, iso } = plan;
  const { pins, timeLapse } = brief;
  const runs = shutter.spanStops > 0;
  // Pictures of one film may not change colour between them.
  const whiteBalance =
    timeLapse.change === 'sunset'
      ? SUNSET_K
      : timeLapse.change === 'stars'
        ? STARS_K
        : workingsOf(brief).lightColour.lockK;
  return {
    frameRate: mode.frameRate,
    shutterSeconds: shutter.longestSeconds,
    shutterAngleDeg: Math.min(360, plan.shutterAngleDeg),
    shutterMode: runs ? 'auto' : 'fixed',
    ...(runs ? { shutterFloorSeconds: shutter.shortestSeconds } : {}),
    filter: { ids: [...filter.ids], stops: filter.stops },
    iso: { min: iso.min, max: iso.max },
    resolution: { width: mode.resolution.width, height: mode.resolution.height },
    view: { id: mode.view.id, horizontalDeg: mode.view.horizontalDeg },
    bitRateMbps: encoding.bitRateMbps,
    codec: encoding.codec,
    bitDepth: encoding.bitDepth,
    recording: mode.recording,
    stabilization: mode.stabilization,
    whiteBalance: pins.whiteBalance ?? whiteBalance,
    colour: pins.colour ?? 'standard',
    exposureOffsetStops: pins.exposureOffsetStops ?? 0,
    sharpening: pins.sharpening ?? 'standard',
    noiseReduction: pins.noiseReduction ?? 'standard',
  };
}
