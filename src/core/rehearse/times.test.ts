import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { scheduleOf } from '../day/schedule';
import { entryAt } from '../records/dayEdits';
import { item } from '../units/items';
import { planOf } from './plan';
import type { Plan } from './plan';
import { searchTimes } from './times';
import type { BetterTimes, TimeLimits } from './times';
import { NOTHING_UNKNOWN, USUAL_UNKNOWNS } from './unknowns';
import { outcomeOf } from './whatIfs';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const demo = item(outings, 0);
const kept = new Map(shots.map((one) => [one.id, one]));
const [saturday, sunday] = [0, 1].map((at) => {
  const day = item(demo.days, at);
  return { day, plan: planOf(scheduleOf(demo, day.id, kept, clock), demo.gear) };
}) as [Of, Of];
interface Of {
  day: (typeof demo.days)[number];
  plan: Plan;
}

const WIDE = { mostMinutes: 120, betweenMinutes: 5, order: true, stay: [] };
const limitsOf = ({ day }: Of, given: Partial<TimeLimits> = {}): TimeLimits => ({
  fromMs: clock(day.date, '06:00'),
  toMs: clock(day.date, '21:00'),
  ...WIDE,
  ...given,
});

function found(of: Of, limits: TimeLimits): { better: BetterTimes | null; tried: number } {
  const search = searchTimes(of.plan, USUAL_UNKNOWNS, 3, limits, new Map());
  let tried = 0;
  for (let step = search.next(); ; step = search.next()) {
    if (step.done) return { better: step.value, tried };
    tried = step.value.tried;
  }
}

describe('times of a day', () => {
  it('are found that lose less on fresh days, and the day moved so is the day told', () => {
    const { better } = found(sunday, limitsOf(sunday));
    if (!better) throw new Error('Sunday can be bettered');
    expect(better.loss[1]).toBeLessThan(better.loss[0]);
    const minutes = (ms: number): number => (ms - clock(sunday.day.date, '00:00')) / 60_000;
    const moved = better.moves.reduce(
      (day, { entryId, toMs }) => entryAt(day, entryId, minutes(toMs)),
      sunday.day,
    );
    const schedule = scheduleOf({ ...demo, days: [moved] }, 'sunday', kept, clock);
    const fresh = [7, 8].map((seed) => [
      outcomeOf(sunday.plan, USUAL_UNKNOWNS, seed, 200).loss,
      outcomeOf(planOf(schedule, demo.gear), USUAL_UNKNOWNS, seed, 200).loss,
    ]);
    for (const [before = 0, after = 0] of fresh) expect(after).toBeLessThan(before);
  });

  it.each([
    ['saturday', saturday, { mostMinutes: 30, order: false }],
    ['saturday, in any order', saturday, {}],
    ['sunday, from when the mist is filmed', sunday, { stay: ['sun-01', 'sun-02'] }],
    ['sunday, an hour at most', sunday, { mostMinutes: 60 }],
  ])('stay within what is stated: %s', (_, of, given) => {
    const limits = limitsOf(of, given);
    const { better } = found(of, limits);
    const by = new Map(better?.moves.map((one) => [one.entryId, one.toMs - one.fromMs]));
    const spans = [
      ...of.plan.schedule.parts.map(({ entryId, fromMs, toMs }) => ({
        id: entryId,
        fromMs,
        toMs,
        kind: 'shot',
      })),
      ...of.plan.schedule.pauses,
    ].map((one) => {
      const at = one.fromMs + (by.get(one.id) ?? 0);
      return { ...one, wasMs: one.fromMs, fromMs: at, toMs: one.toMs - one.fromMs + at };
    });
    expect(better?.moves.length).toBeGreaterThan(0);
    for (const one of spans) {
      if (one.fromMs === one.wasMs) continue;
      expect(limits.stay).not.toContain(one.id);
      expect(Math.abs(one.fromMs - one.wasMs)).toBeLessThanOrEqual(limits.mostMinutes * 60_000);
      expect(one.fromMs).toBeGreaterThanOrEqual(limits.fromMs);
      expect(one.toMs).toBeLessThanOrEqual(limits.toMs);
    }
    for (const travel of spans.filter(({ kind }) => kind === 'travel'))
      for (const shot of spans.filter(({ kind }) => kind === 'shot')) {
        expect(shot.fromMs < travel.fromMs).toBe(shot.wasMs < travel.wasMs);
        expect(shot.fromMs >= travel.toMs || shot.toMs <= travel.fromMs).toBe(true);
      }
    if (!limits.order) {
      const order = (by: 'fromMs' | 'wasMs'): string[] =>
        [...spans].sort((a, b) => a[by] - b[by]).map(({ id }) => id);
      expect(order('fromMs')).toEqual(order('wasMs'));
    }
  });

  it('are left where all stay, where no time is given, and where nothing is lost by them', () => {
    const all = [...sunday.day.entries.map(({ id }) => id)];
    expect(found(sunday, limitsOf(sunday, { stay: all }))).toEqual({ better: null, tried: 0 });
    expect(found(sunday, limitsOf(sunday, { mostMinutes: 0 }))).toEqual({ better: null, tried: 0 });
    const summit = sunday.day.entries.filter(({ id }) => id === 'sun-10');
    const plan = planOf(
      scheduleOf({ ...demo, days: [{ ...sunday.day, entries: summit }] }, 'sunday', kept, clock),
      demo.gear,
    );
    const search = searchTimes(plan, NOTHING_UNKNOWN, 1, limitsOf(sunday), new Map());
    let last = search.next();
    while (!last.done) last = search.next();
    expect(last.value).toBeNull();
  });
});
