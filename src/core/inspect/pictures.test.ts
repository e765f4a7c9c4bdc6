import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coded, madeFrames, PLAIN_CLIP } from '../../../bench/madeClip';
import type { MadeClip } from '../../../bench/madeClip';
import type { Pictures } from '../records/clipReport';
import { linearOf } from './exposure';
import { FrameMeter } from './frameMeter';
import { picturesOf } from './pictures';
import { medianOf } from './series';

interface Seen {
  pictures: Pictures;
  /** Stops from grey of what was drawn, before it was coded. */
  middleStops: number;
}

function seen(over: Partial<MadeClip>): Seen {
  const clip = { ...PLAIN_CLIP, ...over };
  const meter = new FrameMeter();
  const middles: number[] = [];
  const frames = [...madeFrames(clip)].map((frame) => {
    let sum = 0;
    for (const luma of frame.luma) sum += linearOf(Math.min(1.05, luma));
    middles.push(Math.log2(sum / frame.luma.length / 0.18));
    return meter.measure(coded(clip, frame), frame.atSeconds);
  });
  const pictures = picturesOf([frames], meter.planeWidth);
  if (!pictures) throw new Error('no pictures');
  return { pictures, middleStops: medianOf(middles) };
}

const between = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const seed = fc.integer({ min: 1, max: 40 });
/** The same clips in every run, and none drawn again for a smaller one that fails too: they take too long for either. */
const few = (numRuns: number): object => ({ numRuns, endOnFailure: true, seed: 14 });
/** As small and short as each measure bears, so that many can be drawn. */
const SMALL = { width: 160, height: 90, seconds: 2 };

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

  it('the rate of flicker within 0.4 Hz, travelling or not, and none where there is none', () => {
    fc.assert(
      fc.property(
        seed,
        between(1.5, 11.5),
        between(2.5, 20),
        fc.constantFrom(0, 1, 2.5),
        between(0, 10),
        (one, hz, pct, bands, shaken) => {
          const clip = {
            ...SMALL,
            seconds: 3,
            seed: one,
            shake: { hz: 2.3, pctPerSRms: shaken, rollDegPerSRms: 1 },
          };
          const { flicker } = seen({ ...clip, flicker: { hz, pct, bands } }).pictures;
          expect(Math.abs((flicker?.hz ?? 99) - hz)).toBeLessThan(0.4);
          expect(flicker?.seen).toBe(bands === 0 ? 'pulse' : 'bands');
          expect((flicker?.pct ?? 0) / pct).toBeGreaterThan(0.7);
          expect((flicker?.pct ?? 0) / pct).toBeLessThan(1.3);
          expect(seen(clip).pictures.flicker).toBeNull();
        },
      ),
      few(20),
    );
  });

  it('shake within a quarter octave, and its band within 0.4 Hz', () => {
    fc.assert(
      fc.property(
        seed,
        between(1, 5),
        between(4, 40),
        between(0, 8),
        between(0, 12),
        (one, hz, pctPerSRms, rollDegPerSRms, panPctPerS) => {
          const { movement } = seen({
            ...SMALL,
            seconds: 3,
            seed: one,
            panPctPerS,
            shake: { hz, pctPerSRms, rollDegPerSRms },
          }).pictures;
          expect(Math.abs(Math.log2((movement?.shakePctWidthPerSRms ?? 0) / pctPerSRms))).toBeLessThan(0.25);
          expect(Math.abs((movement?.strongestHz ?? 0) - hz)).toBeLessThan(0.4);
        },
      ),
      few(24),
    );
  });

  it('smear that pulses is told from a clean pan, and twice the grain is 6 ± 1.2 dB', () => {
    fc.assert(
      fc.property(seed, between(1.5, 4), between(5, 30), between(0.008, 0.03), (one, hz, pan, grain) => {
        const clip = { ...SMALL, width: 320, height: 180, seconds: 0.3, seed: one, panPctPerS: pan };
        const still = seen({ ...clip, grain });
        // Little grain, as is left of it in a plane reduced from many pixels.
        const fine = { ...clip, grain: 0.002 };
        const pulsing = seen({ ...fine, seconds: 2, smear: { hz, px: 14 } }).pictures.pulsingPct ?? 0;
        const clean = seen({ ...fine, seconds: 1 }).pictures.pulsingPct ?? 99;
        expect(clean).toBeLessThan(2);
        expect(pulsing).toBeGreaterThan(3 * clean);
        const coarser = seen({ ...clip, grain: 2 * grain });
        const less = (still.pictures.noiseDb ?? 0) - (coarser.pictures.noiseDb ?? 0);
        expect(Math.abs(less - 6)).toBeLessThan(1.2);
      }),
      few(12),
    );
  });
});

describe('pictures', () => {
  it('steps of automatic exposure are counted, and lamps that pulse are none', () => {
    const stepping = seen({ seconds: 6, gainAt: (at) => ((at > 1.5 && at < 2.5) || at > 4.5 ? 1.3 : 1) });
    expect(stepping.pictures.exposureSteps).toBe(1);
    expect(seen({ flicker: { hz: 10, pct: 8, bands: 0 } }).pictures.exposureSteps).toBe(0);
  });

  it('a soft picture is soft whether it moves or not; smear goes with the movement', () => {
    const shake = { hz: 1.3, pctPerSRms: 20, rollDegPerSRms: 0 };
    const soft = seen({ softPx: 4, shake, grain: 0.001 }).pictures.blur;
    const sharp = seen({ shake, grain: 0.001 }).pictures.blur;
    expect(soft?.median).toBeGreaterThan((sharp?.median ?? 1) + 0.1);
    expect(Math.abs(soft?.followsMovement ?? 1)).toBeLessThan(0.25);
  });

  it('what cannot be told is null: a frozen picture, one of a single colour, one frame', () => {
    const frozen = seen({ grain: 0 }).pictures;
    expect(frozen.repeatedPct).toBeNull();
    expect(frozen.movement?.shakePctWidthPerSRms).toBe(0);
    const plain = seen({ contrast: 0, grain: 0 }).pictures;
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
    const stretches = [0, 3, 6].map((from) => {
      meter.cut();
      return [...madeFrames(clip)]
        .filter(({ atSeconds }) => atSeconds >= from && atSeconds < from + 2)
        .map((frame) => meter.measure(coded(clip, frame), frame.atSeconds));
    });
    const parts = picturesOf(stretches, meter.planeWidth, { pctPerDegree: 2 });
    expect(parts?.movement?.shakePctWidthPerSRms).toBeGreaterThan(12);
    expect(parts?.movement?.shakePctWidthPerSRms).toBeLessThan(18);
    expect(parts?.movement?.shakeDegPerSRms).toBeCloseTo((parts?.movement?.shakePctWidthPerSRms ?? 0) / 2, 9);
  });
});
