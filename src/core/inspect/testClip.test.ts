import { describe, expect, it } from 'vitest';
import { coded, madeFrames, PLAIN_CLIP } from '../../../bench/madeClip';
import type { MadeClip } from '../../../bench/madeClip';
import { BlockedMeter } from './blocked';
import { reduced } from './plane';
import type { Plane } from './plane';
import { zonesOf } from './sharpness';
import { testVerdict } from './testClip';
import { troubleIn } from './trouble';
import { windowsOf } from './windows';

/** Per cent that is told of a clip with a dark, plain corner of these shares of its width and height. */
function blockedPct(over: Partial<MadeClip>, [wide, tall]: readonly [number, number]): number | null {
  const clip = { ...PLAIN_CLIP, seconds: 1.5, ...over };
  const meter = new BlockedMeter();
  for (const frame of madeFrames(clip)) {
    for (let row = 0; row < tall * clip.height; row++)
      frame.luma.fill(0.08, row * clip.width, row * clip.width + Math.round(wide * clip.width));
    meter.add(reduced(coded(clip, frame)));
  }
  return meter.result();
}

describe('something in front of the lens', () => {
  const moving = { panPctPerS: 30 };

  it('is told by how much of the view it takes; a clean view has none', () => {
    expect(blockedPct(moving, [0, 0])).toBeLessThan(3);
    for (const [wide, tall] of [
      [0.5, 0.6],
      [0.25, 1],
      [1, 0.45],
    ] as const)
      expect(Math.abs(blockedPct(moving, [wide, tall])! - 100 * wide * tall)).toBeLessThan(8);
  });

  it('cannot be told while nothing moves; a covered lens can', () => {
    expect(blockedPct({ panPctPerS: 0 }, [0.5, 0.6])).toBeNull();
    expect(blockedPct({ panPctPerS: 0, grain: 0 }, [1, 1])).toBe(100);
    expect(new BlockedMeter().result()).toBeNull();
  });
});

describe('something too near to be in focus', () => {
  it('leaves the middle softer than what is around it; a picture sharp or soft all over has no such middle', () => {
    const planeOf = (softPx: number): Plane => {
      // Grain counts as detail, and is averaged out of what is filmed larger.
      const clip = { ...PLAIN_CLIP, width: 320, height: 180, seconds: 0.04, grain: 0, softPx };
      const [frame] = [...madeFrames(clip)];
      return reduced(coded(clip, frame!));
    };
    const [sharp, soft] = [planeOf(0), planeOf(6)];
    const near = { ...sharp, luma: sharp.luma.slice() };
    for (let y = 30; y < 170; y++)
      for (let x = 90; x < 230; x++) near.luma[y * 320 + x] = soft.luma[y * 320 + x] ?? 0;
    const apart = (plane: Plane): number => {
      const { near: middle, around } = zonesOf(plane);
      return middle! - around!;
    };
    expect(apart(near)).toBeGreaterThan(0.12);
    expect(Math.abs(apart(sharp))).toBeLessThan(0.06);
    expect(Math.abs(apart(soft))).toBeLessThan(0.06);
    expect(zonesOf({ ...sharp, luma: new Float32Array(sharp.luma.length) })).toEqual({
      near: null,
      around: null,
    });
  });
});

describe('a test clip', () => {
  const found = (code: 'over' | 'tilt' | 'cutOff'): never =>
    ({ code, atSeconds: null, value: 2, limit: 1, text: code, change: null }) as never;
  const pictures = (pct: number): never => ({ blockedPct: pct }) as never;

  it('says go where nothing is against it, and does not ask how long it is', () => {
    expect(testVerdict({ findings: [found('cutOff')], pictures: pictures(0) }, null, false).go).toBe(true);
    expect(testVerdict({ findings: [found('over')], pictures: pictures(0) }, null, false).go).toBe(false);
    expect(testVerdict({ findings: [], pictures: pictures(20) }, null, false)).toMatchObject({
      go: false,
      blocked: true,
    });
    // Arms stand in the view of a chest anyway.
    const chest = { kind: 'chest' } as never;
    expect(testVerdict({ findings: [], pictures: pictures(20) }, chest, false).go).toBe(true);
    expect(testVerdict({ findings: [], pictures: pictures(60) }, chest, false).go).toBe(false);
  });

  it('of another camera tells of the place alone', () => {
    const { change, go } = testVerdict(
      { findings: [found('over'), found('tilt')], pictures: null },
      null,
      true,
    );
    expect(go).toBe(false);
    expect(change.map(({ code }) => code)).toEqual(['tilt']);
  });

  it('that is heavy to decode is looked at in windows, a light one whole', () => {
    const heavy = { width: 3840, height: 2160, frameRate: 60, durationSeconds: 8 };
    expect(windowsOf(heavy, 'test').length).toBeGreaterThan(2);
    expect(windowsOf({ ...heavy, width: 1920, height: 1080 }, 'test')).toHaveLength(1);
  });
});

describe('where trouble is expected', () => {
  const when = { fromMs: Date.parse('2026-10-03T12:40:00+02:00'), seconds: 1800 };
  const sunset = Date.parse('2026-10-03T18:00:00+02:00');
  const light = { kind: 'sun', lat: 46.62, lon: 12.3, sky: 'clear' } as never;

  it('is where the light of the plan goes furthest, and where it went wrong before', () => {
    const [brightest, darkest] = troubleIn(light, { fromMs: sunset, seconds: 3600 }, []);
    expect(brightest).toBeLessThan(600);
    expect(darkest).toBeGreaterThan(3000);
    expect(troubleIn({ kind: 'range', evMin: 5, evMax: 14 }, when, [])).toEqual([]);
    const earlier = {
      measured: { container: { durationSeconds: 100 }, findings: [{ atSeconds: 40 }, { atSeconds: null }] },
    } as never;
    expect(troubleIn({ kind: 'range', evMin: 5, evMax: 14 }, when, [earlier])).toEqual([720]);
  });

  it('is looked at right after the middle', () => {
    const clip = { width: 1920, height: 1080, frameRate: 30, durationSeconds: 600 };
    const [middle, first] = windowsOf(clip, 'quick', [123]);
    expect(middle!.fromSeconds).toBeCloseTo(300 - 1.25, 1);
    expect((first!.fromSeconds + first!.toSeconds) / 2).toBeCloseTo(123, 1);
  });
});
