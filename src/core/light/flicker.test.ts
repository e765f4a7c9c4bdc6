import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flickerBands, flickerBeatHz, flickerResidual, flickerSafeShutters, pulseHzOfMains } from './flicker';
import { mainsHzOf } from './lamps';

/** Light of a lamp that pulses all the way down, 0…2 about its mean. */
const lamp = (pulseHz: number, seconds: number): number => 1 + Math.cos(2 * Math.PI * pulseHz * seconds);

/** What a shutter gathers from `start` on, by adding up a thousand slices: no formula shared with the code. */
function gathered(pulseHz: number, start: number, shutterSeconds: number): number {
  const slices = 1000;
  let sum = 0;
  for (let at = 0; at < slices; at++) sum += lamp(pulseHz, start + ((at + 0.5) / slices) * shutterSeconds);
  return sum / slices;
}

/** The share of the pulse in a film, by its brightest and darkest possible exposure. */
function simulatedResidual(pulseHz: number, shutterSeconds: number): number {
  const starts = Array.from({ length: 400 }, (_, at) => at / 400 / pulseHz);
  const lights = starts.map((start) => gathered(pulseHz, start, shutterSeconds));
  return (Math.max(...lights) - Math.min(...lights)) / 2;
}

/** The slowest tone in a minute of frames, found by trying every tenth of a hertz. */
function simulatedBeatHz(pulseHz: number, fps: number, shutterSeconds: number): number {
  const frames = Array.from({ length: Math.round(fps * 10) }, (_, at) =>
    gathered(pulseHz, at / fps, shutterSeconds),
  );
  const mean = frames.reduce((sum, light) => sum + light, 0) / frames.length;
  let best = { hz: 0, power: 1e-9 };
  for (let hz = 0.1; hz <= fps / 2 + 0.05; hz += 0.1) {
    const [cos, sin] = frames.reduce(
      ([c, s], light, at) => {
        const phase = (2 * Math.PI * hz * at) / fps;
        return [c + (light - mean) * Math.cos(phase), s + (light - mean) * Math.sin(phase)];
      },
      [0, 0],
    );
    const power = Math.hypot(cos, sin) / frames.length;
    if (power > best.power * 1.0001) best = { hz, power };
  }
  return best.hz;
}

describe('lamps against the shutter', () => {
  for (const mainsHz of [50, 60])
    for (const fps of [24, 25, 30, 50, 60])
      it(`${fps} fps under ${mainsHz} Hz: what stays and what beats agree with exposures added up`, () => {
        const pulse = pulseHzOfMains(mainsHz);
        for (const shutter of [1 / (2 * fps), 1 / 1000, 1 / 137, 1 / fps, ...flickerSafeShutters(pulse, fps)])
          expect(
            Math.abs(flickerResidual(pulse, shutter) - simulatedResidual(pulse, shutter)),
            `1/${1 / shutter} s`,
          ).toBeLessThan(0.002);
        expect(flickerBeatHz(pulse, fps)).toBeCloseTo(simulatedBeatHz(pulse, fps, 1 / 1000), 1);
      });

  it('flicker-safe shutters keep nothing of the pulse and fit the frame', () => {
    for (const pulse of [100, 120])
      for (const fps of [24, 25, 30, 50, 60])
        for (const seconds of flickerSafeShutters(pulse, fps)) {
          expect(flickerResidual(pulse, seconds)).toBeLessThan(1e-9);
          expect(seconds).toBeLessThanOrEqual(1 / fps + 1e-12);
        }
    expect(flickerSafeShutters(100, 25).map((seconds) => Math.round(1 / seconds))).toEqual([25, 33, 50, 100]);
    expect(flickerSafeShutters(100, 120)).toEqual([]);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 240, noNaN: true }), fc.constantFrom(100, 120), (fps, pulse) => {
        const beat = flickerBeatHz(pulse, fps);
        return beat >= 0 && beat <= fps / 2 + 1e-9;
      }),
    );
  });

  it('bands are the pulses in one readout, and mains follow the country', () => {
    expect(flickerBands(100, 0.02)).toBeCloseTo(2, 9);
    expect(['IT', 'US', 'BR', 'GB', 'TW'].map((country) => mainsHzOf(country, 0))).toEqual([
      50, 60, 60, 50, 60,
    ]);
    expect([mainsHzOf('JP', 135), mainsHzOf('JP', 139.7)]).toEqual([60, 50]);
  });
});
