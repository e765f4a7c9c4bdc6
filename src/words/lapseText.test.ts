import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import { lapseOf } from '@/core/timeLapse/lapseAnswer';
import { SCENE_CHANGES } from '@/core/vocabulary/timeLapses';
import type { TimeLapsePlan } from '@/core/timeLapse/timeLapsePlan';
import { lapseHelpText, lapseReasons, lapseText, lapseWarningText, lapseWhys, longText } from './lapseText';

const briefWith = (more: Partial<Shot> = {}): Brief =>
  briefOf({
    ...emptyShot('Ridge'),
    mount: { kind: 'tripod' },
    light: { kind: 'range', evMin: 12, evMax: 14 },
    timeLapse: { intervalSeconds: 4, look: 'half' },
    pins: { recording: 'timeLapse' },
    limits: { recordSeconds: 5400 },
    ...more,
  }).brief;

function planOf(brief: Brief): TimeLapsePlan {
  const lapse = lapseOf(brief);
  if (!lapse) throw new Error('the camera makes none');
  return lapse.plan;
}

describe('a time-lapse in words', () => {
  it('says how often, for how long, and what film that makes', () => {
    const brief = briefWith();
    // 5,400 s at one picture in 4 s are 1,350 pictures: 54 s at 25 a second.
    expect(lapseText(planOf(brief), brief)).toMatch(/4 s.*90 min.*54 s/);
  });

  it('says what its shutter is of the interval', () => {
    const brief = briefWith({ light: { kind: 'range', evMin: 2, evMax: 2 } });
    const plan = planOf(brief);
    const text = lapseWhys(plan, brief).join(' ');
    expect(text).toContain('50 % of the interval');
    expect(text).toContain(String(plan.frames));
  });

  it('tells of movement only where movement is to be seen as blur', () => {
    const whysOf = (brief: Brief): number => lapseWhys(planOf(brief), brief).length;
    const blurred = briefWith({ timeLapse: { intervalSeconds: 4, look: 'blur', blurPct: 10 } });
    expect(whysOf(blurred)).toBe(whysOf(briefWith()) + 1);
  });

  it('says of a moving one whether half the frame steps or jumps', () => {
    const moving = (speedUp: number): string[] => {
      const brief = briefWith({
        timeLapse: { moving: true, speedUp },
        pins: { recording: 'movingTimeLapse' },
        motion: { travelMps: 4 },
      });
      return lapseWhys(planOf(brief), brief);
    };
    expect(moving(2).join(' ')).not.toBe(moving(30).join(' '));
    expect(moving(30).length).toBeGreaterThanOrEqual(3);
  });

  it('says of each warning how much, and of each help what it leaves', () => {
    const told = lapseWarningText({
      code: 'exposeLapse',
      seen: 'dark',
      severity: 'stop',
      stops: 1.5,
      helps: [],
    });
    expect(told).toMatch(/^Dark.*1\.5 stops/);
    expect(
      lapseWarningText({ code: 'exposeLapse', seen: 'white', severity: 'stop', stops: 2, helps: [] }),
    ).toMatch(/^White.*2 stops/);
    expect(lapseWarningText({ code: 'power', severity: 'note', hours: 2, wattHours: 4.8 })).toMatch(
      /2 h.*4\.8 Wh/,
    );
    expect(lapseHelpText({ code: 'raiseCeiling', iso: 3200, underStops: 0 })).toMatch(/3200: nothing/);
    expect(lapseHelpText({ code: 'longerInterval', intervalSeconds: 30, underStops: 0.8 })).toMatch(
      /30 s: 0\.8/,
    );
    expect(lapseHelpText({ code: 'letGo', pins: ['shutterSeconds'], overStops: 0, underStops: 0 })).toMatch(
      /Shutter/,
    );
  });

  it('gives a reason for every setting that its interval, look or light decides', () => {
    for (const change of SCENE_CHANGES) {
      const brief = briefWith({ timeLapse: { change } });
      const reasons = lapseReasons(lapseOf(brief)!, brief);
      expect(reasons.map(({ setting }) => setting)).toEqual(
        expect.arrayContaining(['frameRate', 'shutterSeconds', 'filter', 'iso', 'view', 'whiteBalance']),
      );
      for (const { text } of reasons) expect(text).not.toBe('');
    }
  });

  it('tells short shutters as fractions and long ones in seconds', () => {
    expect(longText(1 / 60)).toBe('1/60 s');
    expect(longText(2)).toBe('2 s');
    expect(longText(0.5)).toBe('0.5 s');
  });
});
