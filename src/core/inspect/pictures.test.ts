import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coded, madeFrames, PLAIN_CLIP } from '../../../bench/madeClip';
import { between, few, seed, seen, SMALL } from '../../../bench/seenClip';
import { FrameMeter } from './frameMeter';
import { picturesOf } from './pictures';

describe('what random clips were made with comes out', () => {
  it('clipped and crushed shares within 1.5 points, the middle within 0.12 stop', () => {
    fc.assert(
      fc.property(
        seed,
        between(0, 0.3),
        between(0, 0.3),
        between(0.2, 0.65),
        between(0, 0.03),
        (one, clipped, crushed, middle, grain) => {
          const { pictures, middleStops } = seen({
            ...SMALL,
            seconds: 0.2,
            seed: one,
            clipped,
            crushed,
            middle,
            grain,
            contrast: 0.15,
          });
          expect(Math.abs(pictures.clippedPct.median - 100 * clipped)).toBeLessThan(1.5);
          expect(Math.abs(pictures.crushedPct.median - 100 * crushed)).toBeLessThan(1.5);
          expect(Math.abs(pictures.middleStops.median - middleStops)).toBeLessThan(0.12);
        },
      ),
      few(150),
    );
  });

  it('the share of repeated frames within 4 points, and every how manyeth is new', () => {
    fc.assert(
      fc.property(
        seed,
        fc.integer({ min: 1, max: 5 }),
        between(0, 15),
        between(1.2, 4),
        (one, everyNth, panPctPerS, hz) => {
          const { pictures } = seen({
            ...SMALL,
            seconds: 2,
            seed: one,
            everyNth,
            panPctPerS,
            shake: { hz, pctPerSRms: 12, rollDegPerSRms: 3 },
          });
          const frames = 50;
          const repeated = frames - Math.ceil(frames / everyNth);
          expect(Math.abs((pictures.repeatedPct ?? -100) - (100 * repeated) / frames)).toBeLessThan(4);
          expect(pictures.repeatPattern).toBe(everyNth === 1 ? null : everyNth);
        },
      ),
      few(30),
    );
  });

  it('the tilt of a horizon within 0.8°, and none in plain texture', () => {
    fc.assert(
      fc.property(
        seed,
        between(-25, 25),
        between(0, 8),
        between(0, 0.02),
        (one, horizonDeg, shake, grain) => {
          const clip = {
            ...SMALL,
            width: 320,
            height: 180,
            seconds: 0.6,
            seed: one,
            grain,
            shake: { hz: 2, pctPerSRms: shake, rollDegPerSRms: 0 },
          };
          const { tiltDeg } = seen({ ...clip, horizonDeg }).pictures;
          expect(Math.abs((tiltDeg ?? 90) - horizonDeg)).toBeLessThan(0.8);
          expect(seen(clip).pictures.tiltDeg).toBeNull();
        },
      ),
      few(20),
    );
  });
});

describe('pictures', () => {
  it('steps of automatic exposure are counted, and lamps that pulse are none', () => {
    const stepping = seen({
      ...SMALL,
      seconds: 6,
      gainAt: (at) => ((at > 1.5 && at < 2.5) || at > 4.5 ? 1.3 : 1),
    });
    expect(stepping.pictures.exposureSteps).toBe(1);
    expect(seen({ ...SMALL, flicker: { hz: 10, pct: 8, bands: 0 } }).pictures.exposureSteps).toBe(0);
  });

  it('a soft picture is soft whether it moves or not; smear goes with the movement', () => {
    const shake = { hz: 1.3, pctPerSRms: 20, rollDegPerSRms: 0 };
    const soft = seen({ softPx: 4, shake, grain: 0.001, seconds: 2 }).pictures.blur;
    const sharp = seen({ shake, grain: 0.001, seconds: 2 }).pictures.blur;
    expect(soft?.median).toBeGreaterThan((sharp?.median ?? 1) + 0.1);
    expect(Math.abs(soft?.followsMovement ?? 1)).toBeLessThan(0.25);
  });

  it('what cannot be told is null: a frozen picture, one of a single colour, one frame', () => {
    const frozen = seen({ ...SMALL, grain: 0 }).pictures;
    expect(frozen.repeatedPct).toBeNull();
    expect(frozen.movement?.shakePctWidthPerSRms).toBe(0);
    const plain = seen({ ...SMALL, contrast: 0, grain: 0 }).pictures;
    expect(plain).toMatchObject({
      blur: null,
      pulsingPct: null,
      movement: null,
      tiltDeg: null,
      flicker: null,
    });
    const one = seen({ seconds: 0.04 }).pictures;
    expect(one).toMatchObject({ movement: null, repeatedPct: null, flicker: null });
    expect(one.middleStops.min).toBe(one.middleStops.max);
    expect(picturesOf([], 320)).toBeNull();
  });

  it('windows of a clip tell what the whole of it tells', () => {
    const clip = { ...PLAIN_CLIP, seconds: 8, shake: { hz: 2, pctPerSRms: 15, rollDegPerSRms: 2 } };
    const meter = new FrameMeter();
    const frames = [...madeFrames(clip)];
    const stretches = [0, 3, 6].map((from) => {
      meter.cut();
      return frames
        .filter(({ atSeconds }) => atSeconds >= from && atSeconds < from + 2)
        .map((frame) => meter.measure(coded(clip, frame), frame.atSeconds));
    });
    const parts = picturesOf(stretches, meter.planeWidth, { pctPerDegree: 2 });
    expect(parts?.movement?.shakePctWidthPerSRms).toBeGreaterThan(12);
    expect(parts?.movement?.shakePctWidthPerSRms).toBeLessThan(18);
    expect(parts?.movement?.shakeDegPerSRms).toBeCloseTo((parts?.movement?.shakePctWidthPerSRms ?? 0) / 2, 9);
  });
});
