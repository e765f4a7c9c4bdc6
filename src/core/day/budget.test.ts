import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import { ARCHETYPES } from '../camera/archetypes';
import { CHARGE_W, USUAL_CELL, bankUsableWh, cellWh, coldShare } from '../camera/power';
import type { Gear } from '../records/outing';
import { GearSchema } from '../records/outing';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { cameraBudget } from './budget';
import type { CameraBudget } from './budget';
import type { Recorded } from './stretches';
import { temperatureAfter } from './heat';
import { answerPinned, partSpace } from './partAnswer';
import type { PartAnswer } from './partAnswer';
import { recordingLoad } from './recording';
import type { DayPart, Pause } from './schedule';
import { sampling } from '../../../testing/samples';

const MINUTE = 60_000;
const camera = ARCHETYPES.main;
const air = { lowC: 20, highC: 20 };

/** A part of the day from one minute to another, or several stretches of it. */
function partAt(id: string, spans: readonly [number, number][], more: Partial<ShotInput> = {}): DayPart {
  const seconds = spans.reduce((sum, [from, to]) => sum + (to - from) * 60, 0);
  const shot = ShotSchema.parse({
    kind: 'lynxeye/shot',
    version: 3,
    light: { kind: 'range', evMin: 10, evMax: 12 },
    motion: { travelMps: 4 },
    ...more,
    limits: { recordSeconds: Math.max(1, seconds), ...more.limits },
  });
  const { brief } = briefOf(shot);
  const stretches = spans.map(([from, to]) => ({ fromMs: from * MINUTE, toMs: to * MINUTE }));
  return {
    id,
    entryId: id,
    shotId: id,
    part: 0,
    title: { shot: id, part: null },
    camera,
    shot,
    brief,
    stretches,
    fromMs: stretches[0]!.fromMs,
    toMs: stretches.at(-1)!.toMs,
  };
}

let plain: PartAnswer;
beforeAll(() => {
  plain = answerPinned(partSpace(partAt('any', [[0, 1]])), {
    frameRate: 30,
    resolution: { width: 1920, height: 1080 },
    codec: 'hevc',
    bitRateMbps: 60,
  })!;
});

const recordedAt = (
  id: string,
  spans: readonly [number, number][],
  mbps = 60,
  more: Partial<ShotInput> = {},
): Recorded => ({
  part: partAt(id, spans, more),
  answer: {
    ...plain,
    settings: { ...plain.settings, bitRateMbps: mbps, recording: more.loop ? 'loop' : 'video' },
  },
});

const rest = (from: number, to: number, more: Partial<Pause> = {}): Pause => ({
  id: `pause ${from}`,
  kind: 'break',
  name: '',
  fromMs: from * MINUTE,
  toMs: to * MINUTE,
  outOfReach: [],
  ...more,
});

const gearOf = (gear: Partial<Gear>): Gear => GearSchema.parse({ cameraId: 'main', ...gear });
const card = (capacityGb: number, writeMBps = 60): Gear['cards'][number] => ({
  name: `Card ${capacityGb} GB`,
  capacityGb,
  writeMBps,
});

const budgetOf = (
  recorded: readonly Recorded[],
  gear?: Gear,
  pauses: readonly Pause[] = [],
  dayAir = air,
): CameraBudget => cameraBudget(camera, recorded, { pauses, air: dayAir, fromMs: 0 }, gear);

/** Gigabytes of some minutes at a rate, with sound. */
const gb = (minutes: number, mbps = 60): number => (minutes * 60 * (mbps + 0.256)) / 8000;
const minuteOf = (atMs: number | undefined): number => (atMs ?? NaN) / MINUTE;
const isSorted = (values: readonly number[]): boolean =>
  values.every((value, at) => at === 0 || value >= values[at - 1]! - 1e-6);

describe('the card of a day', () => {
  it('takes rate times time, and says the minute it is full', () => {
    const { card: level, chapters } = budgetOf([recordedAt('a', [[0, 60]])], gearOf({ cards: [card(16)] }));
    expect(level.needs).toBeCloseTo(gb(60), 9);
    expect(level.has).toBeCloseTo(16 * 0.97, 9);
    expect(level.out?.partId).toBe('a');
    expect(minuteOf(level.out?.atMs)).toBeCloseTo((16 * 0.97) / gb(1), 6);
    expect(level.course.at(-1)?.share).toBe(0);
    expect(chapters.reduce((sum, one) => sum + one.gigabytes, 0)).toBeCloseTo(16 * 0.97, 6);
    expect(chapters.at(-1)?.toMs).toBeCloseTo(level.out!.atMs, 3);
  });

  it('changes the card only where the next stretch would not fit, and only where hands reach it', () => {
    const gear = gearOf({ cards: [card(16), card(16)] });
    const long = [recordedAt('a', [[0, 25]]), recordedAt('b', [[60, 85]])];
    const changed = budgetOf(long, gear, [rest(30, 50)]);
    expect(changed.acts).toEqual([{ what: 'card', atMs: 30 * MINUTE, to: 1, name: 'Card 16 GB' }]);
    expect(changed.card.out).toBeNull();
    expect(changed.chapters.filter(({ partId }) => partId === 'b').every((one) => one.card === 1)).toBe(true);

    const short = [recordedAt('a', [[0, 10]]), recordedAt('b', [[60, 70]])];
    expect(budgetOf(short, gear, [rest(30, 50)]).acts).toEqual([]);

    for (const kept of [rest(26, 59, { kind: 'travel' }), rest(26, 59, { outOfReach: ['main'] })]) {
      const stuck = budgetOf(long, gear, [kept]);
      expect(stuck.acts).toEqual([]);
      expect(stuck.card.out?.partId).toBe('b');
      expect(minuteOf(stuck.card.out?.atMs)).toBeCloseTo(60 + (16 * 0.97) / gb(1) - 25, 6);
    }
  });

  it('looks as far as the next break, not only at the next stretch', () => {
    const gear = gearOf({ cards: [card(16), card(32)] });
    const day = [recordedAt('a', [[0, 20]]), recordedAt('b', [[40, 50]]), recordedAt('c', [[51, 61]])];
    // 16 GB hold b alone, but c follows without a break.
    expect(budgetOf(day, gear, [rest(21, 39)]).acts.map(({ atMs }) => minuteOf(atMs))).toEqual([21]);
    const reached = budgetOf(day, gear, [rest(21, 39), rest(50, 51)]);
    expect(reached.acts.map(({ atMs }) => minuteOf(atMs))).toEqual([50]);
  });

  it('passes over a spare that would not do, which stays in the bag for what it can hold', () => {
    const mixed = gearOf({ cards: [card(16), card(8), card(64)] });
    const day = [recordedAt('a', [[0, 20]]), recordedAt('b', [[30, 70]])];
    expect(budgetOf(day, mixed, [rest(22, 28)]).acts).toMatchObject([{ what: 'card', to: 2 }]);
    const later = [...day, recordedAt('c', [[80, 180]]), recordedAt('d', [[190, 200]])];
    const { acts, card: level } = budgetOf(later, mixed, [rest(22, 28), rest(72, 78), rest(181, 189)]);
    expect(acts).toMatchObject([{ to: 2 }, { to: 1 }]);
    expect(minuteOf(acts[1]?.atMs)).toBe(181);
    expect(level.out?.partId).toBe('c');
    // A smaller one is no help as long as the one within holds more.
    const smaller = gearOf({ cards: [card(16), card(4)] });
    expect(budgetOf([recordedAt('a', [[0, 5]]), recordedAt('b', [[30, 70]])], smaller).acts).toEqual([]);
  });

  it('is changed at a pause made within a recording', () => {
    const gear = gearOf({ cards: [card(16), card(16)] });
    const paused = budgetOf(
      [
        recordedAt('a', [
          [0, 30],
          [35, 60],
        ]),
      ],
      gear,
    );
    expect(paused.card.out).toBeNull();
    expect(paused.acts).toMatchObject([{ what: 'card', atMs: 30 * MINUTE }]);
  });

  it('writes files no larger than the camera makes them, one after the other without a gap', () => {
    const { chapters } = budgetOf([recordedAt('a', [[0, 30]])], gearOf({ cards: [card(64)] }));
    const whole = chapters.slice(0, -1);
    for (const { gigabytes } of whole) expect(gigabytes).toBeCloseTo(4, 9);
    expect(chapters.at(-1)!.gigabytes).toBeLessThan(4);
    for (const [at, one] of chapters.entries())
      expect(one.fromMs).toBeCloseTo(at === 0 ? 0 : chapters[at - 1]!.toMs, 6);
    expect(chapters.reduce((sum, one) => sum + one.gigabytes, 0)).toBeCloseTo(gb(30), 9);
  });

  it('of a loop takes no more than the loop', () => {
    const looped: Partial<ShotInput> = { loop: { minutes: 5, leadSeconds: 30, eventSeconds: 60 } };
    const { card: level } = budgetOf(
      [recordedAt('a', [[0, 120]], 60, looped)],
      gearOf({ cards: [card(64)] }),
    );
    const answer: PartAnswer = { ...plain, settings: { ...plain.settings, recording: 'loop' } };
    const load = recordingLoad(partAt('a', [[0, 120]], looped), answer);
    expect(load.mostBytes).not.toBeNull();
    expect(level.needs).toBeCloseTo(load.mostBytes! / 1e9, 9);
    expect(level.needs).toBeLessThan(gb(120) / 10);
  });

  it('is told too slow by half its rating, with the part that asks most', () => {
    const recorded = [recordedAt('easy', [[0, 5]], 60), recordedAt('hard', [[10, 15]], 120)];
    const { slow } = budgetOf(recorded, gearOf({ cards: [card(64, 29), card(32, 31)] }));
    expect(slow).toEqual([{ name: 'Card 64 GB', writesMBps: 15, keepsMBps: 14.5, partId: 'hard' }]);
  });

  it('nobody told of is the largest its shots name, and said to be taken', () => {
    const recorded = [
      recordedAt('a', [[0, 5]], 60, { limits: { cardGb: 32 } }),
      recordedAt('b', [[10, 15]], 60, { limits: { cardGb: 128 } }),
    ];
    expect(budgetOf(recorded).card.has).toBeCloseTo(128 * 0.97, 9);
    expect(budgetOf(recorded).assumed).toEqual(['card', 'cell']);
    expect(budgetOf(recorded, gearOf({ cards: [card(8)] })).assumed).toEqual(['cell']);
    expect(budgetOf(recorded, gearOf({ cells: { ...USUAL_CELL } })).assumed).toEqual(['card']);
  });
});

describe('the cells of a day', () => {
  const wattsOf = (recorded: Recorded): number => recordingLoad(recorded.part, recorded.answer).powerW;

  it('draw the mode’s watts, and more of the cell in the cold', () => {
    const one = recordedAt('a', [[0, 60]]);
    for (const celsius of [25, 20, 5, -10, -60]) {
      const { power } = budgetOf([one], undefined, [], { lowC: celsius, highC: celsius });
      expect(power.needs, `${celsius} °C`).toBeCloseTo(wattsOf(one) / coldShare(celsius), 9);
    }
  });

  it('run out at the minute that arithmetic says, and are changed in time where one can', () => {
    const day = [recordedAt('a', [[0, 60]]), recordedAt('b', [[90, 250]])];
    const cells = { ampereHours: 1.72, volts: 3.85, count: 1 };
    const hours = cellWh(cells) / wattsOf(day[0]!);
    const alone = budgetOf(day, gearOf({ cells }), [rest(65, 85)]);
    expect(minuteOf(alone.power.out?.atMs)).toBeCloseTo(90 + hours * 60 - 60, 6);
    const two = budgetOf(day, gearOf({ cells: { ...cells, count: 2 } }), [rest(65, 85)]);
    expect(two.acts).toEqual([{ what: 'cell', atMs: 65 * MINUTE, to: 1 }]);
    expect(two.power.out?.partId).toBe(hours * 60 < 160 ? 'b' : undefined);
    const kept = budgetOf(day, gearOf({ cells: { ...cells, count: 2 } }), [rest(61, 89, { kind: 'travel' })]);
    expect(kept.acts).toEqual([]);
  });

  it('are charged in a break by what the socket gives, what the bank holds and what is missing', () => {
    const day = [recordedAt('a', [[0, 60]]), recordedAt('b', [[80, 90]])];
    const charged = (ampereHours: number, minutes: number): number => {
      const gear = gearOf({ bank: { ampereHours }, charging: 'breaks' });
      const act = budgetOf(day, gear, [rest(60, 60 + minutes)]).acts.find(({ what }) => what === 'charge');
      return act?.what === 'charge' ? act.wattHours : 0;
    };
    expect(charged(20, 12)).toBeCloseTo((CHARGE_W * 12) / 60, 9);
    expect(charged(0.2, 20)).toBeCloseTo(bankUsableWh(0.2), 9);
    const short = [recordedAt('a', [[0, 10]]), recordedAt('b', [[80, 90]])];
    const [act] = budgetOf(short, gearOf({ bank: { ampereHours: 20 }, charging: 'breaks' }), [
      rest(15, 75),
    ]).acts;
    expect(act).toMatchObject({ what: 'charge', atMs: 15 * MINUTE, toMs: 75 * MINUTE });
    expect(act?.what === 'charge' && act.wattHours).toBeCloseTo(wattsOf(short[0]!) / 6, 9);
  });

  it('fed while recording are spared until the bank is empty', () => {
    const day = [recordedAt('a', [[0, 60]]), recordedAt('b', [[61, 121]])];
    const need = wattsOf(day[0]!);
    const ampereHours = need / bankUsableWh(1);
    const fed = budgetOf(day, gearOf({ bank: { ampereHours }, charging: 'recording' }));
    expect(fed.power.has).toBeCloseTo(cellWh(USUAL_CELL) + need, 9);
    const shares = fed.power.course.map(({ share }) => share * fed.power.has);
    expect(shares[1]).toBeCloseTo(cellWh(USUAL_CELL), 6);
    expect(shares[3]).toBeCloseTo(Math.max(0, cellWh(USUAL_CELL) - need), 6);
    const unplugged = budgetOf(day, gearOf({ bank: { ampereHours }, charging: 'none' }));
    expect(unplugged.power.has).toBeCloseTo(cellWh(USUAL_CELL), 9);
  });
});

describe('the heat of a day', () => {
  it('starts from the air, warms while it records and cools between', () => {
    const budget = budgetOf([recordedAt('a', [[0, 20]]), recordedAt('b', [[60, 70]])]);
    const at = (minute: number): number =>
      budget.heat.course.findLast(({ atMs }) => atMs <= minute * MINUTE + 1)!.celsius;
    expect(at(0)).toBe(20);
    expect(at(20)).toBeGreaterThan(at(10));
    expect(at(60)).toBeLessThan(at(30));
    expect(budget.heat.hottestC).toBeCloseTo(at(20), 6);
    const load = recordingLoad(partAt('a', [[0, 20]]), plain);
    expect(at(20)).toBeCloseTo(temperatureAfter(20, camera.heat, { ...load, airC: 20 }, 20), 6);
  });

  it('warns before the screen goes dark, and that before it shuts itself off; then it cools', () => {
    const still: Partial<ShotInput> = { motion: { travelMps: 0 } };
    const hot = { lowC: 48, highC: 48 };
    const { heat } = budgetOf([recordedAt('a', [[0, 240]], 60, still)], undefined, [], hot);
    expect(heat.warn!.atMs).toBeLessThan(heat.screenOff!.atMs);
    expect(heat.screenOff!.atMs).toBeLessThan(heat.out!.atMs);
    expect(heat.hottestC).toBeCloseTo(camera.heat.shutdownC, 6);
    expect(heat.course.at(-1)!.celsius).toBeLessThan(50);
    expect(isSorted(heat.course.map(({ atMs }) => atMs))).toBe(true);
  });

  it('adds the sun on the case where the shot is sunlit', () => {
    const sunlit: Partial<ShotInput> = { light: { kind: 'range', evMin: 12, evMax: 15 } };
    const { heat } = budgetOf([recordedAt('a', [[0, 5]], 60, sunlit)]);
    expect(heat.course[0]!.celsius).toBe(28);
  });
});

describe('any day', () => {
  const anyDay = fc
    .record({
      lengths: fc.array(
        fc.record({
          gap: fc.integer({ min: 0, max: 40 }),
          film: fc.integer({ min: 1, max: 90 }),
          mbps: fc.constantFrom(60, 100, 120),
          pause: fc.constantFrom('none' as const, 'break' as const, 'travel' as const, 'kept' as const),
        }),
        { minLength: 1, maxLength: 8 },
      ),
      cards: fc.array(fc.constantFrom(8, 16, 32, 64), { minLength: 1, maxLength: 3 }),
      count: fc.integer({ min: 1, max: 3 }),
      bank: fc.constantFrom(0.5, 5, 20),
      charging: fc.constantFrom('none' as const, 'breaks' as const, 'recording' as const),
      celsius: fc.integer({ min: -25, max: 45 }),
    })
    .map(({ lengths, cards, count, bank, charging, celsius }) => {
      let at = 0;
      const recorded: Recorded[] = [];
      const pauses: Pause[] = [];
      for (const [index, { gap, film, mbps, pause }] of lengths.entries()) {
        if (gap > 0 && pause !== 'none')
          pauses.push(
            rest(at, at + gap, {
              kind: pause === 'travel' ? 'travel' : 'break',
              outOfReach: pause === 'kept' ? ['main'] : [],
            }),
          );
        at += gap;
        recorded.push(recordedAt(`p${index}`, [[at, at + film]], mbps));
        at += film;
      }
      const gear = gearOf({
        cards: cards.map((one) => card(one)),
        cells: { ampereHours: 1.72, volts: 3.85, count },
        bank: { ampereHours: bank },
        charging,
      });
      return { recorded, gear, pauses, air: { lowC: celsius, highC: celsius } };
    });

  it('keeps its levels between empty and full, in time, and never gains but by charging', () => {
    fc.assert(
      fc.property(anyDay, ({ recorded, gear, pauses, air: dayAir }) => {
        const { card: level, power, heat, acts } = budgetOf(recorded, gear, pauses, dayAir);
        for (const { course } of [level, power]) {
          expect(course.every(({ share }) => share >= -1e-9 && share <= 1 + 1e-9)).toBe(true);
          expect(isSorted(course.map(({ atMs }) => atMs))).toBe(true);
        }
        // A card that is put away half full takes its rest with it, so the level falls; it never rises.
        expect(isSorted(level.course.map(({ share }) => -share))).toBe(true);
        expect(isSorted(power.course.map(({ share }) => -share))).toBe(true);
        expect(isSorted(acts.map(({ atMs }) => atMs))).toBe(true);
        expect(heat.hottestC).toBeLessThanOrEqual(camera.heat.shutdownC + 1e-6);
      }),
      sampling(150, 21),
    );
  });

  it('loses pictures exactly where something is said to be out', () => {
    fc.assert(
      fc.property(anyDay, ({ recorded, gear, pauses, air: dayAir }) => {
        const { card: level, chapters } = budgetOf(recorded, gear, pauses, dayAir);
        const written = chapters.reduce((sum, { gigabytes }) => sum + gigabytes, 0);
        if (level.out) expect(written).toBeLessThan(level.needs - 1e-9);
        else expect(written).toBeCloseTo(level.needs, 6);
        for (const [at, { capacityGb }] of gear.cards.entries()) {
          const on = chapters.filter((one) => one.card === at).reduce((sum, one) => sum + one.gigabytes, 0);
          expect(on).toBeLessThanOrEqual(capacityGb * 0.97 + 1e-6);
        }
      }),
      sampling(150, 22),
    );
  });

  it('touches the camera only within a pause that allows it or a long gap', () => {
    fc.assert(
      fc.property(anyDay, ({ recorded, gear, pauses, air: dayAir }) => {
        for (const act of budgetOf(recorded, gear, pauses, dayAir).acts) {
          const filming = recorded.some(({ part }) => act.atMs > part.fromMs + 1 && act.atMs < part.toMs - 1);
          expect(filming).toBe(false);
          const pause = pauses.find(({ fromMs, toMs }) => act.atMs >= fromMs && act.atMs < toMs);
          if (pause) expect([pause.kind, pause.outOfReach]).toEqual(['break', []]);
        }
      }),
      sampling(150, 23),
    );
  });

  it('has power to the minute of a cell followed second by second', () => {
    fc.assert(
      fc.property(anyDay, ({ recorded, pauses, air: dayAir }) => {
        // One cell and no bank: nothing to decide, so a walk in small steps must find the same end.
        const { power } = budgetOf(recorded, undefined, pauses, dayAir);
        let left = cellWh(USUAL_CELL);
        let endMs: number | null = null;
        for (const { part, answer } of recorded) {
          const watts = recordingLoad(part, answer).powerW / coldShare(dayAir.lowC);
          for (let at = part.fromMs; at < part.toMs && endMs === null; at += 1000) {
            left -= watts / 3600;
            if (left < 0) endMs = at;
          }
        }
        if (endMs === null) expect(power.out).toBeNull();
        else expect(Math.abs(power.out!.atMs - endMs)).toBeLessThanOrEqual(1001);
      }),
      sampling(60, 24),
    );
  });
});
