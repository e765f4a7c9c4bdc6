import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../bench/anyShot';
import { reasonsOf } from '@/core/answer/reasons';
import { solve } from '@/core/answer/solve';
import type { Solution } from '@/core/answer/solve';
import { schoolOf } from '@/core/loss/schools';
import { blurToAddOfFrameStep } from '@/core/motion/flow';
import { briefOf } from '@/core/brief/brief';
import { ShotSchema } from '@/core/records/shot';
import { alternativeLabel, costsText, gainsText } from './alternativeText';
import { clockText } from './lightText';
import { reasonText } from './reasons/reasonText';
import { tellingOf } from './reasons/telling';
import { remedyText, warningText } from './warningText';
import { samples, sampling } from '../../testing/samples';

/**
 * Every number that a reason, a warning, a remedy or an alternative tells must be one of its own figures, as shown: rounded
 * to the decimals it is told with, as a fraction of a second, as a share, as the factor of a filter. What a sentence works
 * out from several figures is worked out here once more.
 */
interface Told {
  what: string;
  text: string;
  figures: number[];
}

/** Numbers that belong to the words: half a frame, the smear tolerance, what a card truly holds, formulas, names of codecs. */
const CONSTANT = new Set(['180', '2', '8', '10', '100', '360', '0.35', '0.6', '97', '60', '264', '265']);

interface NumberTold {
  token: string;
  before: string;
  after: string;
}

function numbersIn(text: string): NumberTold[] {
  return [...text.matchAll(/\d+(?:\.\d+)?(?:\/\d+(?:\.\d+)?)?/g)]
    .map(({ 0: token, index }) => ({
      token,
      before: text.slice(0, index),
      after: text.slice(index + token.length),
    }))
    .filter(({ token }) => !CONSTANT.has(token));
}

/** Every number of a record, however deep. */
function leaves(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(leaves);
}

/** Whether a figure is shown so, by the words around the number. */
function isShownAs(figure: number, { token, before, after }: NumberTold): boolean {
  const [whole = '', below] = token.split('/');
  // A fraction of a second is told by what stands below the line.
  if (below !== undefined) return whole === '1' && rounds(1 / figure, below);
  if (before.endsWith('ND')) return rounds(2 ** figure, token) || nominal(2 ** figure) === Number(token);
  if (after.startsWith(' %')) return rounds(100 * figure, token) || rounds(figure, token);
  if (after.startsWith(' h ')) return rounds(Math.floor(Math.round(figure / 60) / 60), token);
  if (after.startsWith(' min'))
    return rounds(figure / 60, token) || rounds(Math.round(figure / 60) % 60, token);
  if (after.startsWith(' GB')) return rounds(Math.ceil(figure), token);
  // ISO that the light asks for is told to the ten.
  return (
    rounds(Math.abs(figure), token) || (token.endsWith('0') && rounds(10 * Math.round(figure / 10), token))
  );
}

function rounds(value: number, token: string): boolean {
  const decimals = token.split('.')[1]?.length ?? 0;
  return Math.abs(value - Number(token)) <= 0.5 * 10 ** -decimals + 1e-9;
}

/** A filter of ten stops is called by a round thousand. */
function nominal(factor: number): number {
  return factor > 700 ? Number(factor.toPrecision(1)) : NaN;
}

function untold({ text, figures }: Told): string[] {
  return numbersIn(text)
    .filter((told) => !figures.some((figure) => isShownAs(figure, told)))
    .map(({ token }) => token);
}

/** What a reason works out from its own figures. */
function workedOut(reason: ReturnType<typeof reasonsOf>[number]): number[] {
  switch (reason.setting) {
    case 'shutterSeconds': {
      const shown = 360 * reason.shownFps * reason.seconds;
      return [360 * reason.captureFps * reason.seconds, shown, blurToAddOfFrameStep(shown)];
    }
    case 'filter':
      return [reason.excessStops - reason.filterStops];
    case 'resolution':
      return [reason.usableWidth / reason.deliveredWidth];
    default:
      return [];
  }
}

function allTold(solution: Solution): Told[] {
  const { brief, school } = solution.space;
  const kit = brief.filters;
  const wishes = leaves(schoolOf({ school: school.id, mine: null }).wishes);
  const reasons = reasonsOf(solution).flatMap((reason): Told[] => {
    const { text, steps } = reasonText(reason, tellingOf(brief));
    const figures = [...leaves(reason), ...workedOut(reason), ...wishes, ...leaves(kit)];
    return [text, ...steps].map((one) => ({
      what: reason.setting,
      text: one.replace('1/(2 ×', 'half of'),
      figures,
    }));
  });
  const warnings = solution.warnings.flatMap((warning): Told[] => {
    const figures = leaves(warning);
    if (warning.code === 'over') figures.push(warning.overStops - warning.guardStops);
    if (warning.code === 'bitRate') figures.push(2 ** warning.loss);
    if (warning.code === 'under') figures.push(warning.share * warning.seconds);
    let text = warningText(warning);
    if (warning.code === 'flare')
      for (const at of [warning.sun.firstMs, warning.sun.lastMs])
        text = text.replaceAll(clockText(at, warning.zone), '');
    const remedies = 'remedies' in warning ? warning.remedies : [];
    return [
      { what: warning.code, text, figures },
      ...remedies.map((remedy) => ({ what: remedy.code, text: remedyText(remedy), figures: leaves(remedy) })),
    ];
  });
  const others = solution.alternatives.map((alternative): Told => ({
    what: alternative.way.code,
    text: `${alternativeLabel(alternative, kit)}; ${gainsText(alternative)}; ${costsText(alternative)}`,
    figures: [
      ...leaves(alternative),
      ...leaves(kit),
      'pins' in alternative.way ? alternative.way.pins.length : 0,
    ],
  }));
  return [...reasons, ...warnings, ...others];
}

const solutions = fc
  .sample(anyShot(), sampling(400, 20261127))
  .map((input) => solve(briefOf(ShotSchema.parse(input)).brief))
  .flatMap((outcome) => (outcome.solved ? [outcome.solution] : []));

describe('numbers in sentences', () => {
  const told = solutions.flatMap(allTold);

  it('are all carried by the figures of the sentence', () => {
    const loose = told.flatMap((one) => {
      const tokens = untold(one);
      return tokens.length > 0 ? [`${one.what}: ${tokens.join(' ')} in "${one.text}"`] : [];
    });
    expect(loose.slice(0, 20)).toEqual([]);
    expect(told.length).toBeGreaterThan(samples(10_000));
  });

  it('would not be carried by other figures', () => {
    const withNumbers = told.filter(({ text }) => numbersIn(text).length > 0);
    const caught = withNumbers.filter(
      (one) => untold({ ...one, figures: one.figures.map((figure) => 1.37 * figure) }).length > 0,
    );
    expect(caught.length / withNumbers.length).toBeGreaterThan(0.89);
  });

  it('are those of the answer', () => {
    for (const solution of solutions) {
      const { settings, space, exposure, motion } = solution;
      for (const reason of reasonsOf(solution))
        switch (reason.setting) {
          case 'frameRate':
            expect(reason.captureFps).toBe(settings.frameRate);
            expect(reason.seenFps).toBeCloseTo(motion.seenFps, 9);
            break;
          case 'shutterSeconds':
            expect([reason.seconds, reason.captureFps]).toEqual([
              settings.shutterSeconds,
              settings.frameRate,
            ]);
            expect(reason.smearPct).toBeCloseTo(motion.shakeSmearPctWidth, 9);
            break;
          case 'filter':
            expect(reason.filterStops).toBe(settings.filter.stops);
            expect([reason.evMax, reason.isoMin]).toEqual([space.light.evMax, settings.iso.min]);
            break;
          case 'iso':
            expect([reason.min, reason.max]).toEqual([settings.iso.min, settings.iso.max]);
            expect([reason.evMin, reason.underStops]).toEqual([space.light.evMin, exposure.underStops]);
            break;
          case 'resolution':
            expect(reason.width).toBe(settings.resolution.width);
            break;
          case 'view':
            expect(reason.horizontalDeg).toBeLessThanOrEqual(settings.view.horizontalDeg + 1e-9);
            break;
          case 'bitRateMbps':
            expect(reason.bitRateMbps).toBe(settings.bitRateMbps);
            expect(reason.bitsPerPixel).toBe(
              (1e6 * settings.bitRateMbps) /
                (settings.resolution.width * settings.resolution.height * settings.frameRate),
            );
            break;
          default:
        }
    }
  });
});
