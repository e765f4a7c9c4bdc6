import { describe, expect, it } from 'vitest';
import { rampOf, speedsSeen } from './speeds';

describe('several speeds of one shot', () => {
  it('each shows its own angle and says whether frames repeat', () => {
    const [real, slow, slower] = speedsSeen(100, 1 / 200, 25, [1, 4, 8]);
    // Real time drops three frames of four, so the same shutter looks a quarter as open.
    expect(real).toMatchObject({ shownAngleDeg: 45, repeats: false });
    expect(slow).toMatchObject({ shownAngleDeg: 180, repeats: false });
    expect(slower).toMatchObject({ shownAngleDeg: 180, repeats: true, seenFps: 12.5 });
  });
});

describe('a ramp of speed', () => {
  it('is smooth as far as the frames last, and takes as long as its speeds add up to', () => {
    const ramp = rampOf(100, 25, 1, 8, 2);
    expect(ramp.smoothToSlowdown).toBe(4);
    expect(ramp.smoothShare).toBeCloseTo(3 / 7, 9);
    const steps = 100_000;
    let action = 0;
    for (let step = 0; step < steps; step++) action += 2 / steps / (1 + (7 * (step + 0.5)) / steps);
    expect(ramp.actionSeconds).toBeCloseTo(action, 6);
    expect(rampOf(100, 25, 8, 1, 2).smoothShare).toBeCloseTo(3 / 7, 9);
    expect(rampOf(100, 25, 2, 2, 2)).toMatchObject({ smoothShare: 1, actionSeconds: 1 });
    expect(rampOf(100, 25, 5, 5, 2).smoothShare).toBe(0);
  });
});
