import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOfNamed, TEN_SHOTS } from '../loss/tenShots';
import { item } from '../units/items';
import { nearlyEqual } from '../units/stops';
import { PAGE_OF_WARNING } from '../vocabulary/warnings';
import { REASON_PAGES } from '../vocabulary/reasonPages';
import { TERM_IDS } from '../vocabulary/terms';
import { WORDS } from '../vocabulary/words';
import {
  formulaCurve,
  FORMULA_IDS,
  FORMULAS,
  formulasOn,
  FORMULA_INPUTS,
  shareAt,
  valueAt,
  valuesOn,
} from './formulas';
import type { FormulaId } from './formulas';
import { helmetRide } from './helmet';
import { figureKey, slopesOf, termsOn } from './losses';
import { PAGE_OF_SETTING } from '../records/settings';
import { PAGE_OF_TERM } from '../vocabulary/terms';
import { PAGE_OF_WORD } from '../vocabulary/words';
import { pageOfDayFault } from '../day/dayFaults';
import { reasonPage } from '../vocabulary/reasonPages';

const solutions = TEN_SHOTS.map((shot): Solution => {
  const outcome = solve(briefOfNamed(shot, 'weigh'));
  if (!outcome.solved) throw new Error(shot.name);
  return outcome.solution;
});

const on = (id: FormulaId, solution: Solution): number => FORMULAS[id].of(valuesOn(id, solution), solution);

describe('live formulas', () => {
  it('come to what the answer itself has, with the numbers of its shot', () => {
    for (const solution of solutions) {
      const { settings, motion, figures, space, exposure } = solution;
      expect(on('angle', solution)).toBeCloseTo(settings.shutterAngleDeg, 6);
      expect(on('neededRate', solution)).toBeCloseTo(
        space.brief.playback.slowdown * space.brief.playback.timelineFps,
        9,
      );
      const shaken = space.brief.motion.shakeDegPerSRms;
      if (
        shaken >= FORMULA_INPUTS.shakeDegPerS.min &&
        settings.view.horizontalDeg <= FORMULA_INPUTS.viewDeg.max
      ) {
        expect(on('smear', solution)).toBeCloseTo(motion.shakeSmearPctWidth, 6);
        expect(on('shakeFloor', solution)).toBeCloseTo(2 ** figures.shakeFloorLog, 9);
      }
      // What a fixed setting wants of light, less its filter, is the darkest that it bears.
      if (settings.shutterMode === 'fixed' && settings.iso.min === settings.iso.max)
        expect(on('exposureValue', solution) + settings.filter.stops).toBeCloseTo(exposure.windowEvMin, 6);
    }
  });

  it('are those of the textbooks', () => {
    const [solution] = solutions as [Solution];
    const of = (id: FormulaId, ...values: number[]): number => FORMULAS[id].of(values, solution);
    expect(of('exposureValue', 1 / 125, 16, 100)).toBeCloseTo(14.97, 2);
    expect(of('filterNeeded', 14.97, 1 / 125, 2, 100)).toBeCloseTo(6, 1);
    expect(of('lux', 10)).toBe(2560);
    expect(of('pulseLeft', 1 / 100, 50)).toBeCloseTo(0, 9);
    expect(of('pulseLeft', 1 / 200, 50)).toBeCloseTo(2 / Math.PI, 9);
    expect(of('beat', 24, 50)).toBe(4);
    expect(of('gigabytes', 10, 80)).toBe(6);
    expect(of('angularSize', 2, 2)).toBeCloseTo(53.13, 2);
    expect(of('sameAngle', 100, 1 / 50, 25)).toBeCloseTo(1 / 200, 12);
    expect(of('swing', 2 * Math.PI)).toBeCloseTo(1, 12);
    expect(of('warmth', 0, 4, 0, 10)).toBeCloseTo(10, 9);
    expect(of('cellLasts', 20, 1) / of('cellLasts', 0, 1)).toBeCloseTo(1.25, 9);
    expect(of('stream', 8, 3)).toBe(11);
  });

  it('run over their first input from one end to the other, through the point at hand', () => {
    for (const id of FORMULA_IDS) {
      const solution = helmetRide();
      const values = valuesOn(id, solution);
      const curve = formulaCurve(id, values, solution, 41);
      expect(curve).toHaveLength(41);
      for (const { result } of curve) expect(Number.isFinite(result), id).toBe(true);
      const input = FORMULA_INPUTS[item(FORMULAS[id].inputs, 0)];
      const share = shareAt(input, item(values, 0));
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1);
      expect(nearlyEqual(valueAt(input, share), item(values, 0)) || item(values, 0) === 0, id).toBe(true);
      expect(new Set(curve.map(({ result }) => result)).size, id).toBeGreaterThan(1);
    }
  });
});

describe('the pages', () => {
  it('a steadied helmet over rough ground wants no longer than its floor, and hardly less', () => {
    const { settings, figures } = helmetRide();
    expect(settings.shutterSeconds).toBeLessThanOrEqual(1.05 * 2 ** figures.shakeFloorLog);
    expect(settings.shutterSeconds).toBeGreaterThan(2 ** figures.shakeFloorLog / 2);
    expect(settings.stabilization).not.toBe('off');
    expect(2 ** figures.shakeFloorLog).toBeGreaterThanOrEqual(1 / 270);
    expect(2 ** figures.shakeFloorLog).toBeLessThan(1 / 160);
  });

  it('hold everything: each setting, term and word has its page, each figure its argument', () => {
    const used = new Set([
      ...Object.values(PAGE_OF_SETTING),
      ...TERM_IDS.map((term) => PAGE_OF_TERM[term]),
      ...WORDS.map((word) => PAGE_OF_WORD[word]),
      ...Object.values(PAGE_OF_WARNING),
      ...REASON_PAGES.filter((page) => formulasOn(page).length > 0),
      ...(['cautions', 'glossary'] as const),
    ]);
    expect([...REASON_PAGES].filter((page) => !used.has(page))).toEqual([]);
    const told = REASON_PAGES.flatMap(termsOn);
    expect(new Set(told).size).toBe(told.length);
    expect(told.length).toBe(TERM_IDS.length - 1);
    const keys = told.flatMap((term) => slopesOf(term).map(({ name }) => figureKey(term, name)));
    expect(new Set(keys).size).toBe(keys.length);
    expect(reasonPage('flicker')).toBe('flicker');
    expect(reasonPage('nothing')).toBeNull();
    expect(pageOfDayFault({ what: 'hot', cameraId: 'a', atMs: 0 })).toBe('power');
    expect(pageOfDayFault({ what: 'missing', entryId: 'a' })).toBeNull();
  });

  it('type no number in what the losses say of themselves', () => {
    const folder = 'src/core/loss/terms';
    const typed = readdirSync(folder).flatMap((file) =>
      [...readFileSync(`${folder}/${file}`, 'utf8').matchAll(/'([^'\n]*)'|`([^`]*)`/g)]
        .map(([, plain, made]) => plain ?? made?.replaceAll(/\$\{[^}]*\}/g, '') ?? '')
        .filter((text) => / /.test(text) && /\d/.test(text)),
    );
    expect(typed).toEqual([]);
  });
});
