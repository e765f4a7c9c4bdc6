import type { Filter } from '@/core/filters/kit';
import type { PlanStretch } from '@/core/filters/filterPlan';
import { errTowards } from '@/core/filters/filterPlan';
import type { PolarizerView } from '@/core/filters/polarizer';
import type { FilterTry, RunOrHold } from '@/core/compare/filterChoice';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { changes } from './changesText';
import { capital } from './sentences';
import { filterText } from './settingText';
import type { FilterNotation } from './settingText';

/** "ND32 held at 1/50 s", "ND16, shutter running down to 1/420 s" */
export function tryText(one: FilterTry, kit: readonly Filter[], notation?: FilterNotation): string {
  const name = one.filter.ids.length === 0 ? 'no filter' : filterText(one.filter, kit, notation);
  return one.shutterMode === 'fixed'
    ? `${name}, shutter held at ${shutterFraction(one.longestSeconds)} s`
    : shutterFraction(one.longestSeconds) === shutterFraction(one.brightSeconds)
      ? `${name}, shutter free to run but at ${shutterFraction(one.longestSeconds)} s throughout`
      : `${name}, shutter running from ${shutterFraction(one.longestSeconds)} s to ${shutterFraction(one.brightSeconds)} s`;
}

/** What is seen at both ends, in a few words. */
export function tryEnds(one: FilterTry): string {
  const angle =
    Math.abs(one.brightAngleDeg - one.darkAngleDeg) < 1
      ? `${trimmed(one.darkAngleDeg, 0)}° throughout`
      : `${trimmed(one.darkAngleDeg, 0)}° in the dark, ${trimmed(one.brightAngleDeg, 0)}° in the sun`;
  const white = one.overStops - one.guardStops;
  const misses = [
    white > 0.05
      ? `${tenths(white)} stops white`
      : one.overStops > 0.05
        ? 'bright spots within the guard'
        : '',
    one.underStops > 0.05 ? `${tenths(one.underStops)} stops dark` : '',
  ].filter((part) => part !== '');
  return `${angle}; ${misses.length > 0 ? misses.join(', ') : 'all the light inside'}`;
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
      ? `${capital(tryText(first, kit))} and ${tryText(second, kit)} come to the same loss, ${tenths(first.score)}`
      : `${capital(tryText(first, kit))}, beats ${tryText(second, kit)}, by loss ${tenths(first.score)} against ${tenths(second.score)}`;
  return `${verdict}. The one gives ${tryEnds(first)}; the other ${tryEnds(second)}.`;
}

/** What one way of filtering gains and costs against the answer. */
export function tryAgainst(one: FilterTry): string {
  if (one.chosen) return 'the answer';
  const gains = one.gains.length > 0 ? `less ${changes(one.gains)}` : '';
  const costs = one.costs.length > 0 ? `more ${changes(one.costs)}` : '';
  return [gains, costs].filter((part) => part !== '').join('; ') || 'no difference to see';
}

/** The margin of a stretch, and which way to err from it. */
export function marginText(stretch: PlanStretch): string {
  const { marginBrightStops, marginDarkStops } = stretch;
  const end = (stops: number, room: string, miss: string): string =>
    stops >= 0 ? `${tenths(stops)} ${room}` : `${tenths(-stops)} ${miss}`;
  const ends = `${end(marginBrightStops, 'to spare at the bright end', 'over at the bright end')}, ${end(marginDarkStops, 'at the dark end', 'under at the dark end')}`;
  const err = {
    lighter: 'err to the lighter filter',
    darker: 'err to the darker filter',
    either: 'well centred',
  }[errTowards(stretch)];
  return `${ends}; ${err}`;
}

export function polarizerText({ sky, glareLeft, verdict }: PolarizerView): string {
  const skyPart = sky
    ? `Sky ${trimmed(sky.angleToSunDeg, 0)}° from the sun in the middle of the frame: darker by ${tenths(sky.leastStops)} to ${tenths(sky.mostStops)} stops across it.`
    : 'No sky in the frame.';
  const waterPart =
    glareLeft === null ? '' : ` Glare off water: ${trimmed(glareLeft * 100, 0)} % of it left at best.`;
  const so = {
    sky: 'Worth its stops for the sky; turn it before the run, a helmet that tips undoes it.',
    water: 'Worth its stops for the water; turn it to the water, not to the sky.',
    uneven:
      'On this wide view one part of the sky goes dark and the rest does not: leave it off, or narrow the view.',
    notWorth: 'Not worth its stops here: the sun stands too near the axis, or cloud has unpolarized the sky.',
  }[verdict];
  return `${skyPart}${waterPart} ${so}`;
}
