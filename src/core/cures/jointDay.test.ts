import { describe, expect, it } from 'vitest';
import { MADE_DAY, outingOf, recordOf } from '../../../bench/madeDay';
import type { Gear } from '../records/outing';
import type { ShotInput } from '../records/shot';
import { pinsTaken } from '../changes/pins';
import { daySheet, outsOf } from '../day/daySheet';
import type { DaySheet } from '../day/daySheet';
import type { Memo } from '../day/partWork';
import { costOf, jointDay } from './jointDay';
import type { JointDay, JointProgress } from './jointDay';
import { scheduleOf } from '../day/schedule';
import type { Schedule } from '../day/schedule';

const memo: Memo = new Map();

/** A day of shots, two hours apart, each by its wishes. */
function dayOf(wishes: readonly Partial<ShotInput>[], gear: Gear[] = []): { day: Schedule; gear: Gear[] } {
  const outing = outingOf(
    wishes.map((_, at) => ({
      what: 'shot',
      id: `e${at}`,
      shotId: `s${at}`,
      at: `${String(6 + 2 * at).padStart(2, '0')}:00`,
    })),
    { gear },
  );
  const shots = new Map(wishes.map((more, at) => [`s${at}`, recordOf(`s${at}`, more)]));
  return {
    day: scheduleOf(outing, MADE_DAY, shots, (date, time) => Date.parse(`${date}T${time}:00Z`)),
    gear,
  };
}

function solved({ day, gear }: { day: Schedule; gear: Gear[] }): { joint: JointDay; told: JointProgress[] } {
  const told: JointProgress[] = [];
  const steps = jointDay(day, gear, memo);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return { joint: step.value, told };
    told.push(step.value);
  }
}

/** The day with every change of a joint answer taken. */
function taken(day: Schedule, gear: readonly Gear[], { changes }: JointDay): DaySheet {
  const pins = pinsTaken(day.parts, changes);
  const parts = day.parts.map((part) => {
    const shot = pins.get(part.shotId)?.(part.shot) ?? part.shot;
    return { ...part, shot, brief: { ...part.brief, pins: shot.pins ?? {} } };
  });
  return daySheet({ ...day, parts }, gear, new Map());
}

const bag: ShotInput['filters'] = [2, 3, 4, 5].map((stops) => ({
  id: `nd${2 ** stops}`,
  kind: 'nd' as const,
  stops,
}));
const ride: Partial<ShotInput> = {
  mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
  filters: bag,
  light: { kind: 'range', evMin: 11, evMax: 14 },
};

describe('a day solved together', () => {
  it('tells how far it is, never back, and ends with all of it', () => {
    const { told } = solved(dayOf([ride, { ...ride, light: { kind: 'range', evMin: 8, evMax: 10 } }]));
    const shares = told.map(({ share }) => share);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(told.at(-1)).toEqual({ step: 'done', share: 1 });
    expect(new Set(told.map(({ step }) => step)).size).toBeGreaterThanOrEqual(4);
  });

  it('never costs more than shot by shot, and what it says it costs is what it costs when taken', () => {
    const days = [
      dayOf([ride]),
      dayOf([ride, { ...ride, light: { kind: 'range', evMin: 12, evMax: 15 } }]),
      dayOf([
        { ...ride, secondAngles: [{ name: 'Bow', camera: { archetype: 'mini' }, mount: { kind: 'chest' } }] },
      ]),
    ];
    for (const one of days) {
      const { joint } = solved(one);
      expect(joint.after.total).toBeLessThanOrEqual(joint.before.total + 1e-6);
      const sheet = taken(one.day, one.gear, joint);
      expect(costOf(one.day, sheet).total).toBeCloseTo(joint.after.total, 6);
    }
  });

  it('changes nothing where nothing is to be gained', () => {
    const { joint } = solved(dayOf([{ ...ride, filters: [] }]));
    expect(joint.changes).toEqual([]);
    expect(joint.after).toEqual(joint.before);
  });

  it('says of each change why, what it was and what it becomes, and holds to it', () => {
    const one = dayOf([
      {
        ...ride,
        secondAngles: [{ name: 'Bow', camera: { archetype: 'budget' }, mount: { kind: 'tripod' } }],
      },
      { ...ride, light: { kind: 'range', evMin: 8, evMax: 11 } },
    ]);
    const { joint } = solved(one);
    const sheet = taken(one.day, one.gear, joint);
    for (const { partId, pins, before, after, reasons, addedLoss } of joint.changes) {
      expect(reasons.length, partId).toBeGreaterThan(0);
      expect(Object.keys(pins).length, partId).toBeGreaterThan(0);
      expect(sheet.parts.get(partId)!.carried!.settings, partId).toEqual(after);
      expect(Number.isFinite(addedLoss)).toBe(true);
      expect(before.frameRate).toBeGreaterThan(0);
    }
  });

  it('keeps what a person pinned', () => {
    const pinned = { ...ride, pins: { frameRate: 60, filter: { ids: ['nd16'] } } };
    const one = dayOf([pinned, ride]);
    const { joint } = solved(one);
    const own = taken(one.day, one.gear, joint).parts.get('e0/0')!.carried!.settings;
    expect(own.frameRate).toBe(60);
    expect(own.filter.ids).toEqual(['nd16']);
  });

  it('gets a day through on one cell where a smaller picture can do it', () => {
    const playback = { timelineFps: 25, slowdown: 2, deliver: { width: 1920, height: 1080 } };
    const one = dayOf([{ ...ride, playback, limits: { recordSeconds: 5700, cardGb: 256 } }]);
    const before = daySheet(one.day, one.gear, memo);
    expect(before.cameras.flatMap(({ budget }) => outsOf(budget)).map(({ what }) => what)).toEqual(['power']);
    expect(before.parts.get('e0/0')!.carried!.settings.resolution.width).toBe(3840);
    const { joint } = solved(one);
    expect(joint.changes).toMatchObject([{ partId: 'e0/0', reasons: ['power'] }]);
    expect(taken(one.day, one.gear, joint).cameras.flatMap(({ budget }) => outsOf(budget))).toEqual([]);
  });
});

describe('what a day costs', () => {
  it('is pictures, filter changes, set-ups, what does not match and what runs out, summed', () => {
    const { day, gear } = dayOf([
      ride,
      { ...ride, light: { kind: 'range', evMin: 5, evMax: 7 } },
      {
        ...ride,
        secondAngles: [{ camera: { archetype: 'mini' }, pins: { frameRate: 30 } }],
        pins: { frameRate: 25 },
      },
    ]);
    const sheet = daySheet(day, gear, memo);
    const cost = costOf(day, sheet);
    const pictures = [...sheet.parts.values()].reduce((sum, { carried }) => sum + carried!.loss, 0);
    expect(cost.pictures).toBeCloseTo(pictures, 9);
    // 25 and 30 frames a second do not cut together.
    expect(cost.mismatches).toBeGreaterThan(0);
    const { total, ...parts } = cost;
    expect(total).toBeCloseTo(
      Object.values(parts).reduce((sum, one) => sum + one, 0),
      9,
    );
  });
});
