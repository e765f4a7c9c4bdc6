import { ACTIVITIES } from '../vocabulary/activities';
import { MOUNT_KINDS } from '../vocabulary/mounts';
import { describe, expect, it } from 'vitest';
import { shakeSwingDeg } from './shake';
import { dominantHz, shakeAt, shakeBandsOf, shakeSines, shakeRateAt } from './shakeSpectrum';
import { leftAfter, overrunShare } from './steadying';
import { spinnerOf, spinSeen } from './spin';
import { jellies, skewPctWidth } from './rollingShutter';
import { quarterTurnSeconds, turnForBlurDegPerS } from './whip';
import { pctWidthPerDegree } from '../optics/projection';

const rms = (values: readonly number[]): number =>
  Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);
const over = (seconds: number, step: number): number[] =>
  Array.from({ length: Math.round(seconds / step) }, (_, at) => at * step);

describe('shake in time', () => {
  it('has the rms rate of its mount, whatever its bands and seed', () => {
    for (const mount of ['helmet', 'handlebar', 'vehicleOutside', 'drone'] as const)
      for (const seed of [1, 7]) {
        const shake = shakeSines(40, shakeBandsOf(mount, 'riding'), seed);
        const rate = rms(over(60, 0.008).map((t) => shakeRateAt(shake, t)));
        expect(rate / 40, `${mount}, seed ${seed}`).toBeGreaterThan(0.93);
        expect(rate / 40, `${mount}, seed ${seed}`).toBeLessThan(1.07);
      }
  });

  it('peaks at about twice its rms, and differs from seed to seed but not from call to call', () => {
    const bands = shakeBandsOf('helmet', 'riding');
    const rates = over(300, 0.01).map((t) => shakeRateAt(shakeSines(40, bands, 3), t));
    expect(Math.max(...rates) / 40).toBeGreaterThan(1.7);
    expect(Math.max(...rates) / 40).toBeLessThan(3.2);
    expect(shakeAt(shakeSines(40, bands, 3), 1.5)).toEqual(shakeAt(shakeSines(40, bands, 3), 1.5));
    expect(shakeAt(shakeSines(40, bands, 4), 1.5)).not.toEqual(shakeAt(shakeSines(40, bands, 3), 1.5));
    expect(shakeAt(shakeSines(0, bands, 3), 1.5)).toEqual({ yawDeg: 0, pitchDeg: 0, rollDeg: 0 });
  });

  it('bands add up to one and rise from sway to buzz', () => {
    for (const mount of MOUNT_KINDS)
      for (const activity of ACTIVITIES) {
        const bands = shakeBandsOf(mount, activity);
        expect(bands.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        for (const { lowHz, highHz } of bands) expect(highHz).toBeGreaterThan(lowHz);
      }
    expect(dominantHz(shakeBandsOf('helmet', 'riding'))).toBeCloseTo(2, 9);
    expect(dominantHz(shakeBandsOf('helmet', 'running'))).toBeGreaterThan(2.5);
  });
});

describe('steadying', () => {
  it('overruns its margin as often as a normal swing counted out does', () => {
    // The swing of 40 deg/s rms: 6.4° peak, 3.2° rms over both directions, 2.25° in each.
    expect(shakeSwingDeg(40)).toBeCloseTo(6.37, 2);
    const each = shakeSwingDeg(40) / 2 / Math.SQRT2;
    // Box–Muller from a lattice: plain, even, and without a chance generator.
    let past = 0;
    const side = 700;
    for (let a = 0; a < side; a++)
      for (let b = 0; b < side; b++) {
        const r = each * Math.sqrt(-2 * Math.log((a + 0.5) / side));
        const turn = (2 * Math.PI * (b + 0.5)) / side;
        if (Math.abs(r * Math.cos(turn)) > 4 || Math.abs(r * Math.sin(turn)) > 4) past++;
      }
    expect(overrunShare(40, 4)).toBeCloseTo(past / side ** 2, 2);
    expect(overrunShare(40, 0)).toBeCloseTo(1, 6);
    expect(overrunShare(0, 0)).toBe(0);
    expect(overrunShare(40, 20)).toBeLessThan(1e-6);
  });

  it('leaves only what goes past its margin', () => {
    expect(leftAfter({ yawDeg: 5, pitchDeg: -7, rollDeg: 30 }, 6, 45)).toEqual({
      yawDeg: 0,
      pitchDeg: -1,
      rollDeg: 0,
    });
    expect(leftAfter({ yawDeg: 5, pitchDeg: -7, rollDeg: 3 }, 0, 0)).toEqual({
      yawDeg: 5,
      pitchDeg: -7,
      rollDeg: 3,
    });
  });
});

describe('what turns, bends and whips', () => {
  it('a wheel whose spokes pass whole gaps a frame stands still, a little less turns back', () => {
    const wheel = { what: 'wheel', spokes: 5, revPerS: 10 } as const;
    expect(spinSeen(wheel, 25, 1 / 50).seemsRevPerS).toBeCloseTo(0, 9);
    expect(spinSeen({ ...wheel, revPerS: 9.8 }, 25, 1 / 50).seemsRevPerS).toBeCloseTo(-0.2, 9);
    expect(spinSeen(wheel, 25, 1 / 50).blurOfGap).toBeCloseTo(1, 9);
    expect(spinnerOf('riding', 6)!.revPerS).toBeCloseTo(6 / (2 * Math.PI * 0.34), 9);
    expect(spinnerOf('climbing', 1)).toBeNull();
  });

  it('skew is speed times readout, and jelly begins where half a swing is shorter', () => {
    expect(skewPctWidth(120, 0.016)).toBeCloseTo(1.92, 9);
    expect(jellies(20, 0.016)).toBe(false);
    expect(jellies(40, 0.016)).toBe(true);
  });

  it('a turn for a blur gives that blur back', () => {
    const turn = turnForBlurDegPerS(10, 1 / 50, 110, 'curved');
    expect(turn * pctWidthPerDegree(110, 'curved') * (1 / 50)).toBeCloseTo(10, 9);
    expect(turn).toBeCloseTo(550, 6);
    expect(quarterTurnSeconds(turn)).toBeCloseTo(0.1636, 3);
  });
});
