import * as messages from '@/language/bench/timeLapse';
import type { Brief } from '@/core/brief/brief';
import { MOVING_STEP_PCT } from '@/core/playback/timeLapse';
import type { Answer } from '@/core/records/answerFile';
import type { SettingKey } from '@/core/records/settings';
import { workingsOf } from '@/core/search/workings';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import type { LapseAlternative, LapseHelp } from '@/core/timeLapse/lapseWays';
import type { LapseWarning } from '@/core/timeLapse/lapseWarnings';
import { TRAIL_PX } from '@/core/timeLapse/lapseWish';
import { pacePctPerS } from '@/core/timeLapse/timeLapsePlan';
import type { TimeLapsePlan } from '@/core/timeLapse/timeLapsePlan';
import { shutterFraction, trimmed } from '@/core/units/format';
import { nearlyEqual } from '@/core/units/stops';
import type { SceneChange } from '@/core/vocabulary/timeLapses';
import { SETTING_LABEL, viewLabel } from './labels';
import { cautionText } from './mountText';

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

/** What the figures of a time-lapse are made of. */
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
    openText(plan),
  ];
  if (plan.trailSeconds !== null) lines.push(messages.starsStay({ trail: longText(plan.trailSeconds) }));
  if (brief.timeLapse.look === 'blur' && !plan.moving)
    lines.push(messages.whatMovesCrossesOfThe({ brief: trimmed(pacePctPerS(brief, view), 1) }));
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
  return lines;
}

function openText(plan: TimeLapsePlan): string {
  const { shutter, shutterSeconds, intervalSeconds, shutterAngleDeg, wishSeconds } = plan;
  if (shutter.spanStops > 0) return messages.openUpTo({ longest: longText(shutterSeconds) });
  const short = wishSeconds !== null && shutterSeconds < wishSeconds * SHORT_OF;
  return messages.openForOfTheInterval({
    shutterSeconds: shareText(plan),
    shutterAngleDeg: trimmed(shutterAngleDeg, shutterAngleDeg < 10 ? 1 : 0),
    short: short && nearlyEqual(wishSeconds, intervalSeconds / 2),
    wish: wishSeconds === null ? '' : longText(wishSeconds),
  });
}

/** A shutter that is shorter than wished by more than a tenth is told so. */
const SHORT_OF = 0.9;

function shareText({ shutterSeconds, intervalSeconds }: TimeLapsePlan): string {
  const share = (100 * shutterSeconds) / intervalSeconds;
  return trimmed(share, share < 1 ? 2 : share < 10 ? 1 : 0);
}

/** A warning of a time-lapse; what helps stands on lines of its own. */
export function lapseWarningText(warning: LapseWarning): string {
  switch (warning.code) {
    case 'exposeLapse': {
      const stops = trimmed(warning.stops, 1);
      switch (warning.seen) {
        case 'told':
          return messages.toldNarrow({ stops });
        case 'white':
          return messages.white({ stops });
        case 'dark':
          return messages.dark({ stops });
      }
    }
    case 'power':
      return messages.powerFor({
        hours: trimmed(warning.hours, 1),
        wattHours: trimmed(warning.wattHours, warning.wattHours < 10 ? 1 : 0),
      });
    case 'noise':
      return messages.grain({ iso: Math.round(warning.iso / 10) * 10 });
    case 'safety':
      return cautionText(warning.caution);
  }
}

/** What would expose it, each with what it leaves. */
export function lapseHelpText(help: LapseHelp): string {
  const missed = help.code === 'letGo' ? Math.max(help.overStops, help.underStops) : help.underStops;
  const left = missed < SEEN_STOPS ? messages.leftNothing : messages.leftStops({ stops: trimmed(missed, 1) });
  switch (help.code) {
    case 'raiseCeiling':
      return messages.raiseCeiling({ iso: help.iso, left });
    case 'longerInterval':
      return messages.longerInterval({ seconds: trimmed(help.intervalSeconds, 1), left });
    case 'letGo':
      return messages.letGo({ pins: help.pins.map((pin) => SETTING_LABEL[pin]).join(', '), left });
  }
}

const SEEN_STOPS = 0.05;

/** Why each setting of a time-lapse stands where it does; the others follow the camera. */
export function lapseTileText(
  { plan, settings }: LapseAnswer,
  brief: Brief,
): Partial<Record<SettingKey, string>> {
  const { playback, timeLapse } = brief;
  return {
    frameRate: messages.tileRate({
      timelineFps: trimmed(playback.timelineFps, 3),
      speedUp: trimmed(plan.speedUp, 0),
    }),
    shutterSeconds: tileShutter(plan),
    filter: tileFilter(plan, timeLapse.change),
    iso:
      settings.iso.min < settings.iso.max
        ? messages.tileIsoRuns
        : settings.iso.min > brief.camera.iso.standard.base
          ? messages.tileIsoRaised
          : messages.tileIsoBase,
    view: timeLapse.change === 'stars' ? messages.tileViewStars : messages.tileView,
    whiteBalance: timeLapse.change === 'sunset' ? messages.tileWhiteSunset : messages.tileWhite,
  };
}

function tileShutter(plan: TimeLapsePlan): string {
  const { shutter, wishSeconds, shutterSeconds, moving, trailSeconds } = plan;
  if (moving) return messages.tileShutterMoving;
  if (trailSeconds !== null) return messages.tileShutterStars({ trail: longText(trailSeconds) });
  if (shutter.spanStops > 0) return messages.tileRuns;
  const share = shareText(plan);
  return wishSeconds !== null && shutterSeconds < wishSeconds * SHORT_OF
    ? messages.tileShutterShort({ share })
    : messages.tileShutter({ share });
}

function tileFilter({ filter, shutter, moving }: TimeLapsePlan, change: SceneChange): string {
  if (filter.ids.length === 0)
    return change === 'sunset' || change === 'stars' ? messages.tileFilterNone : messages.tileFilterBare;
  return shutter.spanStops > 0 || moving ? messages.tileFilterHolds : messages.tileFilter;
}

/** The arithmetic behind a setting. */
function stepsFor(setting: SettingKey, { plan }: LapseAnswer, brief: Brief): string[] {
  const { light } = workingsOf(brief);
  switch (setting) {
    case 'frameRate':
      return [
        messages.stepInterval({
          recordSeconds: trimmed(brief.limits.recordSeconds, 0),
          intervalSeconds: trimmed(plan.intervalSeconds, 2),
          shots: plan.frames,
          timelineFps: trimmed(brief.playback.timelineFps, 3),
          played: trimmed(plan.clipSeconds, 1),
        }),
      ];
    case 'shutterSeconds':
      return plan.trailSeconds === null
        ? [openText(plan)]
        : [openText(plan), messages.stepTrail({ px: TRAIL_PX, trail: longText(plan.trailSeconds) })];
    case 'filter':
    case 'iso':
      return [
        messages.stepWindow({
          windowMin: trimmed(plan.exposure.windowEvMin, 1),
          windowMax: trimmed(plan.exposure.windowEvMax, 1),
          evMin: trimmed(light.evMin, 1),
          evMax: trimmed(light.evMax, 1),
        }),
      ];
    default:
      return [];
  }
}

/** Every reason of a time-lapse as its answer tells it. */
export function lapseReasons(lapse: LapseAnswer, brief: Brief): Answer['why'] {
  const texts = lapseTileText(lapse, brief);
  return (Object.keys(texts) as SettingKey[]).map((setting) => ({
    setting,
    text: texts[setting] ?? '',
    steps: stepsFor(setting, lapse, brief),
  }));
}

export function lapseAlternativeLabel({ way }: LapseAlternative): string {
  return messages.ways[way];
}
