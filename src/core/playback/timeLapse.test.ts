import { SCENE_CHANGES, USUAL_INTERVAL_SECONDS } from '../vocabulary/timeLapses';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { modesOf } from '../camera/modeTable';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import type { Shot } from '../records/shot';
import { timeLapsePlan, loopPlan, usualTimeLapse } from '../timeLapse/timeLapsePlan';
import { intervalForClip, timeLapseShutterSeconds, loopOf, movingTimeLapse, timeLapseOf } from './timeLapse';

describe('a time-lapse', () => {
  it('is as long as its duration over interval and frame rate, the first picture included', () => {
    expect(timeLapseOf(3, 5400, 25)).toEqual({ frames: 1801, clipSeconds: 72.04, speedUp: 75 });
    expect(timeLapseOf(0.1, 1, 25).frames).toBe(11);
    for (const clip of [5, 12, 60])
      expect(timeLapseOf(intervalForClip(clip, 5400, 25), 5400, 25).clipSeconds).toBeCloseTo(clip, 1);
  });

  it('opens half its interval, or for a blur, or as short as crisp, and leaves time to write', () => {
    expect(timeLapseShutterSeconds({ kind: 'half' }, 3)).toBe(1.5);
    expect(timeLapseShutterSeconds({ kind: 'blur', blurPct: 1, pctPerS: 0.8 }, 3)).toBeCloseTo(1.25, 9);
    expect(timeLapseShutterSeconds({ kind: 'blur', blurPct: 50, pctPerS: 0.8 }, 3)).toBe(2.5);
    expect(timeLapseShutterSeconds({ kind: 'blur', blurPct: 1, pctPerS: 0 }, 3)).toBe(2.5);
    expect(timeLapseShutterSeconds({ kind: 'crisp' }, 3)).toBe(1 / 125);
  });

  it('what changes faster is taken more often', () => {
    const order = ['crowd', 'fastClouds', 'slowClouds', 'shadows', 'growth'] as const;
    const seconds = order.map((change) => USUAL_INTERVAL_SECONDS[change]);
    expect(seconds).toEqual([...seconds].sort((a, b) => a - b));
    expect(Object.keys(USUAL_INTERVAL_SECONDS)).toEqual([...SCENE_CHANGES]);
  });

  it('moving, is sped up only so far as what passes stays readable', () => {
    const slow = movingTimeLapse(5, 600, 25, 40);
    expect(slow).toMatchObject({ clipSeconds: 120, stepPct: 8 });
    expect(movingTimeLapse(slow.mostSpeedUp, 600, 25, 40).stepPct).toBeCloseTo(12, 9);
    expect(movingTimeLapse(5, 600, 25, 0).mostSpeedUp).toBe(Infinity);
  });
});

describe('a loop', () => {
  it('keeps less than its length, since it drops chapters, and says how long one may wait', () => {
    const loop = loopOf(300, 60, 30, 20, 60);
    expect(loop).toEqual({ keptSeconds: 240, pressWithinSeconds: 190, gigabytes: 2.25 });
    expect(loopOf(60, 30, 20, 20, 60).pressWithinSeconds).toBeNull();
  });
});

describe('planned for a shot', () => {
  const brief = (more: Partial<Shot>): Brief =>
    briefOf({ ...emptyShot('x'), camera: { archetype: 'main' }, ...more }).brief;

  it('the demo’s mist: its interval, half of it open, and the darkest light told', () => {
    const { shot } = makeDemo().shots.find(({ shot: one }) => one.name === 'Mist over the river')!;
    const its = briefOf(shot).brief;
    const plan = timeLapsePlan(its, usualTimeLapse(its))!;
    expect(plan.intervalSeconds).toBe(3);
    expect(plan.shutterSeconds).toBe(1.5);
    expect(plan.shutterAngleDeg).toBeCloseTo(180, 9);
    expect(plan.clipSeconds).toBeCloseTo(1801 / 25, 9);
    expect(plan.mode.recording).toBe('timeLapse');
    // A second and a half in daylight wants more glass than the bag holds, and it says how much.
    expect(plan.filter.stops).toBeGreaterThanOrEqual(6);
    expect(plan.overStops).toBeGreaterThan(0);
  });

  it('takes the filter that loses least, and none where the light is low', () => {
    const night = brief({ light: { kind: 'range', evMin: -4, evMax: -4 } });
    const dark = timeLapsePlan(night, {
      recording: 'timeLapse',
      intervalSeconds: 25,
      look: { kind: 'half' },
      speedUp: 15,
    })!;
    expect(dark.filter.stops).toBe(0);
    const bright = brief({ light: { kind: 'range', evMin: 13, evMax: 13.5 } });
    const sharp = timeLapsePlan(bright, {
      recording: 'timeLapse',
      intervalSeconds: 2,
      look: { kind: 'crisp' },
      speedUp: 15,
    })!;
    const open = timeLapsePlan(bright, {
      recording: 'timeLapse',
      intervalSeconds: 2,
      look: { kind: 'half' },
      speedUp: 15,
    })!;
    expect(open.filter.stops).toBeGreaterThan(sharp.filter.stops);
    expect(sharp.overStops).toBe(0);
  });

  it('moving and looping follow what the camera has, and say so where it has none', () => {
    const its = brief({ motion: { travelMps: 5, nearestM: 2 }, limits: { recordSeconds: 600 } });
    const has = new Set(modesOf(its.camera).map(({ recording }) => recording));
    const moving = timeLapsePlan(its, { ...usualTimeLapse(its), recording: 'movingTimeLapse', speedUp: 10 });
    expect(moving === null).toBe(!has.has('movingTimeLapse'));
    if (moving) expect(moving.intervalSeconds).toBeCloseTo(10 / 25, 9);
    const loop = loopPlan(its);
    expect(loop === null).toBe(!has.has('loop'));
    if (loop) expect(loop.keptSeconds).toBeLessThan(its.loop.minutes * 60);
    const sphere = brief({ camera: { archetype: 'budget' } });
    const none = new Set(modesOf(sphere.camera).map(({ recording }) => recording));
    expect(loopPlan(sphere) === null).toBe(!none.has('loop'));
  });
});
