import { PAIR_KINDS } from '../vocabulary/pairs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Renderer } from '../preview/render';
import { joinOf } from '../preview/joinOf';
import { sceneOf } from '../preview/scene';
import { meantTurn } from '../preview/take';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import { isSecondHalf, partCount, shotOfPart, titleOfPart, withPart } from '../records/secondAngles';
import { readShot } from '../records/shot';
import type { Pair, Shot } from '../records/shot';
import { pairSheet } from './pairSheet';
import { withHalvesSet } from './setHalves';
import type { PairSheet } from './pairSheet';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';

const solved = (shot: Shot): Solution => {
  const outcome = solve(briefOf(shot).brief);
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const whip = (first: Shot['pins'], second: Shot['pins'], more: Partial<Pair> = {}): Shot => ({
  ...emptyShot('Whip'),
  mount: { kind: 'hand', ground: 'smooth', activity: 'still' },
  motion: { panDegPerS: 600 },
  light: { kind: 'range', evMin: 12, evMax: 12.5 },
  ...(first ? { pins: first } : {}),
  pair: {
    kind: 'whip',
    turn: 'right',
    ...more,
    second: {
      name: 'To the door',
      mount: { kind: 'hand', ground: 'smooth', activity: 'still' },
      motion: { panDegPerS: 600 },
      ...(second ? { pins: second } : {}),
    },
  },
});
const sheetOf = (shot: Shot): PairSheet =>
  pairSheet(shot.pair!, solved(shotOfPart(shot, 0)), solved(shotOfPart(shot, 1)));
const HALF: Shot['pins'] = {
  frameRate: 25,
  shutterMode: 'fixed',
  shutterSeconds: 1 / 50,
  stabilization: 'off',
  whiteBalance: 5600,
  view: { id: 'wide' },
};

describe('a whip pair', () => {
  it('says how fast to turn for its blur, and as a quarter turn', () => {
    const sheet = sheetOf(whip(HALF, HALF));
    const [first] = sheet.halves;
    const { horizontalDeg } = first.settings.view;
    // A curved view: 10 % of the width are a tenth of its degrees, in a fiftieth of a second.
    expect(first.turnDegPerS).toBeCloseTo(0.1 * horizontalDeg * 50, 6);
    expect(first.quarterTurnSeconds).toBeCloseTo(90 / first.turnDegPerS, 9);
    expect(first.plannedBlurPct).toBeCloseTo((600 / first.turnDegPerS) * 10, 6);
    expect(sheet.joins).toBe(true);
    const half = sheetOf(whip(HALF, HALF, { blurPct: 5 }));
    expect(half.halves[0].turnDegPerS).toBeCloseTo(first.turnDegPerS / 2, 6);
  });

  it('flags a half at another shutter angle, view, or turned too slowly', () => {
    const angle = sheetOf(whip(HALF, { ...HALF, shutterSeconds: 1 / 200 }));
    expect(angle.joins).toBe(false);
    expect(angle.match.find(({ what }) => what === 'shownAngle')?.same).toBe(false);
    expect(angle.demands.find(({ what }) => what === 'angle180')?.held).toEqual([true, false]);
    // A shorter shutter must be turned faster for the same blur.
    expect(angle.halves[1].turnDegPerS).toBeCloseTo(4 * angle.halves[0].turnDegPerS, 6);
    expect(angle.demands.find(({ what }) => what === 'blur')?.held).toEqual([true, false]);
    expect(sheetOf(whip(HALF, { ...HALF, view: { id: 'straight' } })).view.same).toBe(false);
    const slow = whip(HALF, HALF);
    expect(
      sheetOf({ ...slow, motion: { panDegPerS: 200 } }).demands.find(({ what }) => what === 'blur')?.held,
    ).toEqual([false, true]);
  });
});

describe('setting both halves alike', () => {
  it.each(PAIR_KINDS)('%s: gives what it asks for, and then both halves join', (kind) => {
    const loose = whip(undefined, { frameRate: 50, shutterSeconds: 1 / 400 }, { kind });
    const shot = withHalvesSet(loose)!;
    expect(shot).not.toBeNull();
    const sheet = sheetOf(shot);
    expect(sheet.view.same).toBe(true);
    expect(sheet.match.filter(({ same }) => !same).map(({ what }) => what)).toEqual([]);
    const unmet = sheet.demands.filter(({ held }) => !held.every(Boolean)).map(({ what }) => what);
    expect(unmet).toEqual([]);
  });
});

describe('a join that is asked for', () => {
  it('at a low rate, with the filter on, takes them even from a fast timeline in the shade', () => {
    const dim = whip(undefined, undefined, { kind: 'whip' });
    const shot = withHalvesSet({
      ...dim,
      playback: { timelineFps: 60 },
      light: { kind: 'range', evMin: 7, evMax: 8 },
    })!;
    for (const at of [0, 1]) {
      const { pins } = shotOfPart(shot, at);
      expect(pins!.frameRate).toBe(30);
      expect(pins!.filter!.stops).toBeGreaterThan(0);
    }
  });

  it('is not there without a second half', () => {
    const { pair, ...single } = whip(HALF, HALF);
    expect(pair).toBeDefined();
    expect(withHalvesSet(single)).toBeNull();
  });
});

describe('the two halves in one shot', () => {
  const shot = whip(HALF, HALF);

  it('pass the file, and each reads as a shot of its own', () => {
    expect(readShot(JSON.parse(JSON.stringify(shot))).ok).toBe(true);
    expect(readShot({ ...shot, pair: { ...shot.pair, kind: 'wipe' } }).ok).toBe(false);
    expect(partCount(shot)).toBe(2);
    expect(isSecondHalf(shot, 1)).toBe(true);
    expect([0, 1].map((at) => titleOfPart(shot, at).name)).toEqual([null, 'To the door']);
    expect(shotOfPart(shot, 1).light).toEqual(shot.light);
    expect(shotOfPart(shot, 0).pair).toBeUndefined();
  });

  it('a half that is not changed stays, and light told for the second is its own', () => {
    fc.assert(
      fc.property(fc.constantFrom(0, 1), (at) => {
        expect(withPart(shot, at, shotOfPart(shot, at))).toEqual(
          at === 0 ? shot : { ...shot, pair: { ...shot.pair!, second: { ...shot.pair!.second } } },
        );
      }),
    );
    const evening = withPart(shot, 1, {
      ...shotOfPart(shot, 1),
      light: { kind: 'range', evMin: 5, evMax: 6 },
    });
    expect(evening.light).toEqual(shot.light);
    expect(shotOfPart(evening, 1).light).toEqual({ kind: 'range', evMin: 5, evMax: 6 });
    expect(shotOfPart(evening, 0).light).toEqual(shot.light);
  });
});

describe('the join, drawn', () => {
  const shot = whip(HALF, HALF);
  const halves = [solved(shotOfPart(shot, 0)), solved(shotOfPart(shot, 1))] as const;

  it('whips away at the wanted rate, and comes to rest from it', () => {
    const [out, into] = joinOf(shot.pair!, sheetOf(shot), ...halves);
    const rate = (take: typeof out, at: number): number =>
      (meantTurn(take, at + 0.001).yawDeg - meantTurn(take, at - 0.001).yawDeg) / 0.002;
    const wanted = sheetOf(shot).halves[0].turnDegPerS;
    expect(Math.abs(rate(out, 0.2))).toBe(0);
    expect(rate(out, 0.95)).toBeCloseTo(wanted, 3);
    expect(rate(into, 0.05)).toBeCloseTo(wanted, 3);
    expect(Math.abs(rate(into, 0.9))).toBe(0);
    expect(Math.abs(meantTurn(into, 1).yawDeg)).toBe(0);
  });

  it('a covered lens ends black and begins black', () => {
    const cover = { ...shot.pair!, kind: 'cover' as const };
    const takes = joinOf(cover, sheetOf(shot), ...halves);
    const bright = (take: (typeof takes)[0], number: number): number => {
      const { rgba } = new Renderer(take, sceneOf('trail', 1, 1.5), 96).picture(
        { number, atSeconds: number / 25 },
        1,
      );
      return rgba.reduce((sum, value, at) => (at % 4 === 1 ? sum + value : sum), 0) / (rgba.length / 4);
    };
    expect(bright(takes[0], 24)).toBeLessThan(bright(takes[0], 2) / 4);
    expect(bright(takes[1], 0)).toBeLessThan(3);
    expect(bright(takes[1], 20)).toBeGreaterThan(40);
  });
});
