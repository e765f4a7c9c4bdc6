import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import { motionSheet } from '@/core/compare/motionSheet';
import type { MotionSheet } from '@/core/compare/motionSheet';
import { solve } from '@/core/answer/solve';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import { motionLines, shutterSpanText, speedText } from './motionText';
import type { MotionLine } from './motionText';

function sheetOf(more: Partial<Shot> = {}): MotionSheet {
  const outcome = solve(
    briefOf({
      ...emptyShot('Ride'),
      light: { kind: 'range', evMin: 11, evMax: 13 },
      mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
      ...more,
    }).brief,
  );
  if (!outcome.solved) throw new Error('no answer');
  return motionSheet(outcome.solution.space, outcome.solution.candidate);
}
const sheet = sheetOf();
const line = (of: MotionSheet, name: RegExp): MotionLine => {
  const found = motionLines(of).find((one) => name.test(one.name));
  if (!found) throw new Error(`no line ${String(name)}`);
  return found;
};

describe('the figures of movement as lines', () => {
  it('are the same lines for every way of filming, but for a subject, a readout and a wheel', () => {
    const names = motionLines(sheet).map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    const walking = sheetOf({ mount: { kind: 'chest', ground: 'smooth', activity: 'walking' } });
    const others = motionLines(walking).map(({ name }) => name);
    expect(others.filter((name) => !names.includes(name))).toEqual([]);
    const still = motionLines({ ...sheet, subjectBlurPct: null, skewPct: null, spin: null });
    const told = motionLines({ ...sheet, subjectBlurPct: 1, skewPct: 2, jelly: false });
    expect(told.length - still.length).toBeGreaterThanOrEqual(2);
  });

  it('mark what is past what a viewer accepts, from there on and not before', () => {
    const at = (shakeSmearPct: number): boolean => line({ ...sheet, shakeSmearPct }, /shake/i).past;
    expect(at(sheet.shakeSmearTolerancePct)).toBe(false);
    expect(at(sheet.shakeSmearTolerancePct * 1.04)).toBe(false);
    expect(at(sheet.shakeSmearTolerancePct * 1.06)).toBe(true);
    const subject = (subjectBlurPct: number): boolean => line({ ...sheet, subjectBlurPct }, /subject/i).past;
    expect([subject(3), subject(3.1)]).toEqual([false, true]);
  });

  it('say of a swing how much is held, and how often it goes past', () => {
    const held = (heldDeg: number, overrunShare: number): MotionLine =>
      line({ ...sheet, swingDeg: 4, heldDeg, overrunShare }, /swing/i);
    expect(held(2, 0.12)).toMatchObject({ past: true });
    expect(held(2, 0.12).value).toContain('12');
    expect(held(2, 0.001).value).not.toContain('0 %');
    expect(held(9, 0)).toMatchObject({ past: false });
    // A sphere holds any swing: it is told as half a turn at most.
    expect(held(Infinity, 0).value).toContain('180');
  });

  it('tell small shares to a hundredth and the rest to a tenth', () => {
    const blur = (typicalBlurPct: number): string => line({ ...sheet, typicalBlurPct }, /half/i).value;
    expect(blur(0.456)).toMatch(/^0\.46 %/);
    expect(blur(4.56)).toMatch(/^4\.6 %/);
  });

  it('say that no blur is to be added where none is', () => {
    expect(line({ ...sheet, blurToAdd: 0.004 }, /edit/i).value).not.toMatch(/\d/);
    expect(line({ ...sheet, blurToAdd: 0.25 }, /edit/i).value).toContain('25');
  });
});

describe('a shutter and a speed in words', () => {
  it('is one time where it stands, and two where it runs', () => {
    expect(shutterSpanText({ ...sheet, longestSeconds: 1 / 50, shortestSeconds: 1 / 50 })).toBe('1/50 s');
    const runs = shutterSpanText({ ...sheet, longestSeconds: 1 / 50, shortestSeconds: 1 / 400 });
    expect(runs).toContain('1/50');
    expect(runs).toContain('1/400');
  });

  it('tells slowed, real and sped up apart, and frames that repeat or fall unevenly', () => {
    const speed = { ...sheet.speeds[0]!, repeats: false, uneven: false, shownAngleDeg: 180 };
    const texts = [1, 2, 0.25].map((slowdown) => speedText({ ...speed, slowdown }));
    expect(new Set(texts).size).toBe(3);
    expect(texts[2]).toContain('4');
    const smooth = speedText({ ...speed, slowdown: 1 });
    expect(speedText({ ...speed, slowdown: 1, uneven: true })).not.toBe(smooth);
    expect(speedText({ ...speed, slowdown: 1, repeats: true, seenFps: 12.5 })).toContain('12.5');
  });
});
