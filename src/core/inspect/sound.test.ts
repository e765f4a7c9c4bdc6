import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { alignedBySound } from './align';
import { SoundMeter } from './sound';
import type { Sound } from '../records/clipReport';
import { sampling } from '../../../testing/samples';

const RATE = 16_000;

/** Even noise, the same for the same seed. */
function noise(count: number, seed: number): Float32Array {
  let state = (seed * 2_654_435_761) % 4_294_967_296 || 1;
  return Float32Array.from({ length: count }, () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 2_147_483_648 - 1;
  });
}
const tone = (seconds: number, hz: number, level: number): Float32Array =>
  Float32Array.from({ length: seconds * RATE }, (_, at) =>
    Math.max(-1, Math.min(1, level * Math.sin((2 * Math.PI * hz * at) / RATE))),
  );
function heard(samples: Float32Array, other = samples): Sound {
  const meter = new SoundMeter(RATE);
  for (let at = 0; at < samples.length; at += 1000)
    meter.add([samples.subarray(at, at + 1000), other.subarray(at, at + 1000)]);
  const sound = meter.result();
  if (!sound) throw new Error('too short');
  return sound;
}

describe('sound', () => {
  it('level and peak of a tone, in dB of full scale', () => {
    const { levelDb, peakDb, clippedPct, silentPct, windPct } = heard(tone(2, 440, 0.5));
    expect(levelDb).toBeCloseTo(20 * Math.log10(0.5 / Math.SQRT2), 1);
    expect(peakDb).toBeCloseTo(20 * Math.log10(0.5), 1);
    expect({ clippedPct, silentPct, windPct }).toEqual({ clippedPct: 0, silentPct: 0, windPct: 0 });
  });

  it('a tone driven over the top is cut off; one that touches it is not', () => {
    expect(heard(tone(2, 440, 1)).clippedPct).toBeLessThan(4.1);
    const over = heard(tone(2, 440, 2)).clippedPct;
    // |sin| over half of the time is beyond one half: two thirds of it.
    expect(over).toBeGreaterThan(62);
    expect(over).toBeLessThan(70);
  });

  it('wind is low and comes in gusts; an engine is low and does not; hiss is neither', () => {
    let state = 0;
    const gusts = noise(6 * RATE, 3).map((value, at) => {
      state = 0.99 * state + 0.01 * value;
      return 6 * state * (0.55 + 0.45 * Math.sin((2 * Math.PI * 0.7 * at) / RATE));
    });
    const wind = heard(gusts);
    expect(wind.belowHundredPct).toBeGreaterThan(60);
    expect(wind.windPct).toBeGreaterThan(40);
    expect(heard(tone(4, 60, 0.5)).windPct).toBe(0);
    expect(heard(noise(4 * RATE, 5).map((value) => value / 5))).toMatchObject({ windPct: 0, silentPct: 0 });
  });

  it('silence is told, and a piece shorter than a window is nothing', () => {
    const half = new Float32Array(4 * RATE);
    half.set(tone(2, 300, 0.3));
    expect(heard(half).silentPct).toBeGreaterThan(45);
    expect(heard(half).silentPct).toBeLessThan(55);
    expect(new SoundMeter(RATE).result()).toBeNull();
  });
});

describe('two recordings of one place', () => {
  const rate = 8000;
  it('are aligned to 10 ms by what both heard, each under noise of its own; strangers are not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: -2.5, max: 2.5, noNaN: true }),
        (seed, offset) => {
          const shared = noise(8 * rate, seed).map((value, at) =>
            at % rate < 900 ? value * Math.exp(-(at % rate) / 150) : value * 0.02,
          );
          const lag = Math.round(offset * rate);
          const cut = (from: number, own: number): Float32Array => {
            const stray = noise(4 * rate, own);
            return shared.slice(from, from + 4 * rate).map((value, at) => value + 0.05 * (stray[at] ?? 0));
          };
          const middle = 2 * rate;
          const one = cut(Math.max(0, middle), seed + 1);
          const other = cut(Math.max(0, middle + lag), seed + 2);
          const found = alignedBySound(one, other, rate);
          const real = (Math.max(0, middle + lag) - middle) / rate;
          expect(Math.abs((found?.offsetSeconds ?? 99) - real)).toBeLessThan(0.01);
          expect(alignedBySound(noise(3 * rate, seed + 3), noise(3 * rate, seed + 9), rate)).toBeNull();
        },
      ),
      { ...sampling(25), endOnFailure: true },
    );
  });
});
