import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { outsOf } from '../day/daySheet';
import { scheduleOf } from '../day/schedule';
import type { Schedule } from '../day/schedule';
import type { Gear, Outing } from '../records/outing';
import { readShot } from '../records/shot';
import type { ShotInput } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import { normalBelow } from '../units/expected';
import { samples, seeded } from '../../../testing/samples';
import { item } from '../units/items';
import { chanceOf } from './chance';
import { simulateDay } from './day';
import { SeededRandom, named } from '../units/seededRandom';
import { driversOf } from './drivers';
import { otherOptions } from './otherOptions';
import { planOf } from './plan';
import type { Plan } from './plan';
import { worthOfReading } from './reading';
import { Rehearsing } from './rehearse';
import { NOTHING_UNKNOWN, unknownsOf, USUAL_UNKNOWNS } from './unknowns';
import type { Unknowns } from './unknowns';
import { outcomeOn } from './filmingOption';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const demo = item(outings, 0);
const demoShots = new Map(shots.map((one) => [one.id, one]));
const saturday = (gear: readonly Gear[] = demo.gear, outing: Outing = demo): Plan =>
  planOf(scheduleOf(outing, 'saturday', demoShots, clock), gear);

/** A day of this one shot. */
function dayOf(input: Omit<ShotInput, 'kind' | 'version'>): Schedule {
  const read = readShot({ kind: 'lynxeye/shot', version: 3, ...input });
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  const record: ShotRecord = { ...item(shots, 0), id: 'one', shot: read.value };
  const entries = [{ what: 'shot' as const, id: 'a', shotId: 'one', at: '10:00', pauses: [], note: '' }];
  return scheduleOf(
    { days: [{ ...item(demo.days, 0), id: 'day', entries }] },
    'day',
    new Map([['one', record]]),
    clock,
  );
}

const ONLY_LIGHT: Unknowns = { ...NOTHING_UNKNOWN, dayLightStops: 0.3, lightTimes: 1 };

describe('numbers of a drawn day', () => {
  it('are standard normal and even, and the same whatever else is asked', () => {
    const days = Array.from({ length: 4000 }, (_, day) => new SeededRandom(7, day));
    const normals = days.flatMap((day) => [day.normal(named('a')), day.normal(named('b'))]);
    const mean = normals.reduce((sum, value) => sum + value, 0) / normals.length;
    const square = normals.reduce((sum, value) => sum + value * value, 0) / normals.length;
    expect(Math.abs(mean)).toBeLessThan(3 / Math.sqrt(normals.length));
    expect(Math.abs(square - 1)).toBeLessThan((3 * Math.SQRT2) / Math.sqrt(normals.length));
    const both = days.reduce((sum, day) => sum + day.normal(named('a')) * day.normal(named('b')), 0);
    expect(Math.abs(both / days.length)).toBeLessThan(3 / Math.sqrt(days.length));
    expect(new SeededRandom(7, 3).normal(named('a'))).toBe(item(days, 3).normal(named('a')));
    expect(new SeededRandom(8, 3).normal(named('a'))).not.toBe(item(days, 3).normal(named('a')));
  });
});

describe('chances', () => {
  it.each([
    // Newcombe 1998, table I: Wilson's interval without continuity correction.
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%i of %i stand within what is published', (count, of, low, high) => {
    const chance = chanceOf(count, of);
    expect(chance.low).toBeCloseTo(low, 3);
    expect(chance.high).toBeCloseTo(high, 3);
  });

  it.each([
    ['openShade', 'openSun', 0.5],
    ['openSun', 'openSun', 0.5],
    ['denseWood', 'lightWood', 0.5],
  ] as const)('over and under from %s to %s agree with the closed form', (from, to, spread) => {
    for (const pins of [
      {},
      { shutterSeconds: 1 / 200, iso: { min: 100, max: 200 }, filter: { ids: ['nd8'] } },
    ]) {
      const plan = planOf(dayOf({ light: { kind: 'scene', from, to }, pins }), []);
      const rehearsing = new Rehearsing(plan, ONLY_LIGHT, seeded(11));
      const draws = samples(10_000);
      rehearsing.run(draws);
      const { chances } = item(rehearsing.report().shots, 0);
      const { option, light } = item(plan.parts, 0);
      if (!option) throw new Error('it is filmed');
      const { shutter, iso, sensor, filter } = option;
      const top = sensor.fNumberLog - Math.log2(shutter.shortestSeconds) - iso.minLog + filter.stops;
      const foot = sensor.fNumberLog - shutter.longestLog - iso.minLog - iso.spanStops + filter.stops;
      const truth = {
        over: 1 - normalBelow((top + sensor.guardStops - item(light.evMax, 0)) / spread),
        under: normalBelow((foot - 1 - item(light.evMin, 0)) / spread),
      };
      for (const code of ['over', 'under'] as const) {
        const error = Math.sqrt((truth[code] * (1 - truth[code])) / draws);
        expect(Math.abs(chances[code].p - truth[code]), `${code} ${truth[code]}`).toBeLessThan(
          4.5 * error + 3 / draws,
        );
      }
    }
  });
});

describe('a day of which everything is known', () => {
  it('is that of the plan, to the minute, however often it is lived through', () => {
    const scarce = demo.gear.map((gear) => ({
      ...gear,
      charging: 'none' as const,
      cards: gear.cards.slice(0, 1).map((card) => ({ ...card, capacityGb: 2 })),
      ...(gear.cells ? { cells: { ...gear.cells, count: 1, ampereHours: 0.3 } } : {}),
    }));
    for (const [gear, air] of [
      [demo.gear, { lowC: 8, highC: 18 }],
      [scarce, { lowC: 30, highC: 55 }],
    ] as const) {
      const warm = { ...demo, days: demo.days.map((day) => ({ ...day, air })) };
      const plan = saturday(gear, warm);
      const planned = plan.sheet.cameras.flatMap(({ budget }) => outsOf(budget));
      if (gear === scarce)
        expect(new Set(planned.map(({ what }) => what))).toEqual(new Set(['card', 'power', 'heat']));
      for (let number = 0; number < samples(gear === scarce ? 10_000 : 200); number++) {
        const lived = simulateDay(plan, new SeededRandom(5, number), NOTHING_UNKNOWN);
        const outs = lived.budgets.flatMap(outsOf);
        if (outs.length !== planned.length) throw new Error(`${outs.length} of ${planned.length} run out`);
        outs.forEach((out, at) => {
          const same = item(planned, at);
          if (out.what !== same.what || out.partId !== same.partId || Math.abs(out.atMs - same.atMs) > 60_000)
            throw new Error(`${out.what} in ${out.partId} at ${out.atMs}, planned ${same.atMs}`);
        });
        if (lived.parts.some(({ delayMs }) => delayMs !== 0)) throw new Error('late');
      }
    }
  });

  it('loses what the plan says it loses, part by part', () => {
    const plan = saturday();
    const { parts } = simulateDay(plan, new SeededRandom(5, 0), NOTHING_UNKNOWN);
    plan.parts.forEach(({ option, answer, light, part }, at) => {
      if (!option) return;
      const here = outcomeOn(option, {
        evMin: item(light.evMin, 0),
        evMax: item(light.evMax, 0),
        shake: 0,
        speed: 0,
      });
      expect(item(parts, at).loss).toBeCloseTo(here.loss, 6);
      // In the light that was planned for, without its spread, an expected loss is no more than with it, and near it.
      const { evMin, evMax } = option.light;
      const planned = outcomeOn(option, { evMin, evMax, shake: 0, speed: 0 });
      expect(planned.loss, part.id).toBeLessThanOrEqual(answer.loss + 0.3);
    });
  });
});

describe('what is not known to a person', () => {
  it('is their slips, and how late their days run where they took that over', () => {
    const slips = { ...USUAL_UNKNOWNS.slips, wetLens: 0.5 };
    expect(unknownsOf(slips, [])).toEqual({ ...USUAL_UNKNOWNS, slips });
    const own = { figure: { of: 'lateness' as const }, usual: 4, off: 6, spread: 1, from: 5 };
    const { late } = unknownsOf(slips, [own]);
    expect(late.minutesAnHour).toBe(10);
    expect(late.spread).toBeGreaterThan(1);
    const plan = saturday();
    const delay = (unknowns: Unknowns): number => {
      const days = Array.from({ length: 50 }, (_, day) =>
        simulateDay(plan, new SeededRandom(1, day), unknowns),
      );
      return days.reduce((sum, { parts }) => sum + (parts.at(-1)?.delayMs ?? 0), 0);
    };
    expect(delay(unknownsOf(slips, [own]))).toBeGreaterThan(1.3 * delay(USUAL_UNKNOWNS));
  });
});

describe('the same seed', () => {
  it('gives the same days to the byte, in whatever portions they are lived', () => {
    const plan = saturday();
    const [one, other] = [new Rehearsing(plan, USUAL_UNKNOWNS, 3), new Rehearsing(plan, USUAL_UNKNOWNS, 3)];
    one.run(60);
    other.run(25);
    other.run(35);
    expect(JSON.stringify(other.report())).toBe(JSON.stringify(one.report()));
    expect(JSON.stringify(other.picks())).toBe(JSON.stringify(one.picks()));
    const third = new Rehearsing(plan, USUAL_UNKNOWNS, 4);
    third.run(60);
    expect(JSON.stringify(third.report())).not.toBe(JSON.stringify(one.report()));
  });

  it('gives two plans the same days: what is drawn for a shot does not hang on the others', () => {
    const [whole, less] = [
      demo,
      { ...demo, days: demo.days.map((day) => ({ ...day, entries: day.entries.slice(1) })) },
    ];
    const [a, b] = [saturday(demo.gear, whole), saturday(demo.gear, less)];
    const known = new Map(
      simulateDay(a, new SeededRandom(2, 9), { ...USUAL_UNKNOWNS, late: NOTHING_UNKNOWN.late }).parts.map(
        (one) => [one.id, one],
      ),
    );
    for (const { id, evMax, inputs } of simulateDay(b, new SeededRandom(2, 9), {
      ...USUAL_UNKNOWNS,
      late: NOTHING_UNKNOWN.late,
    }).parts) {
      expect(evMax, id).toBeCloseTo(known.get(id)?.evMax ?? NaN, 9);
      expect(inputs.shake, id).toBe(known.get(id)?.inputs.shake);
    }
  });
});

describe('what drives a loss', () => {
  it('is told by its ranks: light where light is all that is unknown, shake where shake is', () => {
    const plan = planOf(dayOf({ light: { kind: 'scene', from: 'openShade', to: 'openSun' } }), []);
    const drivers = (unknowns: Unknowns): string[] => {
      const rehearsing = new Rehearsing(plan, unknowns, 2);
      rehearsing.run(400);
      return item(rehearsing.report().shots, 0).drivers.map(({ input }) => input);
    };
    expect(drivers(ONLY_LIGHT)).toEqual(['light']);
    expect(drivers({ ...NOTHING_UNKNOWN, shake: 1 })).toEqual(['shake']);
    expect(drivers(NOTHING_UNKNOWN)).toEqual([]);
    const flat = Array.from({ length: 9 }, () => 1);
    const none = {
      light: flat,
      cloud: flat,
      shake: flat,
      speed: flat,
      late: flat,
      air: flat,
      power: flat,
      heat: flat,
      bitRate: flat,
      slips: flat,
    };
    expect(driversOf([3, 1, 2, 5, 4, 9, 7, 8, 6], none)).toEqual([]);
  });
});

describe('over random days', () => {
  const DAYS = samples(200);
  const draw = (seed: number) => {
    const drawn = new SeededRandom(99, seed);
    return (name: string): number => drawn.even(named(name));
  };
  const SCENES = [
    'openSun',
    'hazySun',
    'overcast',
    'openShade',
    'lightWood',
    'gorgeFloor',
    'brightHall',
  ] as const;
  const MOUNTS = ['helmet', 'chest', 'hand', 'pole', 'handlebar'] as const;
  const GROUNDS = ['smooth', 'mixed', 'rough'] as const;
  const ACTIVITIES = ['riding', 'running', 'skating'] as const;
  const SCHOOLS = ['weigh', 'film', 'crisp', 'handsOff'] as const;

  it('the robust pick is no worse than the plan on fresh days, and a reading is never worth less than nothing', () => {
    let [picks, better] = [0, 0];
    for (let seed = seeded(0); seed < seeded(DAYS); seed++) {
      const even = draw(seed);
      const pick = <T>(name: string, list: readonly T[]): T =>
        item(list, Math.floor(even(name) * list.length));
      const plan = planOf(
        dayOf({
          mount: {
            kind: pick('mount', MOUNTS),
            ground: pick('ground', GROUNDS),
            activity: pick('activity', ACTIVITIES),
          },
          motion: { travelMps: 1 + 8 * even('pace'), nearestM: 0.6 + 4 * even('near') },
          light: { kind: 'scene', from: pick('from', SCENES), to: pick('to', SCENES) },
          look: { school: pick('school', SCHOOLS) },
        }),
        [],
      );
      const planned = item(plan.parts, 0);
      const { option, light } = planned;
      if (!option) throw new Error('it is filmed');
      const others = otherOptions(planned, plan, new Map());
      const here = { evMin: item(light.evMin, 0), evMax: item(light.evMax, 0) };
      const reading = worthOfReading([option, ...others], here, 0.5);
      expect(reading.savesLoss, `${seed}`).toBeGreaterThanOrEqual(0);
      expect(reading.changes).toBeLessThanOrEqual(1);
      expect(worthOfReading([option, ...others], here, 0)).toEqual({
        changes: 0,
        changesFilter: 0,
        savesLoss: 0,
        bands: [],
      });
      expect(reading.changesFilter).toBeLessThanOrEqual(1);
      expect([reading.bands[0]?.fromEv, reading.bands.at(-1)?.toEv]).toEqual([null, null]);
      reading.bands.slice(1).forEach(({ fromEv, filter }, at) => {
        expect(item(reading.bands, at).toEv).toBe(fromEv);
        expect(filter.ids).not.toEqual(item(reading.bands, at).filter.ids);
      });

      const rehearsing = new Rehearsing(plan, USUAL_UNKNOWNS, seed);
      rehearsing.run(250);
      const { robust } = item(rehearsing.picks(), 0);
      if (!robust) continue;
      picks += 1;
      const other = others.find(
        ({ settings }) => JSON.stringify(settings) === JSON.stringify(robust.settings),
      );
      if (!other) throw new Error('it is one of them');
      // Fresh days of another seed.
      const fresh = new Rehearsing(plan, USUAL_UNKNOWNS, 10_000 + seed);
      const saved: number[] = [];
      for (let number = 0; number < 400; number++) {
        const { evMin, evMax, inputs } = item(fresh.day(number).parts, 0);
        const lived = { evMin, evMax, shake: inputs.shake, speed: inputs.speed };
        saved.push(outcomeOn(option, lived).loss - outcomeOn(other, lived).loss);
      }
      const mean = saved.reduce((sum, one) => sum + one, 0) / saved.length;
      const error = Math.sqrt(saved.reduce((sum, one) => sum + (one - mean) ** 2, 0)) / saved.length;
      expect(mean, `day ${seed}`).toBeGreaterThan(-2 * error);
      if (mean > 0) better += 1;
    }
    expect(picks).toBeGreaterThan(DAYS / 10);
    expect(better).toBeGreaterThan(0.95 * picks);
  });
});
