import * as messages from '@/language/words/filterChoice';
import type { Filter } from '@/core/filters/kit';
import type { PlanStretch } from '@/core/filters/filterPlan';
import { errTowards } from '@/core/filters/filterPlan';
import type { PolarizerView } from '@/core/filters/polarizer';
import type { FilterTry, RunOrHold } from '@/core/compare/filterChoice';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { changes } from './changesText';
import { capital } from './sentences';
import type { BagWord } from '@/core/compare/bagWorth';
import { filterName, filterText } from './settingText';
import type { FilterNotation } from './settingText';

/** "ND32 held at 1/50 s", "ND16, shutter running down to 1/420 s" */
export function tryText(one: FilterTry, kit: readonly Filter[], notation?: FilterNotation): string {
  const name = one.filter.ids.length === 0 ? messages.noFilter : filterText(one.filter, kit, notation);
  return one.shutterMode === 'fixed'
    ? messages.shutterHeldAtS({ name, longestSeconds: shutterFraction(one.longestSeconds) })
    : shutterFraction(one.longestSeconds) === shutterFraction(one.brightSeconds)
      ? messages.shutterFreeToRunBut({ name, longestSeconds: shutterFraction(one.longestSeconds) })
      : messages.shutterRunningFromSTo({
          name,
          longestSeconds: shutterFraction(one.longestSeconds),
          brightSeconds: shutterFraction(one.brightSeconds),
        });
}

/** What is seen at both ends, in a few words. */
export function tryEnds(one: FilterTry): string {
  const angle =
    Math.abs(one.brightAngleDeg - one.darkAngleDeg) < 1
      ? messages.throughout({ darkAngleDeg: trimmed(one.darkAngleDeg, 0) })
      : messages.inTheDarkInThe({
          darkAngleDeg: trimmed(one.darkAngleDeg, 0),
          brightAngleDeg: trimmed(one.brightAngleDeg, 0),
        });
  const white = one.overStops - one.guardStops;
  const misses = [
    white > 0.05
      ? messages.stopsWhite({ white: tenths(white) })
      : one.overStops > 0.05
        ? messages.brightSpotsWithinTheGuard
        : '',
    one.underStops > 0.05 ? messages.stopsDark({ underStops: tenths(one.underStops) }) : '',
  ].filter((part) => part !== '');
  return `${angle}; ${misses.length > 0 ? misses.join(', ') : messages.allTheLightInside}`;
}

/** Why letting the shutter run beats holding it, or why not, with the figures of both; a sentence each. */
export function runOrHoldText({ run, hold, plain }: RunOrHold, kit: readonly Filter[]): string[] {
  const sentences = [against(run, hold, kit)];
  if (plain && (plain.lighter !== run || plain.held !== hold))
    sentences.push(against(plain.lighter, plain.held, kit));
  return sentences;
}

function against(run: FilterTry, hold: FilterTry, kit: readonly Filter[]): string {
  const by = Math.abs(run.score - hold.score);
  const [first, second] = run.score < hold.score ? [run, hold] : [hold, run];
  const verdict =
    by < 0.05
      ? messages.andComeToTheSame({
          first: capital(tryText(first, kit)),
          second: tryText(second, kit),
          score: tenths(first.score),
        })
      : messages.beatsByLossAgainst({
          first: capital(tryText(first, kit)),
          second: tryText(second, kit),
          score: tenths(first.score),
          score2: tenths(second.score),
        });
  return messages.theOneGivesTheOther({ verdict, first: tryEnds(first), second: tryEnds(second) });
}

/** What one way of filtering gains and costs against the answer. */
export function tryAgainst(one: FilterTry): string {
  if (one.chosen) return messages.theAnswer;
  const gains = one.gains.length > 0 ? messages.less({ gains: changes(one.gains) }) : '';
  const costs = one.costs.length > 0 ? messages.more({ costs: changes(one.costs) }) : '';
  return [gains, costs].filter((part) => part !== '').join('; ') || messages.noDifferenceToSee;
}

/** The margin of a stretch, and which way to err from it. */
export function marginText(stretch: PlanStretch): string {
  const { marginBrightStops, marginDarkStops } = stretch;
  const end = (stops: number, room: string, miss: string): string =>
    stops >= 0 ? `${tenths(stops)} ${room}` : `${tenths(-stops)} ${miss}`;
  const ends = `${end(marginBrightStops, messages.toSpareAtTheBright, messages.overAtTheBrightEnd)}, ${end(marginDarkStops, messages.atTheDarkEnd, messages.underAtTheDarkEnd)}`;
  const err = {
    lighter: messages.errToTheLighterFilter,
    darker: messages.errToTheDarkerFilter,
    either: messages.wellCentred,
  }[errTowards(stretch)];
  return `${ends}; ${err}`;
}

export function polarizerText({ sky, glareLeft, verdict }: PolarizerView): string {
  const skyPart = sky
    ? messages.skyFromTheSunIn({
        angleToSunDeg: trimmed(sky.angleToSunDeg, 0),
        leastStops: tenths(sky.leastStops),
        mostStops: tenths(sky.mostStops),
      })
    : messages.noSkyInTheFrame;
  const waterPart =
    glareLeft === null ? '' : messages.glareOffWaterOfIt({ glareLeft: trimmed(glareLeft * 100, 0) });
  const so = {
    sky: messages.worthItsStopsForThe,
    water: messages.worthItsStopsForTheTitle,
    uneven: messages.onThisWideViewOne,
    notWorth: messages.notWorthItsStopsHere,
  }[verdict];
  return `${skyPart}${waterPart} ${so}`;
}

/** "Polarizer, in the bag: …": worth it here or not, and why. */
export function bagText(word: BagWord, kit: readonly Filter[]): string {
  const filter = kit.find(({ id }) => id === word.id);
  const name = filter ? filterName(filter) : word.id;
  const costs =
    word.lossOver === null
      ? messages.noAnswerWithIt
      : word.worn
        ? ''
        : word.lossOver < 0.05
          ? messages.servesAsWell
          : messages.costsOver({ loss: tenths(Math.max(0, word.lossOver)) });
  const parts = word.what === 'variable' ? [] : polarizerParts(word);
  return [messages.bagHead({ name: capital(name), worn: word.worn, what: word.what }), costs, ...parts]
    .filter((part) => part !== '')
    .join(' ');
}

function polarizerParts({ view, pane, worth }: Extract<BagWord, { what: 'polarizer' }>): string[] {
  const through = pane
    ? messages.throughThePane({
        angleDeg: trimmed(pane.angleDeg, 0),
        left: trimmed(pane.left * 100, 0),
        bestDeg: trimmed(pane.bestDeg, 0),
        worth: pane.worth,
      })
    : '';
  const around = view ? polarizerText(view) : pane ? '' : messages.polarizerUnsaid;
  return [through, worth || view ? '' : messages.notWorthAsTold, around];
}
