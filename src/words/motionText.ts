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
    line(
      'Blur in one exposure, half the frame · its fastest tenth',
      `${pct(sheet.typicalBlurPct)} · ${pct(sheet.worstBlurPct)}`,
    ),
    ...(sheet.subjectBlurPct === null
      ? []
      : [line('Blur of the subject', pct(sheet.subjectBlurPct), sheet.subjectBlurPct > 3)]),
    line(
      'Step between frames, half the frame · its fastest tenth',
      `${pct(sheet.typicalStepPct)} · ${pct(sheet.worstStepPct)}`,
    ),
    line(
      'Smear of the shake at its peak',
      `${pct(sheet.shakeSmearPct)}${sheet.pulses ? ', comes and goes on the steadied picture' : ''}`,
      sheet.shakeSmearPct > sheet.shakeSmearTolerancePct * 1.05,
    ),
    line(
      'Swing · held',
      `${trimmed(sheet.swingDeg, 1)}° · ${trimmed(held, 1)}°${
        sheet.heldDeg > 0 && sheet.overrunShare > 0.005
          ? `, past it ${trimmed(100 * sheet.overrunShare, 0)} % of the time`
          : ''
      }`,
      sheet.heldDeg < sheet.swingDeg && sheet.swingDeg > 0.5,
    ),
    ...(slowest
      ? [
          line(
            'Frames seen a second, at the slowest',
            `${trimmed(slowest.seenFps, 1)}${slowest.repeats ? ', frames repeat' : slowest.uneven ? ', unevenly' : ''}`,
            slowest.repeats,
          ),
        ]
      : []),
    ...(sheet.skewPct === null
      ? []
      : [
          line(
            'Leaning of uprights, line by line readout',
            `${pct(sheet.skewPct)}${sheet.jelly === true ? ', and jelly where it buzzes' : ''}`,
            sheet.jelly === true,
          ),
        ]),
    ...(sheet.spin ? [line(SPINNER[sheet.spin.spinner.what], spinText(sheet.spin), false)] : []),
    line(
      'Blur to add in the edit for a 180° look',
      sheet.blurToAdd < 0.005 ? 'none' : `${trimmed(100 * sheet.blurToAdd, 0)} % of a frame step`,
    ),
  ];
}

const SPINNER: Record<Spinner['what'], string> = {
  wheel: 'A wheel in the picture',
  roadWheel: 'A wheel in the picture',
  paddle: 'A paddle in the picture',
  rotor: 'A rotor in the picture',
};

function spinText({ seemsRevPerS, blurOfGap, spinner }: NonNullable<MotionSheet['spin']>): string {
  if (spinner.revPerS === 0) return 'stands still';
  if (blurOfGap >= 0.8) return 'a disc: its spokes run together';
  if (spinner.revPerS * spinner.spokes < 6) return `turns as it is, ${trimmed(spinner.revPerS, 1)} a second`;
  const turns = trimmed(Math.abs(seemsRevPerS), 2);
  if (Math.abs(seemsRevPerS) < 0.03) return 'seems to stand still';
  return `seems to turn ${seemsRevPerS < 0 ? 'backwards, ' : ''}${turns} a second`;
}

/** "1/50 s" or, where it runs, "1/50–1/400 s". */
export function shutterSpanText({ longestSeconds, shortestSeconds }: MotionSheet): string {
  const longest = shutterFraction(longestSeconds);
  return longestSeconds / shortestSeconds < 1.02
    ? `${longest} s`
    : `${longest}–${shutterFraction(shortestSeconds)} s`;
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
      ? 'In real time'
      : slowdown > 1
        ? `Slowed ${trimmed(slowdown, 2)}×`
        : `Sped up ${trimmed(1 / slowdown, 2)}×`;
  const cadence = repeats
    ? `${trimmed(seenFps, 1)} frames a second to show: they repeat, and it stutters`
    : uneven
      ? 'frames fall unevenly'
      : 'smooth';
  return `${name}: ${cadence}; shutter looks like ${trimmed(shownAngleDeg, 0)}°`;
}
