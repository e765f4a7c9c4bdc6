import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { between, few, seed, seen, SMALL } from '../../../bench/seenClip';

describe('what random clips that move were made with comes out', () => {
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
