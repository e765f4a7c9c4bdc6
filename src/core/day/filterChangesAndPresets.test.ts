import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { better, choosePresets, servedBy } from './presets';
import type { PresetChoice } from './presets';
import { changesIn, planFilterChanges, FILTER_CHANGE_LOSS } from './filterChanges';
import type { FilterChangeStage } from './filterChanges';
import { sampling } from '../../../testing/samples';

const FILTERS = ['', 'nd4', 'nd8', 'nd16'];
const loss = fc.double({ min: 0, max: 6, noNaN: true });
const stage = fc.record({
  reachable: fc.boolean(),
  loss: fc
    .array(fc.option(loss, { nil: undefined, freq: 5 }), {
      minLength: FILTERS.length,
      maxLength: FILTERS.length,
    })
    .map(
      (row) =>
        new Map(
          row.flatMap((value, at): [string, number][] =>
            value === undefined ? [] : [[FILTERS[at]!, value]],
          ),
        ),
    ),
});

/** Every row of filters there is. */
function* rows(stages: readonly FilterChangeStage[]): Generator<string[]> {
  if (stages.length === 0) {
    yield [];
    return;
  }
  for (const rest of rows(stages.slice(0, -1)))
    for (const filter of stages.at(-1)!.loss.keys()) {
      const before = rest.at(-1);
      if (before === undefined || before === filter || stages.at(-1)!.reachable) yield [...rest, filter];
    }
}

const lossOf = (stages: readonly FilterChangeStage[], row: readonly string[]): number =>
  row.reduce((sum, filter, at) => sum + stages[at]!.loss.get(filter)!, 0);

describe('filter changes of a day', () => {
  it('equal an exhaustive search on 300 random days, for every number of changes', () => {
    fc.assert(
      fc.property(fc.array(stage, { minLength: 1, maxLength: 5 }), (stages) => {
        const all = [...rows(stages)];
        const plan = planFilterChanges(stages);
        if (all.length === 0) {
          expect(plan).toBeNull();
          return;
        }
        const costs = all.map((row) => lossOf(stages, row) + FILTER_CHANGE_LOSS * changesIn(row));
        expect(plan!.chosen.loss + FILTER_CHANGE_LOSS * plan!.chosen.changes).toBeCloseTo(
          Math.min(...costs),
          9,
        );
        for (const price of plan!.prices) {
          const upTo = all.filter((row) => changesIn(row) <= price.changes);
          expect(price.loss).toBeCloseTo(Math.min(...upTo.map((row) => lossOf(stages, row))), 9);
          expect(changesIn(price.filters)).toBe(price.changes);
        }
      }),
      sampling(300, 6),
    );
  });

  it('keeps one filter over a stage that cannot be reached', () => {
    const dark = new Map([
      ['nd8', 0],
      ['', 3],
    ]);
    const bright = new Map([
      ['nd8', 4],
      ['', 0],
    ]);
    const stages = [dark, bright].map((own, at) => ({ reachable: at === 0, loss: own }));
    expect(planFilterChanges(stages)!.chosen).toMatchObject({ changes: 0, loss: 3 });
    expect(planFilterChanges([stages[0]!, { reachable: true, loss: bright }])!.chosen).toMatchObject({
      changes: 1,
      loss: 0,
      filters: ['nd8', ''],
    });
  });
});

describe('presets of a camera', () => {
  const matrix = fc
    .tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }))
    .chain(([shots, setups]) =>
      fc.array(
        fc.array(
          fc.oneof(
            { weight: 4, arbitrary: fc.double({ min: 0, max: 2, noNaN: true }) },
            fc.constant(Infinity),
          ),
          {
            minLength: setups,
            maxLength: setups,
          },
        ),
        { minLength: shots, maxLength: shots },
      ),
    );

  it('equal an exhaustive search on 300 random days', () => {
    fc.assert(
      fc.property(matrix, fc.integer({ min: 1, max: 4 }), (extra, slots) => {
        const setups = extra[0]!.length;
        let least: PresetChoice | null = null;
        const pick = (kept: number[], from: number): void => {
          if (kept.length > 0) {
            const choice = servedBy(extra, kept, 0.25, true);
            if (choice && (least === null || better(choice, least))) least = choice;
          }
          if (kept.length < slots) for (let at = from; at < setups; at += 1) pick([...kept, at], at + 1);
        };
        pick([], 0);
        const found = choosePresets(extra, slots);
        const figures = (choice: PresetChoice | null): unknown =>
          choice && [choice.within, choice.kept.length, choice.extra.reduce((a, b) => a + b, 0).toFixed(9)];
        expect(figures(found)).toEqual(figures(least));
      }),
      sampling(300, 7),
    );
  });

  it('come close to the exact choice where there are too many to try all', () => {
    const extra = Array.from({ length: 20 }, (_, shot) =>
      Array.from({ length: 20 }, (_, setup) =>
        Math.floor(shot / 5) === Math.floor(setup / 5) ? 0.01 * Math.abs(shot - setup) : 2,
      ),
    );
    const found = choosePresets(extra, 5)!;
    expect(found).toMatchObject({ within: true, exact: false });
    expect(found.kept).toHaveLength(4);
  });

  it('names nothing where a shot can be served by none', () => {
    expect(
      choosePresets(
        [
          [0, Infinity],
          [Infinity, 0],
        ],
        1,
      ),
    ).toBeNull();
  });
});
