import { usableGb, writtenMbps } from '../camera/card';
import { motionOf, viewFigures } from '../loss/movement';
import type { Brief } from '../brief/brief';
import { workingsOf } from '../search/workings';
import type { TimeLapsePlan } from '../timeLapse/timeLapsePlan';
import { secondsOf } from '../units/data';
import { chanceInside, UNLIMITED } from './holds';
import type { Holds } from './holds';
import type { Solution } from './solve';

/** Movement between two pictures of a time-lapse and within one, per cent of the width. */
export function lapseMotion(
  brief: Brief,
  { mode, intervalSeconds, shutterSeconds }: TimeLapsePlan,
): Solution['motion'] {
  const { horizontalDeg, projection } = mode.view;
  const view = {
    frameRate: 1 / intervalSeconds,
    horizontalDeg,
    projection,
    steadied: mode.stabilization !== 'off',
  };
  const { worstPctPerS } = viewFigures(brief, view);
  return {
    ...motionOf(brief, { worstPctPerS, stepPct: worstPctPerS * intervalSeconds }, view, shutterSeconds),
    seenFps: brief.playback.timelineFps,
  };
}

/** How far light and card may drift: of a time-lapse nothing else ends it. */
export function lapseHolds(brief: Brief, plan: TimeLapsePlan): Holds {
  const { camera, limits, playback, pins } = brief;
  const { light } = workingsOf(brief);
  const { windowEvMin, windowEvMax } = plan.exposure;
  const guardStops = camera.highlightGuardStops[pins.colour ?? 'standard'];
  // One picture an interval, at the rate of the film that it becomes.
  const share = 1 / (plan.intervalSeconds * playback.timelineFps);
  const recordSeconds = secondsOf(
    usableGb(limits.cardGb),
    writtenMbps(plan.encoding.bitRateMbps, camera) * share,
  );
  const lightRoom = Math.min(light.evMin - windowEvMin, windowEvMax + guardStops - light.evMax);
  return {
    evMin: windowEvMin,
    evMax: windowEvMax,
    lightChance: chanceInside(light, plan.exposure, guardStops),
    untilLimit: lightRoom <= Math.log2(recordSeconds / limits.recordSeconds) ? 'light' : 'card',
    shakeDegPerSRms: UNLIMITED,
    crossingDegPerS: UNLIMITED,
    recordSeconds,
  };
}
