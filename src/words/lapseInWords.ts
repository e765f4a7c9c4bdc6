import type { Answer } from '@/core/records/answerFile';
import type { Assumed, Brief } from '@/core/brief/brief';
import { lapseHolds, lapseMotion } from '@/core/answer/lapseFigures';
import { workingsOf } from '@/core/search/workings';
import { lapseAlternatives } from '@/core/timeLapse/lapseWays';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import { lapseWarnings } from '@/core/timeLapse/lapseWarnings';
import { FILE_VERSION } from '@/core/schema/versions';
import { lapseAlternativeLabel, lapseHelpText, lapseReasons, lapseWarningText } from './lapseText';
import { costsText, gainsText } from './alternativeText';

/** A time-lapse as the open file's answer. */
export function lapseInWords(brief: Brief, lapse: LapseAnswer, assumed: readonly Assumed[]): Answer {
  const { plan, settings } = lapse;
  const { light } = workingsOf(brief);
  const { exposure, intervalSeconds } = plan;
  return {
    kind: 'lynxeye/answer',
    version: FILE_VERSION,
    settings,
    timeLapse: {
      intervalSeconds,
      shots: plan.frames,
      recordSeconds: brief.limits.recordSeconds,
      playedSeconds: plan.moving?.clipSeconds ?? plan.clipSeconds,
    },
    fNumber: brief.camera.fNumber,
    exposure: {
      evMin: light.evMin,
      evMax: light.evMax,
      windowEvMin: exposure.windowEvMin,
      windowEvMax: exposure.windowEvMax,
      underStops: exposure.underStops,
      overStops: exposure.overStops,
    },
    motion: lapseMotion(brief, plan),
    holds: lapseHolds(brief, plan),
    score: lapse.loss,
    warnings: lapseWarnings(brief, lapse).map((warning) => ({
      code: warning.code,
      severity: warning.severity,
      text: lapseWarningText(warning),
      ...('helps' in warning && warning.helps.length > 0 ? { helps: warning.helps.map(lapseHelpText) } : {}),
    })),
    why: lapseReasons(lapse, brief),
    alternatives: lapseAlternatives(brief, lapse).map((one) => ({
      label: lapseAlternativeLabel(one),
      settings: one.lapse.settings,
      score: one.lapse.loss,
      gains: gainsText(one),
      costs: costsText(one),
    })),
    assumed: [...assumed],
  };
}
