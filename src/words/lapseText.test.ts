import { describe, expect, it } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import { lapseOf } from '@/core/timeLapse/lapseAnswer';
import type { TimeLapsePlan } from '@/core/timeLapse/timeLapsePlan';
import { lapseLost, lapseText, lapseTileText, lapseWhys, longText } from './lapseText';

const briefWith = (more: Partial<Shot> = {}): Brief =>
  briefOf({
    ...emptyShot('Ridge'),
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
    const brief = briefWith();
    const plan = planOf(brief);
    const text = lapseWhys(plan, brief).join(' ');
    expect(text).toContain(`${Math.round((100 * plan.shutterSeconds) / plan.intervalSeconds)} %`);
    expect(text).toContain(String(plan.frames));
  });

  it('tells of movement only where movement is to be seen as blur', () => {
    const whysOf = (brief: Brief): number =>
      lapseWhys(planOf(brief), brief).length - lapseLost(planOf(brief), brief).length;
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

  it('tells a filter that is missing from one that would not be enough, and the dark end apart', () => {
    const brief = briefWith({ filters: [{ id: 'nd8', kind: 'nd', stops: 3 }] });
    const plan = planOf(brief);
    const lost = (more: Partial<TimeLapsePlan>): string[] =>
      lapseLost({ ...plan, overStops: 0, underStops: 0, ...more }, brief);
    expect(lost({})).toEqual([]);
    expect(lost({ overStops: 0.04, underStops: 0.04 })).toEqual([]);
    const [inTheBag] = lost({ overStops: 1.5, filter: { ...plan.filter, ids: [], stops: 0 } });
    const [none] = lost({ overStops: 1.5, filter: { ...plan.filter, ids: ['nd8'], stops: 3 } });
    expect(inTheBag).toContain('1.5');
    expect(none).not.toBe(inTheBag);
    const [dark] = lost({ underStops: 2 });
    expect(dark).toContain('2');
    expect(lost({ overStops: 1, underStops: 1 })).toHaveLength(2);
  });

  it('says under its tiles what of the light is lost there', () => {
    const brief = briefWith();
    const plan = { ...planOf(brief), overStops: 0, underStops: 0 };
    const [sound, short] = [plan, { ...plan, overStops: 1, underStops: 1 }].map((one) =>
      lapseTileText(one, brief),
    );
    for (const setting of ['filter', 'iso'] as const) expect(sound![setting]).not.toBe(short![setting]);
    expect(sound!.shutterSeconds).toBe(short!.shutterSeconds);
  });

  it('tells short shutters as fractions and long ones in seconds', () => {
    expect(longText(1 / 60)).toBe('1/60 s');
    expect(longText(2)).toBe('2 s');
    expect(longText(0.5)).toBe('0.5 s');
  });
});
