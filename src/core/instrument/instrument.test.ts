import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SeededRandom } from '../units/seededRandom';
import { levelOf } from './level';
import type { Gravity } from './level';
import { shakeRecorded } from './shake';
import type { Rate } from './shake';
import { sampling } from '../../../testing/samples';

const RAD = Math.PI / 180;
const G = 9.80665;

/** What a phone feels whose back looks so far down, rolled so far clockwise: up, turned into its frame step by step. */
function felt(tiltDeg: number, pitchDeg: number): Gravity {
  const [tilt, pitch] = [tiltDeg * RAD, pitchDeg * RAD];
  // Pitched down about its own right side: up leaves its top for its screen. Then rolled about its screen's normal.
  const [y, z] = [Math.cos(pitch), Math.sin(pitch)];
  return { x: -G * y * Math.sin(tilt), y: G * y * Math.cos(tilt), z: G * z };
}

describe('a phone held against a mount', () => {
  it('tells tilt and pitch within half a degree, with the noise of a sensor, whichever way it tells gravity', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -70, max: 70 }),
        fc.integer({ min: -70, max: 70 }),
        fc.boolean(),
        fc.nat(1e6),
        (tilt, pitch, turned, seed) => {
          const noise = new SeededRandom(seed, 1);
          const true_ = felt(tilt, pitch);
          const readings = Array.from({ length: 60 }, (_, at) => {
            const part = (value: number, axis: number): number =>
              (turned ? -1 : 1) * (value + 0.08 * noise.normal(3 * at + axis));
            return { x: part(true_.x, 0), y: part(true_.y, 1), z: part(true_.z, 2) };
          });
          const level = levelOf(readings)!;
          expect(Math.abs(level.tiltDeg - tilt) * Math.cos(pitch * RAD)).toBeLessThan(0.5);
          expect(Math.abs(level.pitchDeg - pitch)).toBeLessThan(0.5);
          expect(level.unsteadyDeg).toBeLessThan(2);
        },
      ),
      sampling(300, 8),
    );
  });

  it('tells nothing while it lies flat, falls or is swung', () => {
    expect(levelOf([])).toBeNull();
    expect(levelOf([{ x: 0, y: 0.5, z: G }])).toBeNull();
    expect(levelOf([{ x: 0, y: 1, z: 0 }])).toBeNull();
    expect(levelOf([{ x: 0, y: 15, z: 0 }])).toBeNull();
    const shaken = [0, 1, 2, 3].map((at) => felt(at % 2 ? 6 : -6, 0));
    expect(levelOf(shaken)!.unsteadyDeg).toBeGreaterThan(5);
  });
});

/** A shake of one frequency about one axis on a slow turn that is meant, as a sensor that comes when it likes reads it. */
function shaken(
  rms: number,
  hz: number,
  {
    seconds = 30,
    perSecond = 60,
    axis = 'x',
    turn = 20,
    seed = 1,
  }: Partial<{ seconds: number; perSecond: number; axis: 'x' | 'y' | 'z'; turn: number; seed: number }> = {},
): Rate[] {
  const drawn = new SeededRandom(seed, 4);
  return Array.from({ length: seconds * perSecond + 1 }, (_, at) => {
    const atSeconds = at / perSecond + (0.4 * (drawn.even(at) - 0.5)) / perSecond;
    const swing = Math.SQRT2 * rms * Math.sin(2 * Math.PI * hz * atSeconds);
    const meant = turn * Math.sin(2 * Math.PI * 0.08 * atSeconds);
    return {
      atSeconds,
      x: axis === 'x' ? swing : 0,
      y: meant + (axis === 'y' ? swing : 0),
      z: axis === 'z' ? swing : 0,
    };
  });
}

describe('a phone that rides along', () => {
  it('tells the shake within five per cent and its band within a tenth of a hertz, its turning left out', () => {
    for (const [rms, hz] of [
      [5, 1.5],
      [40, 2],
      [40, 3.3],
      [90, 5],
    ] as const) {
      const read = shakeRecorded(shaken(rms, hz), 'asTheLens');
      if (!read.ok) throw new Error(read.why);
      expect(Math.abs(read.shake.degPerSRms / rms - 1), `${rms} at ${hz}`).toBeLessThan(0.05);
      expect(Math.abs(read.shake.strongestHz! - hz)).toBeLessThan(0.1);
      expect(read.shake.seconds).toBeCloseTo(30, 1);
    }
  });

  it('tells it within five per cent where the sensor pauses again and again, and at the fewest readings', () => {
    const told = (rates: Rate[]): number => {
      const read = shakeRecorded(rates, 'asTheLens');
      if (!read.ok) throw new Error(read.why);
      return read.shake.degPerSRms;
    };
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const drawn = new SeededRandom(seed, 5);
      // Every second holds a pause of 0.1 to 0.55 s, wherever in the swing it falls.
      const paused = shaken(36, 2.2, { seed }).filter(({ atSeconds }) => {
        const second = Math.floor(atSeconds);
        return atSeconds - second > 0.1 + 0.45 * drawn.even(second);
      });
      expect(Math.abs(told(paused) / 36 - 1), `pauses ${seed}`).toBeLessThan(0.05);
      const few = shaken(36, 5, { seed, perSecond: 26 });
      expect(Math.abs(told(few) / 36 - 1), `few ${seed}`).toBeLessThan(0.05);
    }
  });

  it('in a pocket shares the rates out, whichever way it lies', () => {
    const [x, y, z] = [
      shaken(30, 2),
      shaken(30, 2.6, { axis: 'y' }),
      shaken(Math.SQRT2 * 15, 1.8, { axis: 'z' }),
    ];
    // A mount that shakes as mounts do: roll half as fast as the axis. Turned about, the same comes out.
    const all = x.map((one, at) => ({ ...one, y: y[at]!.y, z: z[at]!.z }));
    const about = all.map(({ atSeconds, x: a, y: b, z: c }) => ({ atSeconds, x: c, y: a, z: b }));
    const told = (rates: Rate[]): number => {
      const read = shakeRecorded(rates, 'anyWay');
      return read.ok ? read.shake.degPerSRms : NaN;
    };
    expect(told(all)).toBeCloseTo(told(about), 6);
    expect(Math.abs(told(all) / Math.hypot(30, 30) - 1)).toBeLessThan(0.05);
  });

  it('says why a recording tells nothing', () => {
    const why = (rates: readonly Rate[]): unknown => {
      const read = shakeRecorded(rates, 'anyWay');
      return read.ok ? null : read.why;
    };
    expect(why([])).toBe('tooShort');
    expect(why(shaken(10, 2, { seconds: 12 }))).toBe('tooShort');
    expect(why(shaken(10, 2, { perSecond: 10 }))).toBe('tooFew');
    const whole = shaken(10, 2);
    expect(why(whole.filter(({ atSeconds }) => atSeconds < 10 || atSeconds > 11.3))).toBe('gap');
    // What is long enough beside a pause is told by itself.
    const late = shakeRecorded(
      whole.filter(({ atSeconds }) => atSeconds < 2 || atSeconds > 3.3),
      'asTheLens',
    );
    expect(late.ok && late.shake.seconds).toBeCloseTo(26.7, 1);
  });
});
