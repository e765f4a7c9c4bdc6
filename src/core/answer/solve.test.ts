import { READY_SCHOOLS } from '../vocabulary/schools';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../../bench/anyShot';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { noise } from '../loss/terms/noise';
import { whiteLoss } from '../loss/terms/over';
import { darkLoss } from '../loss/terms/under';
import { reasonsOf } from './reasons';
import { solve } from './solve';
import type { Solution } from './solve';
import { expose, isoWindow } from '../loss/exposure';
import { scoreOf, TERMS } from '../loss/table';
import type { Warning } from './warnings';
import { sampling } from '../../../testing/samples';

type Rest = Omit<ShotInput, 'kind' | 'version'>;
const solved = (rest: Rest): Solution => {
  const outcome = solve(briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...rest })).brief);
  if (!outcome.solved) throw new Error(JSON.stringify(outcome.refusal.obstacle));
  return outcome.solution;
};
const warned = <C extends Warning['code']>(
  solution: Solution,
  code: C,
): Extract<Warning, { code: C }> | undefined =>
  solution.warnings.find((warning): warning is Extract<Warning, { code: C }> => warning.code === code);
/** The same shot with every tile held, so that only the brief's change shows. */
const held = (rest: Rest, change: Rest): Solution =>
  solved({ ...rest, ...change, pins: solved(rest).settings });

describe('loss', () => {
  it('is never negative, adds up to the score, and every term is one of the list', () => {
    fc.assert(
      fc.property(anyShot(), (input) => {
        const outcome = solve(briefOf(ShotSchema.parse(input)).brief);
        if (!outcome.solved) return;
        const { loss, score, space } = outcome.solution;
        expect(Object.keys(loss).sort()).toEqual([...TERMS].sort());
        for (const term of TERMS) expect(loss[term], term).toBeGreaterThanOrEqual(0);
        expect(scoreOf(loss, space.school.weights)).toBeCloseTo(score, 9);
      }),
      sampling(200, 21),
    );
  });

  it('minds a white sky more than a dark shade, and a dark shade more than noise', () => {
    const stop = (from: number): { over: number; under: number } => ({
      over: whiteLoss(from + 1, 0.5, 0) - whiteLoss(from, 0.5, 0),
      under: darkLoss(from + 1, 0) - darkLoss(from, 0),
    });
    for (const from of [0, 0.5, 1, 3]) expect(stop(from).over).toBeGreaterThan(stop(from).under);
    const { space, candidate } = solved({});
    const iso = isoWindow(100, 6400);
    const { shutter, filter, colour } = candidate;
    const grain = (stops: number): number => {
      const evMin = 12 - stops;
      const light = { ...space.light, evMin, spreadStops: 0 };
      const exposure = { ...expose(colour.sensor, light, shutter, filter.stops, iso), turn: 12 };
      return noise.loss({ sensor: colour.sensor, light, shutter, filter, iso, exposure });
    };
    for (const from of [0, 1, 2, 3]) expect(grain(from + 1) - grain(from)).toBeLessThan(stop(0).under);
    expect(grain(4)).toBeGreaterThan(grain(1));
  });

  it('each school has its best as the least under its own eyes', () => {
    const rest: Rest = {
      mount: { kind: 'chest', activity: 'running' },
      light: { kind: 'range', evMin: 9, evMax: 14 },
    };
    for (const school of READY_SCHOOLS) {
      const own = solved({ ...rest, look: { school } });
      expect(own.space.school.id).toBe(school);
      expect(own.schools).toHaveLength(READY_SCHOOLS.length - 1);
    }
  });
});

describe('how long it holds', () => {
  const run: Rest = {
    mount: { kind: 'helmet', ground: 'mixed' },
    light: { kind: 'range', evMin: 11, evMax: 13 },
    look: { school: 'crisp' },
  };

  it('to the shake it names: no smear just below, smear above', () => {
    const { holds } = solved(run);
    const smear = (times: number): number =>
      held(run, { motion: { shakeDegPerSRms: holds.shakeDegPerSRms * times } }).loss.smear;
    expect(smear(0.99)).toBe(0);
    expect(smear(1.3)).toBeGreaterThan(0.2);
  });

  it('to the light it names, and to the end of the card', () => {
    const { holds } = solved(run);
    const lit = held(run, { light: { kind: 'range', evMin: holds.evMin, evMax: holds.evMax } });
    expect(lit.exposure.overStops + lit.exposure.underStops).toBeLessThan(1e-9);
    const brighter = held(run, { light: { kind: 'range', evMin: 11, evMax: Math.min(24, holds.evMax + 1) } });
    expect(brighter.exposure.overStops).toBeCloseTo(1, 9);
    const long = held(run, { limits: { recordSeconds: holds.recordSeconds * 1.1 } });
    expect(warned(long, 'card')?.use).toBeCloseTo(1.1, 6);
    expect(long.holds.untilLimit).toBe('card');
    expect(
      warned(held(run, { limits: { recordSeconds: holds.recordSeconds * 0.99 } }), 'card'),
    ).toBeUndefined();
  });
});

describe('what would help', () => {
  const wide: Rest = {
    look: { school: 'film' },
    mount: { kind: 'tripod' },
    light: { kind: 'range', evMin: 7, evMax: 15 },
    pins: { shutterMode: 'fixed' },
  };

  it('leaves what it says when it is done', () => {
    const before = solved(wide);
    const { settings } = before;
    const { frameRate, shutterSeconds, shutterMode, filter, iso } = settings;
    const left = ({ exposure }: Solution): object => ({
      overStops: exposure.overStops,
      underStops: exposure.underStops,
    });
    const remedies = [
      ...(warned(before, 'under')?.remedies ?? []),
      ...(warned(before, 'over')?.remedies ?? []),
    ];
    expect(remedies.length).toBeGreaterThanOrEqual(2);
    for (const remedy of remedies) {
      const told = { overStops: remedy.overStops, underStops: remedy.underStops };
      if (remedy.code === 'raiseCeiling') {
        const pins = { frameRate, shutterSeconds, shutterMode, filter };
        expect(left(solved({ ...wide, pins, limits: { isoCeiling: remedy.iso } }))).toEqual(told);
      }
      if (remedy.code === 'letShutterRun') {
        const pins = { frameRate, shutterSeconds, shutterMode: 'auto' as const, filter, iso };
        expect(left(solved({ ...wide, pins }))).toEqual(told);
      }
      if (remedy.code === 'splitRun') {
        const halves = [
          { evMin: 7, evMax: remedy.atEv },
          { evMin: remedy.atEv, evMax: 15 },
        ].map((half) => solved({ ...wide, light: { kind: 'range', ...half } }).exposure);
        expect(Math.max(...halves.map(({ underStops }) => underStops))).toBeCloseTo(remedy.underStops, 9);
        expect(Math.max(...halves.map(({ overStops }) => overStops))).toBeCloseTo(remedy.overStops, 9);
      }
    }
  });

  it('names the filter that would let a wish stand, and it does', () => {
    const sun: Rest = {
      look: { school: 'film' },
      mount: { kind: 'tripod' },
      light: { kind: 'range', evMin: 13, evMax: 15 },
      filters: [],
    };
    const before = solved(sun);
    const reason = reasonsOf(before).find(({ setting }) => setting === 'shutterSeconds');
    if (reason?.setting !== 'shutterSeconds') throw new Error('no reason for the shutter');
    const [yielded] = reason.yielded;
    expect(yielded?.wish).toBe('angle');
    expect(before.settings.frameRate).toBe(25);
    expect(before.exposure.overStops).toBeLessThan(1);
    const stops = yielded!.filterStops!;
    const kept = solved({ ...sun, filters: [{ id: 'added', kind: 'nd', stops }] });
    expect(kept.settings.shutterAngleDeg).toBeCloseTo(180, 9);
  });

  it('is not asked for when the light fits', () => {
    const easy = solved({ mount: { kind: 'tripod' }, light: { kind: 'range', evMin: 12, evMax: 12 } });
    expect(warned(easy, 'over')?.remedies ?? []).toEqual([]);
    expect(warned(easy, 'under')).toBeUndefined();
  });
});

describe('warnings', () => {
  it('under lamps the shutter keeps nothing of the pulse unless it is pinned', () => {
    const lamps: Rest = {
      mount: { kind: 'hand', activity: 'still' },
      light: { kind: 'scene', from: 'litRoom' },
      limits: { mainsHz: 60 },
    };
    expect(solved(lamps).loss.flicker).toBeLessThan(0.05);
    const pulse = warned(solved({ ...lamps, pins: { shutterSeconds: 1 / 50, frameRate: 25 } }), 'flicker');
    expect(pulse?.pulse.beatHz).toBeCloseTo(5, 9);
    expect(Math.round(1 / pulse!.safeSeconds!)).toBe(60);
  });

  it('a tilted mount asks for a hold that rights it, and says so where there is none', () => {
    const tilted: Rest = {
      mount: { kind: 'helmet', tiltDeg: 9 },
      light: { kind: 'range', evMin: 12, evMax: 13 },
    };
    expect(['levelHold', 'rollHold']).toContain(solved(tilted).settings.stabilization);
    const off = solved({ ...tilted, pins: { stabilization: 'off' } });
    expect(warned(off, 'tilt')?.keeps).toBeLessThan(0.8);
    expect(warned(off, 'margin')?.heldDeg).toBe(0);
  });

  it('a face inside the near limit, a subject that does not fit, one that blurs', () => {
    const subject = (speedMps: number, distanceM: number, sizeM: number): Solution =>
      solved({
        mount: { kind: 'tripod' },
        motion: { subject: { speedMps, distanceM, sizeM } },
        light: { kind: 'range', evMin: 4, evMax: 4 },
      });
    expect(warned(subject(0, 0.2, 0.2), 'faceNear')?.nearLimitM).toBe(0.4);
    expect(warned(subject(0, 1, 2.5), 'viewNarrow')?.what).toBe('noRoom');
    expect(warned(subject(30, 3, 1.5), 'speed')?.blurPct).toBeGreaterThan(3);
    expect(warned(subject(0.1, 3, 1), 'speed')).toBeUndefined();
  });

  it('a sphere re-framed flat is short of pixels for a large delivery', () => {
    const sphere: Rest = {
      camera: { archetype: 'sphere' },
      mount: { kind: 'pole' },
      playback: { deliver: { width: 3840, height: 2160 } },
    };
    expect(warned(solved(sphere), 'resolution')).toMatchObject({
      neededPx: 3840,
      widthPx: (5760 * 95) / 360,
    });
  });

  it('cautions of safety stand with their mounts', () => {
    expect(
      warned(solved({ mount: { kind: 'vehicleOutside', activity: 'driving' } }), 'safety')?.caution,
    ).toBe('neverOperateDriving');
    expect(warned(solved({ mount: { kind: 'tripod', activity: 'still' } }), 'safety')).toBeUndefined();
  });
});

describe('the second row', () => {
  it('follows grade and light: log and a locked white balance for a full grade, all in the camera without one', () => {
    const light = { kind: 'range', evMin: 12, evMax: 13 } as const;
    const full = solved({ look: { grade: 'full' }, mount: { kind: 'tripod' }, light }).settings;
    expect(full).toMatchObject({ colour: 'log', whiteBalance: 6300, sharpening: 'low' });
    expect(full.iso.min).toBeGreaterThanOrEqual(400);
    const none = solved({ look: { grade: 'none' }, mount: { kind: 'tripod' }, light }).settings;
    expect(none).toMatchObject({ colour: 'standard', whiteBalance: 'auto', noiseReduction: 'standard' });
    // Where the bag is too weak for its base ISO, log is not worth the shutter it costs.
    const noon = { kind: 'range', evMin: 15, evMax: 16 } as const;
    expect(
      solved({ look: { grade: 'full' }, mount: { kind: 'tripod' }, light: noon, filters: [] }).settings
        .colour,
    ).not.toBe('log');
    // Nor where 200 frames a second are not to be had in it, or its base lies above the ceiling.
    const full200 = solved({
      look: { grade: 'full' },
      playback: { slowdown: 8 },
      pins: { frameRate: 200 },
      light,
    });
    expect(full200.settings.colour).not.toBe('log');
    expect(solved({ look: { grade: 'full' }, limits: { isoCeiling: 200 }, light }).settings.colour).not.toBe(
      'log',
    );
  });

  it('an offset only where something may move', () => {
    const light = { kind: 'range', evMin: 12, evMax: 15.5 } as const;
    expect(solved({ light, look: { school: 'handsOff' } }).settings.exposureOffsetStops).toBe(-0.5);
    const fixed = solved({ light, pins: { iso: { min: 100, max: 100 }, shutterSeconds: 1 / 200 } });
    expect(fixed.settings.exposureOffsetStops).toBe(0);
  });
});
