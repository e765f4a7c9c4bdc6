import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import type { Shot } from '../records/shot';
import { motionSheet } from './motionSheet';
import type { MotionSheet } from './motionSheet';
import { cadence } from '../loss/terms/cadence';
import { stutter } from '../loss/terms/stutter';
import { solve } from '../answer/solve';

const sheetOf = (shot: Shot): MotionSheet => {
  const outcome = solve(briefOf(shot).brief);
  if (!outcome.solved) throw new Error('no answer');
  return motionSheet(outcome.solution.space, outcome.solution.candidate);
};
const rough: Shot = {
  ...emptyShot('rough'),
  camera: { archetype: 'main' },
  mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
  motion: { travelMps: 6, nearestM: 1.5, shakeDegPerSRms: 40, subject: { speedMps: 3, distanceM: 4 } },
  light: { kind: 'range', evMin: 12, evMax: 13 },
};

describe('what movement does in one way of filming', () => {
  it('at 180° a rough helmet pulses when steadied; at 1/200 s it does not', () => {
    const long = sheetOf({
      ...rough,
      pins: {
        frameRate: 25,
        shutterSeconds: 1 / 50,
        shutterMode: 'fixed',
        stabilization: 'strong',
        view: { id: 'widest' },
      },
    });
    const short = sheetOf({
      ...rough,
      pins: {
        frameRate: 25,
        shutterSeconds: 1 / 200,
        shutterMode: 'fixed',
        stabilization: 'strong',
        view: { id: 'widest' },
      },
    });
    expect(long.pulses).toBe(true);
    expect(short.pulses).toBe(false);
    expect(long.shakeSmearPct / short.shakeSmearPct).toBeCloseTo(4, 6);
    expect(short.blurToAdd).toBeCloseTo((180 - 45) / 360, 6);
    expect(long.blurToAdd).toBe(0);
    expect(long.worstBlurPct).toBeGreaterThan(long.typicalBlurPct);
    expect(long.subjectBlurPct).toBeGreaterThan(0);
    expect(long.spin?.spinner.what).toBe('wheel');
  });

  it('unsteadied, what is held is nothing and it is past it all the time', () => {
    const bare = sheetOf({ ...rough, pins: { stabilization: 'off' } });
    expect(bare.heldDeg).toBe(0);
    expect(bare.overrunShare).toBeCloseTo(1, 6);
    expect(bare.pulses).toBe(false);
  });

  it('knows skew and jelly only where the camera knows its readout', () => {
    for (const { shot } of makeDemo().shots.filter(({ shot: { timeLapse } }) => timeLapse === undefined)) {
      const { brief } = briefOf(shot);
      const sheet = sheetOf(shot);
      expect(sheet.skewPct === null, shot.name).toBe(brief.camera.readoutSeconds === undefined);
      expect(sheet.map.cells.length).toBeGreaterThan(100);
    }
  });
});

describe('a clip played at several speeds', () => {
  const several: Shot = {
    ...emptyShot('several'),
    playback: { timelineFps: 25, slowdown: 1, alsoSlowdowns: [4, 2, 4] },
  };
  it('is captured for the slowest, and each speed is judged', () => {
    const { brief } = briefOf(several);
    expect(brief.playback).toMatchObject({ slowdown: 4, alsoSlowdowns: [1, 2] });
    const sheet = sheetOf(several);
    expect(sheet.speeds.map(({ slowdown }) => slowdown)).toEqual([1, 2, 4]);
    expect(sheet.speeds[0]!.shownAngleDeg).toBeLessThan(sheet.speeds[2]!.shownAngleDeg + 1e-9);
  });

  it('the worst cadence of all counts, and stutter is that of the slowest', () => {
    const { brief } = briefOf(several);
    const alone = briefOf({ ...several, playback: { timelineFps: 25, slowdown: 4 } }).brief;
    expect(stutter.loss({ brief: brief, frameRate: 50 })).toBe(stutter.loss({ brief: alone, frameRate: 50 }));
    expect(cadence.loss({ brief: brief, frameRate: 100 })).toBe(
      cadence.loss({ brief: alone, frameRate: 100 }),
    );
    // 60 fps falls unevenly on 25 at life speed, though slowed 2.4 times it would not.
    const even = { ...brief, playback: { ...brief.playback, slowdown: 2.4, alsoSlowdowns: [] } };
    const both = { ...brief, playback: { ...brief.playback, slowdown: 2.4, alsoSlowdowns: [1] } };
    expect(cadence.loss({ brief: both, frameRate: 60 })).toBeGreaterThan(
      cadence.loss({ brief: even, frameRate: 60 }),
    );
  });
});
