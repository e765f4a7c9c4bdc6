import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coded, madeFrames, PLAIN_CLIP } from '../../../bench/madeClip';
import { curvesOf } from './curves';
import { FrameMeter } from './frameMeter';
import type { FindingCode } from '../vocabulary/findings';
import { proposedVerdicts } from './verdicts';
import { windowsOf } from './windows';

const HD = { width: 1920, height: 1080, frameRate: 30 };

describe('where a quick look looks', () => {
  it('windows lie in the clip, apart from each other, the middle and both ends first', () => {
    fc.assert(
      fc.property(fc.double({ min: 8.1, max: 20_000, noNaN: true }), (durationSeconds) => {
        const windows = windowsOf({ ...HD, durationSeconds }, 'quick');
        expect(windows.length).toBeGreaterThanOrEqual(3);
        const sorted = [...windows].sort((one, other) => one.fromSeconds - other.fromSeconds);
        expect(sorted[0]?.fromSeconds).toBe(0);
        expect(sorted.at(-1)?.toSeconds).toBeCloseTo(durationSeconds, 6);
        sorted.slice(1).forEach(({ fromSeconds }, at) => {
          expect(fromSeconds).toBeGreaterThanOrEqual((sorted[at]?.toSeconds ?? 0) - 1e-6);
        });
        const [middle] = windows;
        expect((middle!.fromSeconds + middle!.toSeconds) / 2).toBeCloseTo(durationSeconds / 2, 6);
      }),
    );
  });

  it('a short clip, and one asked for as a whole, is one window; a heavy one has shorter windows', () => {
    expect(windowsOf({ ...HD, durationSeconds: 5 }, 'quick')).toEqual([{ fromSeconds: 0, toSeconds: 5 }]);
    expect(windowsOf({ ...HD, durationSeconds: 900 }, 'whole')).toHaveLength(1);
    const length = (width: number, frameRate: number): number => {
      const [one] = windowsOf({ width, height: (width * 9) / 16, frameRate, durationSeconds: 60 }, 'quick');
      return one!.toSeconds - one!.fromSeconds;
    };
    expect(length(3840, 60)).toBeLessThan(length(1920, 30));
    expect(length(3840, 60)).toBeGreaterThan(1.2);
  });
});

describe('curves', () => {
  const clip = { ...PLAIN_CLIP, width: 96, height: 54, seconds: 2, panPctPerS: 10 };
  const meter = new FrameMeter();
  const frames = [...madeFrames(clip)].map((frame) => meter.measure(coded(clip, frame), frame.atSeconds));

  it('stand on the time of the clip; where nothing was looked at they say nothing', () => {
    const early = frames.filter(({ atSeconds }) => atSeconds < 1);
    const sound = [0.1, 0.25, 0.4].map((atSeconds) => ({ atSeconds, levelDb: -20, lowDb: -40, lowShare: 0 }));
    const curves = curvesOf([early], sound, 2, meter.planeWidth);
    const half = curves.middleStops.length / 2;
    expect(curves.stepSeconds * curves.middleStops.length).toBeCloseTo(2, 9);
    expect(curves.middleStops.slice(0, half - 1).every((value) => value !== null)).toBe(true);
    expect(curves.middleStops.slice(half + 1).every((value) => value === null)).toBe(true);
    expect(curves.levelDb[0]).toBe(-20);
    expect(curves.levelDb.at(-1)).toBeNull();
    const speeds = curves.speedPctWidthPerS.filter((value) => value !== null);
    for (const speed of speeds) expect(Math.abs(speed - 10)).toBeLessThan(2);
  });

  it('are few enough to keep, however long the clip is', () => {
    const many = Array.from({ length: 5000 }, (_, at) => ({ ...frames[1]!, atSeconds: at / 25 }));
    expect(curvesOf([many], [], 200, meter.planeWidth).blur).toHaveLength(240);
  });
});

describe('verdicts', () => {
  it('are what the findings speak for, each once; what has no word of its own is told only alone', () => {
    const of = (...codes: FindingCode[]): string[] =>
      proposedVerdicts({ findings: codes.map((code) => ({ code })), pictures: null }, null);
    expect(of()).toEqual(['good']);
    expect(of('wind', 'silent')).toEqual(['good']);
    expect(of('over', 'shake', 'smear')).toEqual(['whiteSky', 'smear']);
    expect(of('shake')).toEqual(['other']);
  });
});
