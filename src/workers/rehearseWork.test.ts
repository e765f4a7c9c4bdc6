import { describe, expect, it } from 'vitest';
import { daySheet } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { USUAL_UNKNOWNS } from '@/core/rehearse/unknowns';
import { makeDemo } from '../../demo/makeDemo';
import type { PlannedDay } from './rehearse';
import { rehearseWork } from './rehearseWork';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const [outing] = outings;
const kept = new Map(shots.map((one) => [one.id, one]));
const schedule = scheduleOf(outing!, 'sunday', kept, clock);
const { gear } = outing!;
const bare: PlannedDay = { schedule, gear, sheet: null };
const known: PlannedDay = { ...bare, sheet: daySheet(schedule, gear) };
const from = { unknowns: USUAL_UNKNOWNS, seed: 4 };
const limits = {
  fromMs: schedule.fromMs,
  toMs: schedule.toMs,
  mostMinutes: 60,
  betweenMinutes: 5,
  order: true,
  stay: [],
};

describe('the work of rehearsals', () => {
  it('is the same whether the day was worked out before or not, and tells as it counts', async () => {
    const told: Rehearsal[][] = [[], []];
    for (const [at, day] of [bare, known].entries())
      await rehearseWork.rehearse(day, { ...from, draws: 300 }, (report) => told[at]?.push(report));
    expect(told[0]?.at(-1)?.draws).toBe(300);
    expect(told[0]?.[0]?.draws).toBeLessThan(300);
    expect(told[1]?.at(-1)).toEqual(told[0]?.at(-1));
  });

  it('drops a rehearsal that is stopped, and one that another takes the place of', async () => {
    const first = rehearseWork.rehearse(known, { ...from, draws: 5000 }, () => undefined);
    const second = rehearseWork.rehearse(known, { ...from, draws: 5000 }, () => undefined);
    expect(await first).toBeNull();
    rehearseWork.stop();
    expect(await second).toBeNull();
  });

  it('looks at the days of the seed that was begun last', async () => {
    const seen: string[] = [];
    for (const seed of [1, 2, 1]) {
      await rehearseWork.rehearse(known, { ...from, seed, draws: 40 }, () => undefined);
      const [day] = rehearseWork.look(7, 1);
      expect(day?.number).toBe(7);
      expect(day?.clouds).toHaveLength(25);
      seen.push(JSON.stringify(day));
    }
    expect(seen[1]).not.toBe(seen[0]);
    expect(seen[2]).toBe(seen[0]);
  });

  it('stops a search for times, tells the one that goes on, and marks what is read before', async () => {
    const tried: number[] = [];
    const stopped = rehearseWork.times(known, from, limits, ({ tried: count }) => tried.push(count));
    rehearseWork.stopTimes();
    expect(await stopped).toEqual({ how: 'stopped' });
    expect(await rehearseWork.times(known, from, { ...limits, mostMinutes: 0 }, () => undefined)).toEqual({
      how: 'none',
    });
    const found = await rehearseWork.times(known, from, limits, ({ tried: count }) => tried.push(count));
    expect(found.how).toBe('better');
    expect(tried).toEqual(tried.map((_, at) => at + 1));
    const { checks, readings } = rehearseWork.cards(known, from, ['sun-05/0']);
    expect(checks.length).toBeGreaterThan(4);
    expect([...readings.keys()]).toEqual(['sun-05/0']);
    expect(readings.get('sun-05/0')?.bands.length).toBeGreaterThan(1);
  });
});
