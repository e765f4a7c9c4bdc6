import { describe, expect, it } from 'vitest';
import { litMinutes, shotPartsOf } from './alongTrack';
import { bearingDeg, distanceM, trackFigures } from './track';
import type { TrackPoint } from './track';

const START = { lat: 46.62, lon: 12.3 };
const NOON = Date.parse('2026-10-03T12:00:00+02:00');
/** Degrees of latitude to a metre. */
const METRE = 1 / 111_195;

/** A way north: so many metres a second, second by second; a receiver's wander of `jitterM`, by a fixed pattern. */
function north(speeds: readonly number[], jitterM = 0): TrackPoint[] {
  let gone = 0;
  return [0, ...speeds].map((mps, at) => {
    gone += mps;
    const wander = (jitterM * ((at * 7919) % 13)) / 13;
    return {
      lat: START.lat + (gone + wander) * METRE,
      lon: START.lon,
      atMs: NOON + at * 1000,
      elevationM: 800 + at / 10,
    };
  });
}

describe('a track', () => {
  it('measures distance and bearing on the sphere', () => {
    expect(distanceM({ lat: 0, lon: 0 }, { lat: 0, lon: 1 })).toBeCloseTo(111_195, -1);
    expect(bearingDeg(START, { lat: 47, lon: 12.3 })).toBeCloseTo(0, 6);
    expect(bearingDeg({ lat: 0, lon: 0 }, { lat: 0, lon: -1 })).toBeCloseTo(270, 6);
  });

  it('gives speed by share of the time, deaf to the wander of a receiver', () => {
    const speeds = [...Array<number>(300).fill(2), ...Array<number>(300).fill(6)];
    const clean = trackFigures({ name: null, points: north(speeds) });
    expect(clean.lengthM).toBeCloseTo(2400, -1);
    expect(clean.times).toEqual({ fromMs: NOON, toMs: NOON + 600_000, movingSeconds: 600 });
    expect(clean.speed!.p50).toBeLessThan(6);
    expect(clean.speed!.p90).toBeCloseTo(6, 1);
    expect(clean.climbM).toBeCloseTo(60, -1);
    const still = trackFigures({ name: null, points: north(Array<number>(600).fill(0)) });
    expect(still.speed).toEqual({ p50: 0, p90: 0, p95: 0, most: 0 });
    const wandering = trackFigures({ name: null, points: north(speeds, 1) });
    expect(wandering.speed!.p90).toBeGreaterThan(5.5);
    expect(wandering.speed!.p90).toBeLessThan(7.5);
  });

  it('gives a heading for every minute of the clock, none while standing, and leaves pauses out', () => {
    const points = north([...Array<number>(120).fill(3), ...Array<number>(120).fill(0)]);
    const pause = points.map((point) => ({ ...point, atMs: point.atMs! + 3_600_000 }));
    const { minutes } = trackFigures({ name: null, points: [...points, ...pause] });
    expect(minutes.slice(0, 4).map(({ headingDeg }) => headingDeg)).toEqual([0, 0, null, null]);
    expect(minutes.every(({ fromMs, toMs }) => toMs - fromMs <= 61_000)).toBe(true);
  });

  it('without times still has a length, and says that it has no speed', () => {
    const points = north([3, 3, 3]).map((point) => ({ ...point, atMs: null }));
    expect(trackFigures({ name: null, points })).toMatchObject({ times: null, speed: null, minutes: [] });
    expect(trackFigures({ name: null, points: [] })).toMatchObject({ lengthM: 0, climbM: 0 });
  });
});

describe('along a track', () => {
  const figures = trackFigures({ name: null, points: north(Array<number>(600).fill(4)) });

  it('north at noon the sun is behind, at night there is none; the same way on another day moves with it', () => {
    const lit = litMinutes(figures, 0);
    expect(lit.every((minute) => minute.lit === 'front')).toBe(true);
    expect(litMinutes(figures, 12 * 3_600_000).every((minute) => minute.lit === 'night')).toBe(true);
    expect(litMinutes(figures, 86_400_000)[0]!.fromMs).toBe(figures.minutes[0]!.fromMs + 86_400_000);
  });

  it('makes a shot’s light and travel', () => {
    const parts = shotPartsOf(figures, 0, { shade: ['open', 'gorge'], zone: 'Europe/Rome' })!;
    expect(parts.light).toMatchObject({
      kind: 'sun',
      lat: 46.62,
      shade: ['open', 'gorge'],
      zone: 'Europe/Rome',
    });
    expect(parts.light.headingsDeg!.every((heading) => heading === 0)).toBe(true);
    expect(parts.travelMps).toBeCloseTo(4, 1);
    expect(shotPartsOf(trackFigures({ name: null, points: [] }), 0, {})).toBeNull();
  });
});
