import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import type { Pins } from '../records/settings';
import type { Shot } from '../records/shot';
import { yieldedIn } from '../search/candidate';
import { READY_SCHOOLS } from '../vocabulary/schools';
import type { SchoolId } from '../vocabulary/schools';
import { yieldedWishes } from './kept';
import type { YieldedWish } from './kept';
import { solve } from './solve';
import type { Solution } from './solve';

/** A gorge in full sun with the bag that is left over. */
const shotOf = (school: SchoolId, more: Partial<Shot> = {}): Shot => ({
  ...emptyShot('Ride'),
  look: { school },
  light: { kind: 'range', evMin: 13, evMax: 15 },
  filters: [],
  ...more,
});

function solved(shot: Shot): Solution {
  const outcome = solve(briefOf(shot).brief);
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
}
const yielded = ({ space, candidate, score }: Solution): YieldedWish[] =>
  yieldedWishes(space, candidate, score);

describe('wishes that yielded', () => {
  it('cost more to keep than to break, for every school and light', () => {
    let told = 0;
    for (const school of READY_SCHOOLS)
      for (const [evMin, evMax] of [
        [3, 6],
        [8, 13],
        [11, 15.5],
        [15, 16],
      ] as const) {
        const solution = solved(shotOf(school, { light: { kind: 'range', evMin, evMax } }));
        for (const { keepingCosts, whiteStops, darkStops } of yielded(solution)) {
          told += 1;
          if (keepingCosts !== null) expect(keepingCosts).toBeGreaterThanOrEqual(0);
          expect(whiteStops).toBeGreaterThanOrEqual(0);
          expect(darkStops).toBeGreaterThanOrEqual(0);
        }
      }
    expect(told).toBeGreaterThan(6);
  });

  it('are none for one that weighs and wishes nothing', () => {
    expect(yielded(solved(shotOf('weigh')))).toEqual([]);
  });

  it('stand again with the one filter that is named, and not with one a stop weaker', () => {
    const shot = shotOf('film');
    const wish = yielded(solved(shot)).find(({ filterStops }) => filterStops !== null);
    expect(wish).toBeDefined();
    const standsWith = (stops: number): boolean => {
      const { space, candidate } = solved({ ...shot, filters: [{ id: 'one', kind: 'nd', stops }] });
      return !yieldedIn(space, candidate).some((one) => one.wish === wish!.wish);
    };
    expect(standsWith(wish!.filterStops!)).toBe(true);
    expect(standsWith(wish!.filterStops! - 2)).toBe(false);
  });

  it('are not told of what the person pinned', () => {
    const free = yielded(solved(shotOf('film'))).map(({ wish }) => wish);
    expect(free).toContain('angle');
    const pins: Pins = { shutterSeconds: 1 / 1000 };
    const held = yielded(solved(shotOf('film', { pins }))).map(({ wish }) => wish);
    expect(held).not.toContain('angle');
  });

  it('name no filter where the person holds theirs', () => {
    const solution = solved(shotOf('film', { pins: { filter: { ids: [] } } }));
    for (const { filterStops } of yielded(solution)) expect(filterStops).toBeNull();
  });
});
