import { workedDay } from './workedDay';
import type { WorkedDay } from './workedDay';
import { beforeAll, describe, expect, it } from 'vitest';
import { outingOf, recordOf, withChanges } from '../../../bench/madeDay';
import { makeDemo } from '../../../demo/makeDemo';
import { ARCHETYPES } from '../camera/archetypes';
import type { Gear, Outing } from '../records/outing';
import { OutingSchema } from '../records/outing';
import type { Shot } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import type { Cure } from '../cures/cure';
import { curesOf } from '../cures/cures';
import { daySheet, outsOf } from './daySheet';
import type { DaySheet } from './daySheet';
import type { Memo } from './partWork';
import { airAtC, minutesUntil, pausePlan, temperatureAfter } from './heat';
import { costOf, jointDay } from '../cures/jointDay';
import { packingOf, safetyCards } from './packing';
import { chanceIn, scheduleOf } from './schedule';
import type { Schedule } from './schedule';
import { coldShare } from '../camera/power';

const utc = (date: string, time: string): number => Date.parse(`${date}T${time}:00Z`);

function oneShot(
  shot: Omit<Shot, 'kind' | 'version'>,
  more: { gear?: Gear[]; air?: { lowC: number; highC: number } } = {},
): {
  outing: Outing;
  shots: Map<string, ShotRecord>;
} {
  return {
    outing: outingOf([{ what: 'shot', id: 'e', shotId: 's', at: '13:00' }], more),
    shots: new Map([['s', recordOf('s', shot)]]),
  };
}

const workedOut = (
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
  memo: Memo = new Map(),
): { day: Schedule; sheet: DaySheet } => {
  const day = scheduleOf(outing, outing.days[0]!.id, shots, utc);
  return { day, sheet: daySheet(day, outing.gear, memo) };
};

/** A cure taken for real: the changed outing and shots, worked out anew. */
function taken(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
  day: Schedule,
  { changes }: Cure,
): DaySheet {
  const after = withChanges(outing, shots, day.parts, changes);
  return workedOut(after.outing, after.shots).sheet;
}

describe('heat', () => {
  const { heat } = ARCHETYPES.main;
  const still = { airC: 33, sunC: 0, powerW: 4.5, airSpeedMps: 0 };

  it('reaches a limit when it says it will', () => {
    const minutes = minutesUntil(heat.shutdownC, 33, heat, still)!;
    expect(temperatureAfter(33, heat, still, minutes)).toBeCloseTo(heat.shutdownC, 9);
    expect(minutesUntil(heat.shutdownC, 33, heat, { ...still, airSpeedMps: 6 })).toBeNull();
  });

  it('plans no pause where none helps: air as hot as the limit', () => {
    expect(pausePlan(heat, { ...still, airC: 80 }, 30, 80, 10)).toBeNull();
  });

  it('takes air from its low at six to its high at three', () => {
    const air = { lowC: 2, highC: 20 };
    expect([6, 15].map((hour) => airAtC(air, hour))).toEqual([2, 20]);
    expect(airAtC(air, 0)).toBeGreaterThan(2);
    expect(airAtC(air, 10.5)).toBeCloseTo(11, 6);
  });
});

describe('a 4K60 shot of half an hour at 33 °C', () => {
  const shot = (travelMps: number): Omit<Shot, 'kind' | 'version'> => ({
    mount: { kind: 'helmet', ground: 'mixed', activity: 'riding' },
    motion: { travelMps },
    light: { kind: 'range', evMin: 11, evMax: 13 },
    pins: { frameRate: 60, resolution: { width: 3840, height: 2160 } },
    limits: { recordSeconds: 1800 },
  });
  const air = { lowC: 33, highC: 33 };

  it('is stopped standing still at a stated minute, and not while moving', () => {
    const { outing, shots } = oneShot(shot(0), { air });
    const { sheet } = workedOut(outing, shots);
    const { out, warn } = sheet.cameras[0]!.budget.heat;
    const minute = (out!.atMs - utc('2026-07-01', '13:00')) / 60_000;
    // 2.4 W + 4.2 W a gigapixel a second at 3840×2160×60: target 86.9 °C, 75 °C after 9·ln(53.9/11.9) minutes.
    expect(minute).toBeCloseTo(13.6, 1);
    expect(warn!.atMs).toBeLessThan(out!.atMs);
    const moving = oneShot(shot(6), { air });
    expect(workedOut(moving.outing, moving.shots).sheet.cameras[0]!.budget.heat.out).toBeNull();
  });

  it('gets through with the pauses that are proposed', () => {
    const { outing, shots } = oneShot(shot(0), { air });
    const { day, sheet } = workedOut(outing, shots);
    const [out] = outsOf(sheet.cameras[0]!.budget);
    const cures = curesOf(day, outing.gear, sheet, out!, new Map());
    const stops = cures.find(({ how }) => how === 'stops');
    expect(stops).toBeDefined();
    for (const cure of cures)
      expect(taken(outing, shots, day, cure).cameras[0]!.budget.heat.out, cure.how).toBeNull();
  });
});

describe('three and a half hours on 64 GB and one cell', () => {
  const { outing, shots } = oneShot(
    {
      mount: { kind: 'chest', ground: 'mixed', activity: 'walking' },
      light: { kind: 'range', evMin: 10, evMax: 12 },
      limits: { recordSeconds: 3.5 * 3600, cardGb: 64 },
      pins: { bitRateMbps: 60 },
    },
    {
      air: { lowC: 12, highC: 12 },
      gear: [
        {
          cameraId: 'main',
          cards: [{ name: 'Card 64 GB', capacityGb: 64, writeMBps: 30 }],
          cells: { ampereHours: 1.72, volts: 3.85, count: 1 },
          charging: 'none',
        },
      ],
    },
  );
  const { day, sheet } = workedOut(outing, shots);
  const { budget } = sheet.cameras[0]!;

  it('says when each runs out', () => {
    const start = utc('2026-07-01', '13:00');
    // 64 GB less 3 % at 60 Mbit/s and sound; the cell's 6.62 Wh at 12 °C by the mode's watts.
    const cardSeconds = (64e9 * 0.97 * 8) / 60.256e6;
    expect((budget.card.out!.atMs - start) / 1000).toBeCloseTo(cardSeconds, 0);
    const hours = (budget.power.out!.atMs - start) / 3_600_000;
    const watts = (budget.power.needs * coldShare(12)) / 3.5;
    expect(hours).toBeCloseTo((1.72 * 3.85 * coldShare(12)) / watts, 2);
    expect(budget.chapters.length).toBeGreaterThan(10);
    expect(budget.chapters.every(({ gigabytes }) => gigabytes <= 4.0001)).toBe(true);
  });

  it('names cures for both, and each works when taken', () => {
    const memo: Memo = new Map();
    const outs = outsOf(budget);
    expect(outs.map(({ what }) => what).sort()).toEqual(['card', 'power']);
    const all = outs.flatMap((out) => curesOf(day, outing.gear, sheet, out, memo));
    expect(all.length).toBeGreaterThanOrEqual(4);
    for (const out of outs)
      expect(curesOf(day, outing.gear, sheet, out, memo).length, out.what).toBeGreaterThanOrEqual(2);
    for (const cure of all) {
      const after = taken(outing, shots, day, cure).cameras[0]!.budget;
      expect(cure.what === 'card' ? after.card.out : after.power.out, `${cure.what} ${cure.how}`).toBeNull();
    }
  });
});

describe('the made-up outing', () => {
  const demo = makeDemo();
  const outing = demo.outings[0]!;
  const shots = new Map(demo.shots.map((shot) => [shot.id, shot]));
  const memo: Memo = new Map();
  const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
  let days: { day: Schedule; sheet: DaySheet; worked: WorkedDay }[] = [];
  beforeAll(() => {
    days = outing.days.map(({ id }) => {
      const day = scheduleOf(outing, id, shots, clock);
      const sheet = daySheet(day, outing.gear, memo);
      return { day, sheet, worked: workedDay(day, outing.gear, sheet) };
    });
  });

  it('has an answer for every part of its thirteen shots, and nothing runs out', () => {
    const ids = new Set(days.flatMap(({ day }) => day.parts.map(({ shotId }) => shotId)));
    expect(ids.size).toBe(13);
    for (const { day, sheet } of days) {
      expect(sheet.parts.size).toBe(day.parts.length);
      for (const { partId, carried } of sheet.parts.values()) expect(carried, partId).not.toBeNull();
      expect(sheet.firstOut).toBeNull();
    }
  });

  it('changes a filter only where the camera can be reached, and keeps to the slots', () => {
    for (const { day, sheet } of days)
      for (const camera of sheet.cameras) {
        const profile = day.parts.find((part) => part.camera.id === camera.cameraId)!.camera;
        expect(camera.presets.length).toBeLessThanOrEqual(Math.max(profile.presetSlots, 0));
        for (const { partId, window } of camera.filterChanges) {
          expect(window.toMs, partId).toBeGreaterThan(window.fromMs);
          expect(window.toMs).toBeLessThanOrEqual(day.parts.find(({ id }) => id === partId)!.fromMs);
        }
      }
  });

  it('never gives up what a school insists on for a shared set-up', () => {
    const { day, sheet } = days[0]!;
    const whip = day.parts.find(({ title }) => title.shot?.startsWith('Whip pair'))!;
    expect(sheet.parts.get(whip.id)!.carried!.settings.shutterMode).toBe('fixed');
  });

  it('solved together costs no more than shot by shot, and says what changed', () => {
    for (const { day, sheet } of days) {
      const steps = jointDay(day, outing.gear, memo);
      let step = steps.next();
      let share = 0;
      while (!step.done) {
        expect(step.value.share).toBeGreaterThanOrEqual(share);
        share = step.value.share;
        step = steps.next();
      }
      expect(step.value.before.total).toBeCloseTo(costOf(day, sheet).total, 9);
      expect(step.value.after.total).toBeLessThanOrEqual(step.value.before.total + 1e-6);
      for (const change of step.value.changes) expect(change.reasons.length).toBeGreaterThan(0);
    }
  });

  it('packs what is used, once, and warns of what the mounts ask', () => {
    const items = packingOf(days.map(({ worked }) => worked));
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
    expect(items.filter(({ what }) => what === 'camera')).toHaveLength(4);
    expect(items.find(({ what }) => what === 'cell')!.count).toBe(3);
    const cautions = safetyCards(days.map(({ day }) => day));
    expect(cautions.map(({ caution }) => caution)).toEqual(
      expect.arrayContaining(['snag', 'waterSeals', 'secondTether', 'ropeFree', 'othersFilmed']),
    );
  });
});

describe('two shots at once on one camera', () => {
  it('are told, and what overlaps is counted once', () => {
    const { outing, shots } = oneShot({ limits: { recordSeconds: 3600 } });
    const twice = OutingSchema.parse({
      ...outing,
      days: [
        {
          ...outing.days[0]!,
          entries: [outing.days[0]!.entries[0]!, { what: 'shot', id: 'e2', shotId: 's', at: '13:30' }],
        },
      ],
    });
    const { clashes, card, heat } = workedOut(twice, shots).sheet.cameras[0]!.budget;
    expect(clashes).toEqual([{ partId: 'e2/0', withId: 'e/0', atMs: utc('2026-07-01', '13:30') }]);
    const once = workedOut(outing, shots).sheet.cameras[0]!.budget;
    expect(card.needs).toBeCloseTo(1.5 * once.card.needs, 6);
    expect(heat.hottestC).toBeLessThan(120);
    expect(once.clashes).toEqual([]);
  });
});

describe('a schedule', () => {
  it('lets a camera be touched in a break unless it is out of reach, and never under way', () => {
    const pause = (kind: 'break' | 'travel', outOfReach: string[] = []) => [
      { id: 'p', kind, name: '', fromMs: 600_000, toMs: 900_000, outOfReach },
    ];
    const gap = { fromMs: 500_000, toMs: 2_000_000 };
    expect(chanceIn(pause('break'), 'a', gap)).toEqual({ fromMs: 600_000, toMs: 900_000 });
    expect(chanceIn(pause('break', ['a']), 'a', gap)).toBeNull();
    expect(chanceIn(pause('travel'), 'a', gap)).toBeNull();
    expect(chanceIn([], 'a', gap)).toEqual(gap);
    expect(chanceIn([], 'a', { fromMs: 0, toMs: 300_000 })).toBeNull();
  });
});
