import { soundText } from './soundText';
import { matchSheetOf } from '@/core/together/matchSheet';
import type { Answer, RefusalFile } from '@/core/records/answerFile';
import { briefOf } from '@/core/brief/brief';
import { soundAdvice } from '@/core/answer/soundAdvice';
import type { Assumed, Brief, InPlan } from '@/core/brief/brief';
import { cameraCount, shotOfPart } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { reasonsOf } from '@/core/answer/reasons';
import { holdClock } from '@/core/answer/clock';
import { refusalFor } from '@/core/answer/refusal';
import type { Refusal } from '@/core/answer/refusal';
import { pairSheet } from '@/core/together/pairSheet';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { alternativeLabel, costsText, gainsText } from './alternativeText';
import { lapseOr } from '@/core/timeLapse/lapseAnswer';
import { isLapseBrief } from '@/core/timeLapse/timeLapsePlan';
import { lapseInWords } from './lapseInWords';
import { matchText } from './matchText';
import { demandText } from './pairText';
import { figureId } from '@/core/records/figures';
import { learnedText } from './learnedText';
import { reasonText } from './reasons/reasonText';
import { tellingOf } from './reasons/telling';
import { refusalPath, refusalText, wayText } from './refusalText';
import { remedyText, warningText } from './warningText';
import { partName } from './shotName';
import { FILE_VERSION } from '@/core/schema/versions';

/** A shot solved and worded: the open file's answer, or its refusal. */
export function answerShot(shot: Shot): Answer | RefusalFile {
  const main = answerOne(shotOfPart(shot, 0));
  if (main.kind === 'lynxeye/refusal') return main;
  return { ...main, ...secondAnglesOf(shot, main), ...secondHalfOf(shot) };
}

function secondAnglesOf(shot: Shot, main: Answer): Pick<Answer, 'secondAngles' | 'match'> {
  if (!shot.secondAngles) return {};
  const secondAngles = shot.secondAngles.map((_, at) => ({
    name: partName(shot, at + 1),
    answer: answerOne(shotOfPart(shot, at + 1)),
  }));
  const settings = secondAngles.flatMap(({ answer }) => ('settings' in answer ? [answer.settings] : []));
  const match = matchSheetOf([main.settings, ...settings], briefOf(shot).brief.playback).map((item) => {
    const { name, values, so } = matchText(item);
    return { what: name, same: item.same, values, text: so };
  });
  return { secondAngles, match };
}

function secondHalfOf(shot: Shot): Pick<Answer, 'secondHalf'> {
  const { pair } = shot;
  if (!pair) return {};
  const at = cameraCount(shot);
  const second = shotOfPart(shot, at);
  const [first, other] = [shotOfPart(shot, 0), second].map((half) => solve(briefOf(half).brief));
  const half = { name: partName(shot, at), answer: answerOne(second) };
  if (!first?.solved || !other?.solved) return { secondHalf: half };
  const sheet = pairSheet(pair, first.solution, other.solution);
  const join = {
    joins: sheet.joins,
    turnDegPerS: [sheet.halves[0].turnDegPerS, sheet.halves[1].turnDegPerS] as [number, number],
    asks: sheet.demands.map((demand) => ({
      held: demand.held.every(Boolean),
      text: demandText(demand, sheet),
    })),
  };
  return { secondHalf: { ...half, join } };
}

/** One camera, as if no other were there. */
export function answerOne(shot: Shot, inPlan?: InPlan): Answer | RefusalFile {
  const { brief, assumed } = briefOf(shot, inPlan);
  if (isLapseBrief(brief)) {
    const made = lapseOr(brief);
    return made.ok
      ? lapseInWords(brief, made.lapse, assumed)
      : refusalInWords(refusalFor(brief, made.obstacle), brief);
  }
  const outcome = solve(brief);
  return outcome.solved ? answerInWords(outcome.solution, assumed) : refusalInWords(outcome.refusal, brief);
}

export function answerInWords(solution: Solution, assumed: readonly Assumed[]): Answer {
  const { space, candidate, settings, exposure, motion } = solution;
  const { brief } = space;
  const kit = brief.filters;
  const telling = tellingOf(brief);
  const heard = soundAdvice(brief);
  return {
    kind: 'lynxeye/answer',
    version: FILE_VERSION,
    settings,
    fNumber: candidate.colour.sensor.fNumber,
    exposure: {
      evMin: space.light.evMin,
      evMax: space.light.evMax,
      windowEvMin: exposure.windowEvMin,
      windowEvMax: exposure.windowEvMax,
      underStops: exposure.underStops,
      overStops: exposure.overStops,
    },
    motion,
    holds: holdsInFile(solution),
    score: solution.score,
    warnings: warningsInWords(solution.warnings),
    why: reasonsOf(solution).map((reason) => {
      const { text, steps } = reasonText(reason, telling);
      return { setting: reason.setting, text, steps };
    }),
    alternatives: solution.alternatives.map((alternative) => ({
      label: alternativeLabel(alternative, kit),
      settings: alternative.settings,
      score: alternative.score,
      gains: gainsText(alternative),
      costs: costsText(alternative),
    })),
    assumed: [...assumed],
    ...(heard.length > 0 ? { sound: heard.map((one) => ({ code: one.code, text: soundText(one) })) } : {}),
    ...(brief.learned.length > 0
      ? {
          learned: brief.learned.map((one) => ({
            figure: figureId(one.figure),
            text: learnedText(one, telling.names),
          })),
        }
      : {}),
  };
}

/** A remedy that serves two warnings is told with the first. */
function warningsInWords(warnings: Solution['warnings']): Answer['warnings'] {
  const told = new Set<string>();
  return warnings.map((warning) => {
    const remedies = ('remedies' in warning ? warning.remedies.map(remedyText) : []).filter(
      (remedy) => !told.has(remedy),
    );
    for (const remedy of remedies) told.add(remedy);
    return {
      code: warning.code,
      severity: warning.severity,
      text: warningText(warning),
      ...(remedies.length > 0 ? { helps: remedies } : {}),
    };
  });
}

function holdsInFile(solution: Solution): Answer['holds'] {
  const clock = holdClock(solution);
  if (!clock) return solution.holds;
  const instant = (ms: number | null): string | null => (ms === null ? null : new Date(ms).toISOString());
  return {
    ...solution.holds,
    clock: { fits: clock.fits, from: instant(clock.fromMs), to: instant(clock.toMs) },
  };
}

export function refusalInWords(refusal: Refusal, brief: Brief): RefusalFile {
  return {
    kind: 'lynxeye/refusal',
    version: FILE_VERSION,
    reasons: [
      { code: refusal.obstacle.code, path: refusalPath(refusal, brief), text: refusalText(refusal, brief) },
    ],
    nearest: refusal.nearest.map((way) => ({
      label: wayText(way, brief),
      pins: way.pins,
      ...(way.isoCeiling === undefined ? {} : { isoCeiling: way.isoCeiling }),
      settings: way.settings,
      score: way.score,
    })),
  };
}
