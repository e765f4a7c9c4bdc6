import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  flickerBands,
  flickerBeatHz,
  flickerResidual,
  flickerSafeShutters,
  pulseHzOfMains,
  pulseSeen,
  steadySlowdown,
} from './flicker';
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

/** The slowest tone in ten seconds of frames, found by trying every tenth of a hertz. */
function simulatedBeatHz(pulseHz: number, fps: number, shutterSeconds: number): number {
  const frames = Array.from({ length: Math.round(fps * 10) }, (_, at) =>
    gathered(pulseHz, at / fps, shutterSeconds),
  );
  return strongestHz(frames, fps);
}

function strongestHz(frames: readonly number[], fps: number): number {
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

  it('is seen in a film as the frames that are picked for it show it', () => {
    for (const pulse of [100, 120])
      for (const captureFps of [50, 60, 100, 120])
        for (const [timelineFps, slowdown] of [
          [25, 1],
          [24, 1],
          [30, 2],
          [25, 2],
        ] as const) {
          const shownFps = timelineFps * slowdown;
          if (shownFps > captureFps) continue;
          // Of ten seconds of film the frames that stand nearest before each of the timeline's.
          const film = Array.from({ length: timelineFps * 10 }, (_, at) =>
            lamp(pulse, Math.floor((at * captureFps) / shownFps + 1e-9) / captureFps),
          );
          const { beatHz } = pulseSeen(pulse, captureFps, { timelineFps, slowdown }, undefined);
          const swing = Math.max(...film) - Math.min(...film);
          const name = `${captureFps} fps of ${pulse} Hz on ${timelineFps} slowed ${slowdown}`;
          if (swing < 1e-6) expect(beatHz, name).toBeCloseTo(0, 6);
          else expect(strongestHz(film, timelineFps), name).toBeCloseTo(beatHz, 1);
        }
  });

  it('finds the slow motion under which a beat stands still', () => {
    expect(pulseSeen(100, 200, { timelineFps: 25, slowdown: 8 }, undefined).seen).toBe('flashing');
    expect(steadySlowdown(100, [25, 50, 100, 200], { timelineFps: 25, slowdown: 8 })).toEqual({
      slowdown: 4,
      captureFps: 100,
    });
    expect(steadySlowdown(97, [25], { timelineFps: 25, slowdown: 8 })).toBeNull();
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
