import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../../bench/anyShot';
import { matchSheetOf } from '../together/matchSheet';
import { MOUNTS } from '../vocabulary/mounts';
import { blockedShare } from '../motion/obstruction';
import { briefOf } from '../brief/brief';
import { addCamera, cameraCount, removeCamera, shotOfPart, withPart } from '../records/secondAngles';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { familyOf } from '../playback/cadence';
import { solveJointly } from '../together/joint';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { steadyWays, tiltRemedies } from '../compare/steadiness';
import { sampling } from '../../../testing/samples';

const shot = (input: Omit<ShotInput, 'kind' | 'version'>) =>
  ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...input });
const solved = (input: Omit<ShotInput, 'kind' | 'version'>): Solution => {
  const outcome = solve(briefOf(shot(input)).brief);
  if (!outcome.solved) throw new Error(outcome.refusal.obstacle.code);
  return outcome.solution;
};
const waysOf = (solution: Solution) => steadyWays(solution.space, solution.loss);

describe('ways to hold a shot steady', () => {
  it('a helmet crooked by 6°: three cures, compared by the pixels they leave', () => {
    const solution = solved({ mount: { kind: 'helmet', ground: 'rough', activity: 'riding', tiltDeg: 6 } });
    const remedies = tiltRemedies(solution.space, solution.candidate, waysOf(solution));
    expect(remedies.map(({ remedy, rights }) => [remedy, rights])).toEqual([
      ['levelHold', true],
      ['rollHold', true],
      ['straighten', true],
    ]);
    const px = Object.fromEntries(remedies.map(({ remedy, widthPx }) => [remedy, Math.round(widthPx)]));
    // Full-roll hold stops at 2.7K. Straightening by 6° leaves 0.847 of each side of a 4K file.
    expect(px.rollHold).toBeLessThanOrEqual(2688);
    expect(px.levelHold).toBe(3840);
    const plain = waysOf(solution).find(
      ({ means }) => means.kind === 'inCamera' && means.stabilization === 'strong',
    )!;
    expect(plain.keeps).toBeCloseTo(0.8 * 0.8472, 3);
  });

  it('each way says what it holds; a pin that stands against one gives way and is named', () => {
    const solution = solved({
      mount: { kind: 'chest', activity: 'running' },
      pins: { frameRate: 60, resolution: { width: 3840, height: 2160 } },
    });
    const roll = waysOf(solution).find(
      ({ means }) => means.kind === 'inCamera' && means.stabilization === 'rollHold',
    )!;
    expect(roll.settings.stabilization).toBe('rollHold');
    expect(roll.gaveWay).toEqual(['resolution']);
    expect(roll.tiltHeldDeg).toBe(180);
    const tripod = waysOf(solution).find(
      ({ means }) => means.kind === 'physical' && means.mount === 'tripod',
    )!;
    expect(tripod.swingDeg).toBeLessThan(0.1);
    expect(tripod.shakeFloorSeconds).toBeGreaterThan(1);
  });

  it('finishing in post takes a tall or wide frame unheld, and says the blur to add', () => {
    const solution = solved({ mount: { kind: 'helmet', ground: 'rough', activity: 'riding' } });
    const edit = waysOf(solution).find(({ means }) => means.kind === 'inEdit')!;
    expect(edit.settings.stabilization).toBe('off');
    expect(edit.heldDeg).toBeGreaterThanOrEqual(edit.swingDeg);
    expect(edit.blurToAdd).toBeCloseTo((180 - edit.settings.shutterAngleDeg) / 360, 6);
    expect(edit.keeps).toBeLessThan(1);
  });
});

const two = (pins: ShotInput['pins'] = {}) =>
  shot({
    playback: { timelineFps: 25 },
    camera: { archetype: 'main' },
    mount: { kind: 'helmet', ground: 'rough', activity: 'paddling' },
    light: { kind: 'range', evMin: 11, evMax: 14 },
    pins,
    secondAngles: [
      {
        name: 'Bow',
        camera: { archetype: 'mini' },
        mount: { kind: 'hull', activity: 'paddling' },
        pins: { frameRate: 30 },
      },
    ],
  });

describe('several cameras on one shot', () => {
  const briefsOf = (whole: ReturnType<typeof two>) =>
    Array.from({ length: cameraCount(whole) }, (_, index) => briefOf(shotOfPart(whole, index)).brief);

  it('the sheet names what differs, the joint solve removes it and says the cost', () => {
    const whole = two();
    const { secondAngles } = whole;
    const loose = { ...whole, secondAngles: secondAngles!.map((angle) => ({ ...angle, pins: {} })) };
    const before = briefsOf(whole).map((brief) => {
      const outcome = solve(brief);
      if (!outcome.solved) throw new Error('no answer');
      return outcome.solution.settings;
    });
    const differs = matchSheetOf(before, { timelineFps: 25, slowdown: 1 }).filter(({ same }) => !same);
    expect(differs.map(({ what }) => what)).toContain('family');

    const outcome = solveJointly(briefsOf(loose));
    if (!outcome.solved) throw new Error('no joint answer');
    const after = outcome.joint.cameras.map(({ settings }) => settings);
    expect(matchSheetOf(after, { timelineFps: 25, slowdown: 1 }).every(({ same }) => same)).toBe(true);
    expect(outcome.joint.cost).toBeGreaterThanOrEqual(0);
    // A pin that stands is kept: 30 fps then sets the family for both.
    const pinned = solveJointly(briefsOf(whole));
    expect(pinned.solved && pinned.joint.cameras.map(({ settings }) => familyOf(settings.frameRate))).toEqual(
      [30, 30],
    );
    expect(pinned.solved && pinned.joint.cost).toBeGreaterThan(0);
  });

  it('run together where no shutter that stands would hold the light', () => {
    const bare = { ...two(), filters: [], light: { kind: 'range' as const, evMin: 9, evMax: 15 } };
    const loose = { ...bare, secondAngles: bare.secondAngles!.map((angle) => ({ ...angle, pins: {} })) };
    const outcome = solveJointly(briefsOf(loose));
    if (!outcome.solved) throw new Error('no joint answer');
    const after = outcome.joint.cameras.map(({ settings }) => settings);
    expect(after.map(({ shutterMode }) => shutterMode)).toEqual(['auto', 'auto']);
    expect(matchSheetOf(after, { timelineFps: 25, slowdown: 1 }).every(({ same }) => same)).toBe(true);
    for (const { pins, settings } of outcome.joint.cameras)
      expect(settings.shutterSeconds).toBeCloseTo(pins.shutterSeconds!, 9);
  });

  it('pins of two families have no joint answer', () => {
    expect(solveJointly(briefsOf(two({ frameRate: 25 })))).toEqual({ solved: false, alone: null });
  });

  it('an angle reads as a shot and is written back, sharing what is shared', () => {
    fc.assert(
      fc.property(anyShot(), anyShot(), (main, other) => {
        const { camera, mount, motion, filters, pins } = ShotSchema.parse({
          ...other,
          ...(main.light ? { light: main.light } : {}),
        });
        const own = Object.fromEntries(
          Object.entries({ camera, mount, motion, filters, pins }).filter(([, value]) => value !== undefined),
        );
        const whole = addCamera(ShotSchema.parse(main), { name: 'Bow', ...own });
        expect(ShotSchema.parse(whole)).toEqual(whole);
        for (const index of [0, 1])
          expect(withPart(whole, index, shotOfPart(whole, index)), `angle ${index}`).toEqual(whole);
        const dimmed = withPart(whole, 1, {
          ...shotOfPart(whole, 1),
          light: { kind: 'range', evMin: 1, evMax: 2 },
        });
        expect(shotOfPart(dimmed, 0).light).toEqual({ kind: 'range', evMin: 1, evMax: 2 });
        expect(removeCamera(whole, 1)).toEqual(ShotSchema.parse(main));
      }),
      sampling(100),
    );
  });
});

describe('what stands in the way of a mount', () => {
  it('is nothing on a tripod, some of a wide chest view, and less of a narrower one', () => {
    const share = (kind: keyof typeof MOUNTS, horizontalDeg: number): number =>
      blockedShare({ horizontalDeg, projection: 'curved' }, 16, 9, MOUNTS[kind].inTheWay);
    expect(share('tripod', 112)).toBe(0);
    expect(share('chest', 112)).toBeGreaterThan(0.02);
    expect(share('chest', 112)).toBeLessThan(0.3);
    expect(share('helmet', 60)).toBeLessThan(share('helmet', 130));
  });
});
