import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { filterSettings } from '../filters/kit';
import { emptyShot } from '../records/emptyShot';
import type { Shot } from '../records/shot';
import { ShotSchema } from '../records/shot';
import { loopPlan, pacePctPerS, timeLapsePlan, usualTimeLapse } from './timeLapsePlan';

const nd = (factor: number) => ({ id: `nd${factor}`, kind: 'nd', stops: Math.log2(factor) }) as const;

function brief(more: Partial<Shot>): Brief {
  return briefOf(
    ShotSchema.parse({
      ...emptyShot('Clouds'),
      camera: { archetype: 'main' },
      playback: { timelineFps: 25 },
      limits: { recordSeconds: 1800 },
      filters: [4, 8, 16, 32, 64].map(nd),
      ...more,
    }),
  ).brief;
}
const sun = { kind: 'scene', from: 'openSun', to: 'openSun' } as const;
const night = { kind: 'scene', from: 'litStreet', to: 'litStreet' } as const;

describe('a time-lapse', () => {
  it('lasts as long as its pictures on the timeline, and fills the card by that', () => {
    const one = brief({ light: sun });
    const plan = timeLapsePlan(one, {
      recording: 'timeLapse',
      intervalSeconds: 2,
      look: { kind: 'half' },
      speedUp: 1,
    })!;
    // 1800 s at one picture every two, the first at once: 901 pictures at 25 a second.
    expect(plan.clipSeconds).toBeCloseTo(36.04, 6);
    const rate = Math.max(...plan.mode.encodings.map(({ bitRateMbps }) => bitRateMbps));
    expect(plan.gigabytes).toBeCloseTo((rate * 36.04) / 8000, 9);
    expect(plan.mode.recording).toBe('timeLapse');
  });

  it('holds the shutter open for half the interval, an angle of 180°, or shorter than that for nothing', () => {
    const plan = timeLapsePlan(brief({ light: night }), {
      recording: 'timeLapse',
      intervalSeconds: 4,
      look: { kind: 'half' },
      speedUp: 1,
    })!;
    expect(plan.shutterSeconds).toBeCloseTo(2, 6);
    expect(plan.shutterAngleDeg).toBeCloseTo(180, 6);
  });

  it('takes as much glass as the light asks for, and none where there is little', () => {
    const wish = { recording: 'timeLapse', intervalSeconds: 2, look: { kind: 'half' }, speedUp: 1 } as const;
    const bright = timeLapsePlan(brief({ light: sun }), wish)!;
    const dark = timeLapsePlan(brief({ light: night }), wish)!;
    expect(bright.filter.stops).toBe(6);
    // A second open in the sun is more than ND64 takes: what is lost is told.
    expect(bright.overStops).toBeGreaterThan(1);
    expect(dark.filter.stops).toBeLessThan(bright.filter.stops);
    expect(dark.overStops).toBe(0);
  });

  it('tries only the filters it is given, and none of none', () => {
    const one = brief({ light: sun });
    const wish = { recording: 'timeLapse', intervalSeconds: 2, look: { kind: 'half' }, speedUp: 1 } as const;
    const [bare] = filterSettings(one.filters).filter(({ ids }) => ids.length === 0);
    expect(timeLapsePlan(one, wish, [bare!])!.filter.ids).toEqual([]);
    expect(timeLapsePlan(one, wish, [])).toBeNull();
  });

  it('misses no less with more glass in the bag', () => {
    const wish = { recording: 'timeLapse', intervalSeconds: 1, look: { kind: 'half' }, speedUp: 1 } as const;
    const missed = (filters: Shot['filters']): number => {
      const { overStops, underStops } = timeLapsePlan(brief({ light: sun, filters }), wish)!;
      return overStops + 0.6 * underStops;
    };
    expect(missed([4, 8].map(nd))).toBeGreaterThanOrEqual(missed([4, 8, 16, 64].map(nd)));
    expect(missed([])).toBeGreaterThan(missed([nd(64)]));
  });

  it('moving, takes its pictures as often as its speed asks for', () => {
    const plan = timeLapsePlan(brief({ light: sun, mount: { kind: 'helmet' } }), {
      recording: 'movingTimeLapse',
      intervalSeconds: 99,
      look: { kind: 'half' },
      speedUp: 10,
    })!;
    expect(plan.intervalSeconds).toBeCloseTo(10 / 25, 9);
    expect(plan.moving).not.toBeNull();
    // Ten times faster: half an hour comes to three minutes, and the first picture.
    expect(plan.clipSeconds).toBeCloseTo(180.04, 6);
  });

  it('is none on a camera that records none', () => {
    const bare = brief({ camera: { archetype: 'long' } });
    expect(
      timeLapsePlan(bare, { recording: 'timeLapse', intervalSeconds: 2, look: { kind: 'half' }, speedUp: 1 }),
    ).toBeNull();
  });

  it('is wished for at the interval of what changes, unless the shot says its own', () => {
    const slow = usualTimeLapse(brief({ timeLapse: { change: 'stars' } }));
    const fast = usualTimeLapse(brief({ timeLapse: { change: 'crowd' } }));
    expect(slow.intervalSeconds).toBeGreaterThan(fast.intervalSeconds);
    expect(usualTimeLapse(brief({ timeLapse: { intervalSeconds: 7 } })).intervalSeconds).toBe(7);
  });

  it('is crossed faster the nearer and the faster the ride', () => {
    const at = (travelMps: number, nearestM: number): number =>
      pacePctPerS(brief({ motion: { travelMps, nearestM } }));
    expect(at(8, 3)).toBeGreaterThan(at(4, 3));
    expect(at(8, 3)).toBeGreaterThan(at(8, 12));
  });
});

describe('a loop', () => {
  it('keeps its minutes in five pieces or more, each within what the camera can hold in one', () => {
    const one = brief({ loop: { minutes: 20 } });
    const loop = loopPlan(one)!;
    expect(loop.mode.recording).toBe('loop');
    expect(loop.chapterSeconds).toBeLessThanOrEqual((20 * 60) / 5);
    const rate = Math.max(...loop.mode.encodings.map(({ bitRateMbps }) => bitRateMbps));
    expect((loop.chapterSeconds * rate) / 8000).toBeLessThanOrEqual(one.camera.chapter.gigabytes + 1e-9);
  });
});
