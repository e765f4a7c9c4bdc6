import { SCENE_CHANGES, USUAL_INTERVAL_SECONDS } from '../vocabulary/timeLapses';
import { describe, expect, it } from 'vitest';
import { intervalForClip, loopOf, movingTimeLapse, timeLapseOf } from './timeLapse';

describe('a time-lapse', () => {
  it('is as long as its duration over interval and frame rate, the first picture included', () => {
    expect(timeLapseOf(3, 5400, 25)).toEqual({ frames: 1801, clipSeconds: 72.04, speedUp: 75 });
    expect(timeLapseOf(0.1, 1, 25).frames).toBe(11);
    for (const clip of [5, 12, 60])
      expect(timeLapseOf(intervalForClip(clip, 5400, 25), 5400, 25).clipSeconds).toBeCloseTo(clip, 1);
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
