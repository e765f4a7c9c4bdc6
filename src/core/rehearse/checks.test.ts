import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { scheduleOf } from '../day/schedule';
import { NO_FILTER } from '../filters/kit';
import { item } from '../units/items';
import { checksOf } from './checks';
import { SeededRandom } from '../units/seededRandom';
import { filmed } from './filmed';
import type { Worn } from './filmed';
import { planOf } from './plan';
import { NOTHING_UNKNOWN, USUAL_UNKNOWNS } from './unknowns';
import type { Slip } from './unknowns';
import { outcomeOf } from './whatIfs';

const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const { shots, outings } = makeDemo();
const demo = item(outings, 0);
const kept = new Map(shots.map((one) => [one.id, one]));
const plan = planOf(scheduleOf(demo, 'saturday', kept, clock), demo.gear);
const NEVER = NOTHING_UNKNOWN.slips;

describe('what a check saves', () => {
  it.each<Slip>(['wetLens', 'startedLate', 'forgottenFilter'])(
    'is what the slip %s costs a day on which it always happens, by its chance',
    (slip) => {
      const always = { ...USUAL_UNKNOWNS, slips: { ...NEVER, [slip]: 1 } };
      const saves = checksOf(plan, always, 5).filter((one) => one.slip === slip);
      const least = outcomeOf(plan, { ...USUAL_UNKNOWNS, slips: NEVER }, 5, 60).loss;
      expect(saves.reduce((sum, one) => sum + one.saves, 0)).toBeCloseTo(
        outcomeOf(plan, always, 5, 60).loss - least,
        6,
      );
      const half = { ...USUAL_UNKNOWNS, slips: { ...NEVER, [slip]: 0.5 } };
      for (const one of checksOf(plan, half, 5).filter((other) => other.slip === slip))
        expect(one.saves).toBeCloseTo(saves.find(({ id }) => id === one.id)!.saves / 2, 9);
    },
  );

  it('comes in order, and is nothing where nobody slips', () => {
    const saves = checksOf(plan, USUAL_UNKNOWNS, 1).map((one) => one.saves);
    expect(item(saves, 0)).toBeGreaterThan(0.1);
    expect(saves).toEqual([...saves].sort((a, b) => b - a));
    expect(checksOf(plan, { ...USUAL_UNKNOWNS, slips: NEVER }, 1).every((one) => one.saves === 0)).toBe(true);
  });

  it('goes on over what is filmed behind a forgotten filter until the next change', () => {
    const own = plan.parts.filter(({ part, option }) => part.camera.id === 'otter' && option);
    const first = item(own, 1);
    expect(first.option?.filter.ids).not.toEqual([]);
    const changing = { ...first, changesFrom: NO_FILTER };
    const following = { ...first, changesFrom: null };
    const after = (forgotten: boolean): number => {
      const worn: Worn = new Map();
      const day = {
        drawn: new SeededRandom(1, 0),
        unknowns: NOTHING_UNKNOWN,
        air: 0,
        fromMs: plan.schedule.fromMs,
        slips: (slip: Slip) => forgotten && slip === 'forgottenFilter',
      };
      filmed(changing, 0, worn, day);
      expect(worn.get('otter')).toEqual(forgotten ? NO_FILTER : first.option?.filter);
      return filmed(following, 0, worn, day).loss;
    };
    expect(after(true)).toBeGreaterThan(after(false));
  });
});
