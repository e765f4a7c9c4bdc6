import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { briefOf } from '../brief/brief';
import type { Shot } from '../records/shot';
import { pinsOf, variantsOf, solveVariant } from '../compare/variants';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { clippedCells, sharpnessPulse, sharpnessOf, tonesOf } from './judge';
import { Renderer } from './render';
import { sceneOf } from './scene';
import { meter } from './take';
import { takeOf } from './takeOf';

const solved = (shot: Shot): Solution => {
  const outcome = solve(briefOf(shot).brief);
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const SHOTS = makeDemo().shots.flatMap(({ shot }) => (shot.timeLapse ? [] : [shot]));
const PLAY = { slowdown: 1, moment: 'run', filmSeconds: 2 } as const;

describe('the take of an answer', () => {
  it.each(SHOTS.map((shot) => [shot.name, shot] as const))('%s meters as its window says', (_, shot) => {
    const { space, candidate, exposure, settings } = solved(shot);
    const take = takeOf(space, candidate, PLAY);
    const off = settings.exposureOffsetStops;
    const { light } = space;
    // An offset shifts what is aimed at, not the ends of what the camera reaches.
    const bright = meter({ ...take.exposure, offsetStops: 0 }, light.evMax);
    const dark = meter({ ...take.exposure, offsetStops: 0 }, light.evMin);
    expect(bright.offStops).toBeCloseTo(
      exposure.overStops > 0 ? exposure.overStops : Math.min(0, light.evMax - exposure.windowEvMin),
      6,
    );
    expect(dark.offStops).toBeCloseTo(
      exposure.underStops > 0 ? -exposure.underStops : Math.max(0, light.evMin - exposure.windowEvMax),
      6,
    );
    expect(Math.log2(bright.shutterSeconds)).toBeCloseTo(exposure.brightLog, 6);
    if (off !== 0) expect(Math.abs(off)).toBeLessThanOrEqual(1);
    expect(take.captureFps).toBe(settings.frameRate);
  });

  it('every variant that the camera can film is solved under what it says, and keeps it', () => {
    const solution = solved(SHOTS.find(({ name }) => name === 'Sun gate')!);
    const variants = variantsOf(solution);
    expect(variants.length).toBeGreaterThan(10);
    let found = 0;
    for (const variant of variants) {
      const judged = solveVariant(solution, variant);
      if (!judged) continue;
      found++;
      const { mode, shutter, filter } = judged.candidate;
      if (variant.code === 'frameRate') expect(mode.frameRate).toBe(variant.fps);
      if (variant.code === 'angle')
        expect(360 * mode.frameRate * shutter.longestSeconds).toBeCloseTo(variant.degrees, 3);
      if (variant.code === 'shutter') expect(shutter.longestSeconds).toBeCloseTo(variant.seconds, 9);
      if (variant.code === 'stabilization') expect(mode.stabilization).toBe(variant.stabilization);
      if (variant.code === 'noFilter') expect(filter.stops).toBe(0);
      if (variant.code === 'alternative') {
        expect(mode.frameRate).toBe(variant.alternative.settings.frameRate);
        expect(judged.score).toBeCloseTo(variant.alternative.score, 6);
      }
    }
    expect(found).toBeGreaterThan(variants.length * 0.7);
  });

  it('an answer held by all its settings is the answer', () => {
    for (const shot of SHOTS) {
      const solution = solved(shot);
      const again = solve({ ...solution.space.brief, pins: pinsOf(solution.settings) });
      expect(again.solved && again.solution.settings).toEqual(solution.settings);
    }
  });
});

describe('tones read off a picture', () => {
  const { space, candidate } = solved(SHOTS.find(({ name }) => name === 'Upper gorge run')!);
  const take = takeOf(space, candidate, PLAY);
  const brighter = (stops: number) =>
    new Renderer(
      { ...take, light: { ...take.light, evMin: take.light.evMax + stops, moment: 'dark' } },
      sceneOf(take.scene, 1.5, 1.7),
      160,
    ).picture({ number: 3, atSeconds: 0.1 }, 1);

  it('more light than the window holds burns out, and the marks stand where it does', () => {
    const whites = [0, 2, 4, 6].map((stops) => tonesOf(brighter(stops)).whiteShare);
    expect(whites).toEqual([...whites].sort((a, b) => a - b));
    expect(whites[3]).toBeGreaterThan(0.5);
    const picture = brighter(4);
    const marked = clippedCells(picture).filter(({ what }) => what === 'white');
    expect(marked.length / (48 * 27)).toBeCloseTo(tonesOf(picture).whiteShare, 0);
    const { bins } = tonesOf(picture);
    expect(bins.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  it('a smeared frame is less sharp, and sharpness pulses under a long shutter on a steadied picture', () => {
    const still = {
      ...take,
      exposure: { ...take.exposure, noiseStops: -20 },
      movement: { ...take.movement, travelMps: 0, turnDegPerS: 0 },
    };
    const at = (seconds: number): number[] => {
      const one = {
        ...still,
        heldDeg: 20,
        rollHeldDeg: 45,
        exposure: { ...still.exposure, longestLog: Math.log2(seconds), shutterSpanStops: 0, filterStops: 0 },
        // Light that is right for this shutter at the lowest ISO.
        light: {
          ...still.light,
          evMin: still.exposure.fNumberLog - Math.log2(seconds),
          moment: 'dark' as const,
        },
      };
      const drawn = new Renderer(one, sceneOf(take.scene, 1.5, 1.7), 240);
      return Array.from({ length: 25 }, (_, number) =>
        sharpnessOf(drawn.picture({ number, atSeconds: number / 25 })),
      );
    };
    const [long, short] = [at(1 / 50), at(1 / 400)];
    expect(Math.max(...long)).toBeLessThan(Math.max(...short));
    expect(sharpnessPulse(long)).toBeGreaterThan(1.5 * sharpnessPulse(short));
  });

  it('less of it is crushed', () => {
    const dark = brighter(-14);
    expect(tonesOf(dark).blackShare).toBeGreaterThan(0.2);
    expect(clippedCells(dark).some(({ what }) => what === 'black')).toBe(true);
  });
});
