import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { runOrHoldText, tryText } from '@/words/filterChoiceText';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import type { Brief } from '../brief/brief';
import { filterTries, runOrHold } from './filterChoice';
import { ratesUnderPulse, safeShutters } from './flickerTries';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';

function solved(brief: Brief): Solution {
  const outcome = solve(brief);
  if (!outcome.solved) throw new Error('the demo shot has no answer');
  return outcome.solution;
}
const named = (name: string): Brief =>
  briefOf(makeDemo().shots.find(({ shot }) => shot.name === name)!.shot).brief;

describe('each filter on one shot', () => {
  const brief = named('Sun gate');
  const solution = solved(brief);
  const tries = filterTries(solution.space, solution.candidate, solution.loss);

  it('none beats the answer, the answer is among them once, and each way of each filter stands once', () => {
    expect(tries.filter(({ chosen }) => chosen)).toHaveLength(1);
    expect(tries[0]!.score).toBeGreaterThanOrEqual(solution.score - 1e-9);
    expect(tries[0]!.chosen).toBe(true);
    const names = tries.map(({ filter, shutterMode }) => `${filter.ids.join()} ${shutterMode}`);
    expect(new Set(names).size).toBe(names.length);
    expect(tries.map(({ score }) => score)).toEqual(
      [...tries.map(({ score }) => score)].sort((a, b) => a - b),
    );
  });

  it('argues the running shutter against the held one in the Sun gate, with the figures of both', () => {
    const [best, plain] = runOrHoldText(runOrHold(tries, brief.filters)!, brief.filters);
    expect(best).toMatch(/^(?:No filter|ND\d+), shutter running from .*, beats ND\d+, shutter held at/);
    expect(plain).toMatch(
      /^(?:No filter|ND\d+), shutter running from 1\/\d+ s to 1\/\d+ s, beats ND\d+, shutter held at 1\/\d+ s, by loss [\d.]+ against [\d.]+\./,
    );
  });

  it('says the opposite where the light is steady enough to hold', () => {
    const steady: Brief = {
      ...brief,
      light: { kind: 'range', evMin: 13.9, evMax: 14.1 },
      look: { ...brief.look, school: 'film' },
    };
    const its = solved(steady);
    const choice = runOrHold(filterTries(its.space, its.candidate, its.loss), steady.filters)!;
    expect(choice.hold.score).toBeLessThan(choice.run.score);
    expect(runOrHoldText(choice, steady.filters)[0]).toMatch(
      new RegExp(`^${tryText(choice.hold, steady.filters).replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}, beats`),
    );
  });

  it('a camera without an automatic shutter is only held', () => {
    const held: Brief = {
      ...brief,
      camera: { ...brief.camera, shutter: { ...brief.camera.shutter, auto: false } },
    };
    const its = solved(held);
    const only = filterTries(its.space, its.candidate, its.loss);
    expect(only.every(({ shutterMode }) => shutterMode === 'fixed')).toBe(true);
    expect(runOrHold(only, held.filters)).toBeNull();
  });
});

describe('lamps on one shot', () => {
  const solution = solved(named('Hut evening'));

  it('every safe shutter is priced on the answer’s scale, and none is better than it', () => {
    const safe = safeShutters(solution.space, solution.candidate, solution.loss, 100);
    expect(safe.map(({ seconds }) => Math.round(1 / seconds))).toEqual([25, 33, 50, 100]);
    for (const one of safe) expect(one.score).toBeGreaterThanOrEqual(solution.score - 1e-9);
    expect(safe.some(({ costs }) => costs.length > 0)).toBe(true);
  });

  it('names how each frame rate beats', () => {
    const { brief } = briefOf(
      ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, playback: { timelineFps: 60 } }),
    );
    const read = (readoutSeconds: number | undefined): typeof brief => ({
      ...brief,
      camera: { ...brief.camera, readoutSeconds },
    });
    const rates = ratesUnderPulse([24, 25, 30, 60], 100, read(0.02));
    expect(rates.map(({ seen }) => seen)).toEqual(['pulsing', 'bands', 'flashing', 'shimmer']);
    expect(ratesUnderPulse([25], 100, read(0.001))[0]!.seen).toBe('steady');
    expect(rates[0]!.bands).toBeCloseTo(2, 9);
    expect(ratesUnderPulse([25], 100, read(undefined))[0]!.bands).toBeNull();
  });
});
