import * as messages from '@/language/words/motion';
import type { MotionSheet } from '@/core/compare/motionSheet';
import type { Spinner } from '@/core/motion/spin';
import { shutterFraction, trimmed } from '@/core/units/format';

/** One line of figures, worded alike for every way of filming, so that two stand side by side. */
export interface MotionLine {
  name: string;
  value: string;
  /** Past what a viewer accepts. */
  past: boolean;
}

const pct = (value: number): string => `${trimmed(value, value < 1 ? 2 : 1)} %`;

export function motionLines(sheet: MotionSheet): MotionLine[] {
  const held = Math.min(sheet.heldDeg, 180);
  const slowest = sheet.speeds.at(-1);
  const line = (name: string, value: string, past = false): MotionLine => ({ name, value, past });
  return [
    line(messages.blurInOneExposureHalf, `${pct(sheet.typicalBlurPct)} · ${pct(sheet.worstBlurPct)}`),
    ...(sheet.subjectBlurPct === null
      ? []
      : [line(messages.blurOfTheSubject, pct(sheet.subjectBlurPct), sheet.subjectBlurPct > 3)]),
    line(messages.stepBetweenFramesHalfThe, `${pct(sheet.typicalStepPct)} · ${pct(sheet.worstStepPct)}`),
    line(
      messages.smearOfTheShakeAt,
      `${pct(sheet.shakeSmearPct)}${sheet.pulses ? messages.comesAndGoesOnThe : ''}`,
      sheet.shakeSmearPct > sheet.shakeSmearTolerancePct * 1.05,
    ),
    line(
      messages.swingHeld,
      `${trimmed(sheet.swingDeg, 1)}° · ${trimmed(held, 1)}°${
        sheet.heldDeg > 0 && sheet.overrunShare > 0.005
          ? messages.pastItOfTheTime({ overrunShare: trimmed(100 * sheet.overrunShare, 0) })
          : ''
      }`,
      sheet.heldDeg < sheet.swingDeg && sheet.swingDeg > 0.5,
    ),
    ...(slowest
      ? [
          line(
            messages.framesSeenASecondAt,
            `${trimmed(slowest.seenFps, 1)}${slowest.repeats ? messages.framesRepeat : slowest.uneven ? messages.unevenly : ''}`,
            slowest.repeats,
          ),
        ]
      : []),
    ...(sheet.skewPct === null
      ? []
      : [
          line(
            messages.leaningOfUprightsLineBy,
            `${pct(sheet.skewPct)}${sheet.jelly === true ? messages.andJellyWhereItBuzzes : ''}`,
            sheet.jelly === true,
          ),
        ]),
    ...(sheet.spin ? [line(SPINNER[sheet.spin.spinner.what], spinText(sheet.spin), false)] : []),
    line(
      messages.blurToAddInThe,
      sheet.blurToAdd < 0.005
        ? messages.none
        : messages.ofAFrameStep({ blurToAdd: trimmed(100 * sheet.blurToAdd, 0) }),
    ),
  ];
}

const SPINNER: Record<Spinner['what'], string> = messages.spinner;

function spinText({ seemsRevPerS, blurOfGap, spinner }: NonNullable<MotionSheet['spin']>): string {
  if (spinner.revPerS === 0) return messages.standsStill;
  if (blurOfGap >= 0.8) return messages.aDiscItsSpokesRun;
  if (spinner.revPerS * spinner.spokes < 6)
    return messages.turnsAsItIsA({ revPerS: trimmed(spinner.revPerS, 1) });
  const turns = trimmed(Math.abs(seemsRevPerS), 2);
  if (Math.abs(seemsRevPerS) < 0.03) return messages.seemsToStandStill;
  return messages.seemsToTurnBackwardsA({ isSeemsRevPerS: seemsRevPerS < 0, turns });
}

/** "1/50 s" or, where it runs, "1/50–1/400 s". */
export function shutterSpanText({ longestSeconds, shortestSeconds }: MotionSheet): string {
  const longest = shutterFraction(longestSeconds);
  return longestSeconds / shortestSeconds < 1.02
    ? messages.longest({ longest })
    : messages.longestAndShortestSeconds({ longest, shortestSeconds: shutterFraction(shortestSeconds) });
}

/** One line for one speed a clip is played at. */
export function speedText({
  slowdown,
  shownAngleDeg,
  seenFps,
  repeats,
  uneven,
}: MotionSheet['speeds'][number]): string {
  const name =
    slowdown === 1
      ? messages.inRealTime
      : slowdown > 1
        ? messages.slowed({ slowdown: trimmed(slowdown, 2) })
        : messages.spedUp({ slowdown: trimmed(1 / slowdown, 2) });
  const cadence = repeats
    ? messages.framesASecondToShow({ seenFps: trimmed(seenFps, 1) })
    : uneven
      ? messages.framesFallUnevenly
      : messages.smooth;
  return messages.shutterLooksLike({ name, cadence, shownAngleDeg: trimmed(shownAngleDeg, 0) });
}
