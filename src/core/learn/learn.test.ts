import { describe, expect, it } from 'vitest';
import { season } from '../../../bench/season';
import { briefOf } from '../brief/brief';
import { evRangeOf } from '../light/lightRange';
import { modePowerW } from '../camera/modeTable';
import { figureId, withOwn } from '../records/figures';
import type { Figure, Learned } from '../records/learned';
import { readShot } from '../records/shot';
import { item } from '../units/items';
import type { Evidence } from './evidence';
import { spreadOf } from './figures';
import { infer } from './infer';
import type { Inferred } from './infer';
import { evidenceIn, learn } from './learn';
import { densityOfFour, shareBelowOfFour, tilted } from './tilted';

const utc = () => (date: string, time: string) => Date.parse(`${date}T${time}:00Z`);
const SUN: Figure = { of: 'scene', scene: 'openSun' };
const HELMET: Figure = { of: 'shake', mount: 'helmet', activity: 'riding', ground: 'rough' };

const piece = (over: Partial<Evidence> & { figure?: Figure }): Evidence => ({
  id: 'a',
  of: [{ figure: over.figure ?? SUN, usual: 15, times: 1 }],
  says: 'is',
  at: 0,
  error: 0.45,
  day: { date: '2026-05-01', kind: 'light' },
  ...over,
});
const only = (inferred: readonly Inferred[]): Inferred => item(inferred, 0);

describe('what is inferred', () => {
  it('is what was known before where nothing came back, and between that and what came otherwise', () => {
    expect(infer([])).toEqual([]);
    const { off, spread } = only(infer([piece({ at: 1 })]));
    expect(off).toBeGreaterThan(0.2);
    expect(off).toBeLessThan(1);
    expect(spread).toBeLessThan(spreadOf(SUN));
  });

  it('agrees with the closed form where errors are normal to what their tails allow', () => {
    // Narrow against the spread before, precision adds up; the tails pull back a little.
    const error = 0.05;
    const { off } = only(infer([piece({ at: 0.4, error, day: null, figure: HELMET })]));
    const weight = spreadOf(HELMET) ** 2 / (spreadOf(HELMET) ** 2 + error ** 2);
    expect(off).toBeCloseTo(0.4 * weight, 1);
  });

  it('is the same in whatever order the pieces come', () => {
    const { kept } = season(5, { noise: 'asTaken', days: 6 });
    const turned = {
      shots: [...kept.shots].reverse(),
      outings: [...kept.outings].reverse(),
      log: [...kept.log].reverse(),
      clips: [...kept.clips].reverse(),
      measured: [...kept.measured].reverse(),
    };
    expect(learn(turned, utc)).toEqual(learn(kept, utc));
  });

  it.each([0, 1, 3, 10, 40])('one wild clip after %i moves no figure by half its spread', (before) => {
    const seen = Array.from({ length: before }, (_, at) =>
      piece({
        id: `${at}`,
        at: 0.5 * Math.sin(7 * at),
        day: { date: `2026-05-${10 + (at % 5)}`, kind: 'light' },
      }),
    );
    const was = infer(seen).at(0) ?? { off: 0, spread: spreadOf(SUN) };
    // Five of the figure's own spreads off and more: no sun is so dark or bright.
    for (let spreads = 5; spreads <= 24; spreads += 0.5)
      for (const side of [-1, 1]) {
        const wild = piece({ id: 'wild', at: side * spreads * spreadOf(SUN) });
        const { off } = only(infer([...seen, wild]));
        expect(Math.abs(off - was.off), `${spreads} spreads`).toBeLessThan(was.spread / 2);
      }
  });

  it('one wild clip of a whole season moves none of its figures by half their spread', () => {
    const { kept } = season(8, { noise: 'normal', days: 4 });
    const pieces = evidenceIn(kept, utc);
    const was = new Map(infer(pieces).map((one) => [figureId(one.figure), one]));
    const wild = item(kept.clips, 3).id;
    const spoilt = pieces.map((one) =>
      one.id === wild && one.says === 'is' ? { ...one, at: one.at + 6 } : one,
    );
    const without = new Map(
      infer(pieces.filter((one) => one.id !== wild || one.says !== 'is')).map((one) => [
        figureId(one.figure),
        one,
      ]),
    );
    for (const { figure, off } of infer(spoilt)) {
      const plain = without.get(figureId(figure)) ?? was.get(figureId(figure));
      expect(Math.abs(off - (plain?.off ?? 0)), figureId(figure)).toBeLessThan((plain?.spread ?? 1) / 2);
    }
  });

  it('a bound moves a figure away from it, and one far off says nothing', () => {
    expect(only(infer([piece({ says: 'above', at: 0.5 })])).off).toBeGreaterThan(0.1);
    expect(only(infer([piece({ says: 'below', at: -0.5 })])).off).toBeLessThan(-0.1);
    expect(Math.abs(only(infer([piece({ says: 'below', at: 30 })])).off)).toBeLessThan(0.01);
  });

  it('clips of one day say less than as many of different days', () => {
    const many = (dated: (at: number) => string): number =>
      only(
        infer(
          Array.from({ length: 8 }, (_, at) =>
            piece({ id: `${at}`, at: 0.5, day: { date: dated(at), kind: 'light' } }),
          ),
        ),
      ).spread;
    expect(many(() => 'one')).toBeGreaterThan(1.3 * many((at) => `${at}`));
  });

  it('a dark clip may be a dark wood or a dark glass: both are blamed, each by how little it is known', () => {
    const glass: Figure = { of: 'filter', filterId: 'nd8' };
    const of = [
      { figure: SUN, usual: 15, times: 1 },
      { figure: glass, usual: 3, times: -1 },
    ];
    const told = infer(Array.from({ length: 6 }, (_, at) => piece({ id: `${at}`, of, at: -0.6, day: null })));
    const [filter, scene] = told;
    expect(filter?.off).toBeGreaterThan(0);
    expect(scene?.off).toBeLessThan(-3 * (filter?.off ?? 0));
  });
});

describe('one piece on one quantity', () => {
  it('the tails are those of four degrees of freedom', () => {
    // Tabled quantiles of Student's t: 2.132 at 95 %, 2.776 at 97.5 %.
    expect(shareBelowOfFour(2.132)).toBeCloseTo(0.95, 3);
    expect(shareBelowOfFour(2.776)).toBeCloseTo(0.975, 3);
    const step = 1e-4;
    for (const t of [-3, -0.4, 0, 1.7])
      expect((shareBelowOfFour(t + step) - shareBelowOfFour(t - step)) / (2 * step)).toBeCloseTo(
        densityOfFour(t),
        6,
      );
  });

  it('agrees with a sum over many more points, however narrow the error', () => {
    for (const error of [0.02, 0.1, 0.5, 2])
      for (const at of [-1.2, 0, 0.7]) {
        const before = { mean: 0.2, variance: 0.25 };
        const told = tilted(before, piece({ at, error }), 0.01);
        let [sum, first] = [0, 0];
        for (let value = -4; value <= 4; value += 1e-3) {
          const mass =
            Math.exp(-0.5 * ((value - 0.2) / 0.5) ** 2) *
            ((0.94 * densityOfFour((value - at) / error)) / error + 0.01);
          sum += mass;
          first += mass * value;
        }
        expect(told.mean, `${error} ${at}`).toBeCloseTo(first / sum, 2);
      }
  });
});

describe("a brief with the person's own figures", () => {
  const shotWith = (learned: Learned[], over: object = {}) => {
    const read = readShot({
      kind: 'lynxeye/shot',
      version: 3,
      mount: { kind: 'helmet', activity: 'riding', ground: 'rough' },
      light: { kind: 'scene', from: 'openShade', to: 'openSun' },
      filters: [{ id: 'nd8', kind: 'nd', stops: 3 }],
      learned,
      ...over,
    });
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    return read.value;
  };
  const own = (figure: Figure, usual: number, off: number): Learned => ({
    figure,
    usual,
    off,
    spread: 0.1,
    from: 4,
  });

  it('takes them in the place of the usual ones, and says which', () => {
    const learned = [
      own(HELMET, 40, Math.log2(52 / 40)),
      own(SUN, 15, 0.5),
      own({ of: 'filter', filterId: 'nd8' }, 3, 0.2),
      own({ of: 'heat', cameraId: 'main' }, 12, 1),
      own({ of: 'bitRate', cameraId: 'main' }, 1, Math.log2(0.9)),
      own({ of: 'guard', cameraId: 'main' }, 1, -0.2),
      own({ of: 'iso', cameraId: 'main' }, 800, 1),
      own({ of: 'power', cameraId: 'main', height: 2160, frameRate: 50 }, 4, 0.5),
      own({ of: 'scene', scene: 'dimHall' }, 4, 1),
    ];
    const { brief } = briefOf(shotWith(learned));
    const { brief: plain } = briefOf(shotWith([]));
    expect(brief.motion.shakeDegPerSRms).toBeCloseTo(52, 6);
    expect(evRangeOf(brief.light).evMax).toBeCloseTo(15.5, 9);
    expect(evRangeOf(brief.light).evMin).toBeCloseTo(12, 9);
    expect(brief.filters[0]).toMatchObject({ measuredStops: 3.2 });
    expect(brief.camera.heat.stillAirKPerW).toBeCloseTo(2 * plain.camera.heat.stillAirKPerW, 9);
    expect(brief.camera.writesShare).toBeCloseTo(0.9, 9);
    expect(brief.camera.highlightGuardStops.standard).toBeCloseTo(
      plain.camera.highlightGuardStops.standard - 0.2,
      9,
    );
    expect(brief.limits.isoCeiling).toBe(1600);
    const mode = { resolution: { width: 3840, height: 2160 }, frameRate: 50 };
    expect(modePowerW(brief.camera, mode)).toBeCloseTo(Math.SQRT2 * modePowerW(plain.camera, mode), 9);
    expect(brief.learned.map(({ figure }) => figureId(figure))).not.toContain('scene/dimHall');
    expect(brief.learned).toHaveLength(8);
    expect(plain.learned).toEqual([]);
  });

  it('what the person says of the shot goes before, and their figures before those of the file', () => {
    const said = shotWith([own(HELMET, 40, 1)], {
      motion: { shakeDegPerSRms: 30 },
      limits: { isoCeiling: 400 },
    });
    const { brief } = briefOf(
      withOwn(said, { learned: [own({ of: 'iso', cameraId: 'main' }, 800, 1)], mine: null }),
    );
    expect(brief.motion.shakeDegPerSRms).toBe(30);
    expect(brief.limits.isoCeiling).toBe(400);
    expect(brief.learned).toEqual([]);
    const both = briefOf(
      withOwn(shotWith([own(HELMET, 40, 1)]), { learned: [own(HELMET, 40, 0.5)], mine: null }),
    );
    expect(both.brief.motion.shakeDegPerSRms).toBeCloseTo(40 * Math.SQRT2, 6);
  });
});
