import * as messages from '@/language/bench/timeLapse';
import { stopsRange } from '@/core/filters/kit';
import type { Brief } from '@/core/brief/brief';
import { MOVING_STEP_PCT } from '@/core/playback/timeLapse';
import { pacePctPerS } from '@/core/timeLapse/timeLapsePlan';
import type { TimeLapsePlan } from '@/core/timeLapse/timeLapsePlan';
import type { SettingKey } from '@/core/records/settings';
import { shutterFraction, trimmed } from '@/core/units/format';
import { viewLabel } from './labels';

/** A shutter as long as a second and more is told in seconds. */
export function longText(seconds: number): string {
  return seconds >= 0.4
    ? messages.seconds({ seconds: trimmed(seconds, 1) })
    : messages.seconds({ seconds: shutterFraction(seconds) });
}

/** "A picture every 4 s for 90 min: 54 s of film." */
export function lapseText(
  { intervalSeconds, clipSeconds, moving }: TimeLapsePlan,
  { limits }: Brief,
): string {
  return messages.aPictureEvery({
    intervalSeconds: trimmed(intervalSeconds, 2),
    minutes: trimmed(limits.recordSeconds / 60, 1),
    clipSeconds: trimmed(moving?.clipSeconds ?? clipSeconds, 1),
  });
}

/** What the figures of a time-lapse are made of, and what of the light it loses. */
export function lapseWhys(plan: TimeLapsePlan, brief: Brief): string[] {
  const { timelineFps } = brief.playback;
  const { resolution, view } = plan.mode;
  const lines = [
    messages.picturesAtFramesASecond({
      frames: plan.frames,
      timelineFps: trimmed(timelineFps, 3),
      speedUp: trimmed(plan.speedUp, 0),
      width: resolution.width,
      height: resolution.height,
      id: viewLabel(view.id),
    }),
    messages.openForOfTheInterval({
      shutterSeconds: trimmed((100 * plan.shutterSeconds) / plan.intervalSeconds, 0),
      shutterAngleDeg: trimmed(plan.shutterAngleDeg, 0),
    }),
  ];
  if (brief.timeLapse.look === 'blur')
    lines.push(messages.whatMovesCrossesOfThe({ brief: trimmed(pacePctPerS(brief), 1) }));
  if (plan.moving) {
    const { stepPct, mostSpeedUp } = plan.moving;
    lines.push(
      stepPct > MOVING_STEP_PCT
        ? messages.halfTheFrameJumpsOf({ stepPct: trimmed(stepPct, 0), mostSpeedUp: trimmed(mostSpeedUp, 0) })
        : messages.halfTheFrameStepsOf({
            stepPct: trimmed(stepPct, 1),
            mostSpeedUp: Number.isFinite(mostSpeedUp) ? `${trimmed(mostSpeedUp, 0)}×` : messages.anySpeed,
          }),
    );
  }
  return [...lines, ...lapseLost(plan, brief)];
}

/** What of the light it loses, and what would help. */
export function lapseLost(plan: TimeLapsePlan, brief: Brief): string[] {
  const lines: string[] = [];
  if (plan.overStops > 0.05)
    lines.push(
      brief.filters.some((filter) => stopsRange(filter).max > plan.filter.stops + 0.05)
        ? messages.theBrightestLightStaysStops({ overStops: trimmed(plan.overStops, 1) })
        : messages.noFilterOfThisBag({
            overStops: trimmed(plan.overStops, 1),
            isCrisp: brief.timeLapse.look === 'crisp',
          }),
    );
  if (plan.underStops > 0.05)
    lines.push(messages.theDarkestLightIsStops({ underStops: trimmed(plan.underStops, 1) }));
  return lines;
}

/** Why a tile of a time-lapse stands where it does; the others follow the camera. */
export function lapseTileText(plan: TimeLapsePlan, { playback }: Brief): Partial<Record<SettingKey, string>> {
  return {
    frameRate: messages.tileRate({
      timelineFps: trimmed(playback.timelineFps, 3),
      speedUp: trimmed(plan.speedUp, 0),
    }),
    shutterSeconds: messages.tileShutter({
      share: trimmed((100 * plan.shutterSeconds) / plan.intervalSeconds, 0),
    }),
    filter:
      plan.overStops > 0.05
        ? messages.tileFilterShort({ overStops: trimmed(plan.overStops, 1) })
        : messages.tileFilter,
    iso:
      plan.underStops > 0.05
        ? messages.tileIsoShort({ underStops: trimmed(plan.underStops, 1) })
        : messages.tileIso,
    resolution: messages.tileLargest,
  };
}
