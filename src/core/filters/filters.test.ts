import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filterPlanOf, errTowards, lanesOf } from './filterPlan';
import type { LightSample } from './filterPlan';
import type { FilterSetting } from './kit';
import { measuredStops } from './measure';
import { glareLeftAt, polarizerView, skyDarkeningStops } from './polarizer';

const nd = (stops: number): FilterSetting => ({ ids: [`nd${2 ** stops}`], stops, cast: 0 });
const FILTERS = [{ ids: [], stops: 0, cast: 0 }, nd(2), nd(3), nd(4), nd(5), nd(6)];
/** 1/50 s at f/2.8, ISO 100 to 400. */
const BARE = { evMin: 6.6, evMax: 8.6 };
const MINUTE = 60_000;

const samples = (evs: readonly (readonly [number, number])[]): LightSample[] =>
  evs.map(([evMin, evMax], at) => ({ atMs: at * 5 * MINUTE, evMin, evMax }));

const anyDay = fc
  .array(
    fc.tuple(fc.double({ min: 4, max: 15, noNaN: true }), fc.double({ min: 0, max: 1.5, noNaN: true })),
    {
      minLength: 1,
      maxLength: 60,
    },
  )
  .map((evs) => samples(evs.map(([ev, width]) => [ev, ev + width])));

describe('the filter plan', () => {
  it('covers the whole time without gaps, each stretch with a filter of the kit', () => {
    fc.assert(
      fc.property(anyDay, (day) => {
        const plan = filterPlanOf(day, FILTERS, BARE);
        expect(plan[0]!.fromMs).toBe(day[0]!.atMs);
        plan.slice(1).forEach((stretch, at) => expect(stretch.fromMs).toBe(plan[at]!.toMs));
        expect(plan[plan.length - 1]!.toMs).toBe(day[day.length - 1]!.atMs);
        for (const { filter } of plan) expect(FILTERS).toContain(filter);
      }),
    );
  });

  it('changes no more often than any other plan that holds: checked against trying all', () => {
    // Fewest stretches by dynamic programming over every filter at every sample.
    const fewest = (day: LightSample[]): number => {
      const holds = (sample: LightSample, filter: FilterSetting): boolean =>
        sample.evMin - BARE.evMin - filter.stops >= -0.05 &&
        BARE.evMax + filter.stops - sample.evMax >= -0.05;
      let costs = FILTERS.map((filter) => (holds(day[0]!, filter) ? 1 : Infinity));
      for (const sample of day.slice(1)) {
        const least = Math.min(...costs);
        costs = FILTERS.map((filter, at) =>
          holds(sample, filter) ? Math.min(costs[at]!, least + 1) : Infinity,
        );
      }
      return Math.min(...costs);
    };
    fc.assert(
      fc.property(anyDay, (day) => {
        const best = fewest(day);
        if (best < Infinity) expect(filterPlanOf(day, FILTERS, BARE)).toHaveLength(best);
      }),
    );
  });

  it('says the margin, and errs towards the end with more room', () => {
    const [stretch] = filterPlanOf(samples([[11, 12]]), FILTERS, BARE);
    expect(stretch!.filter.stops).toBe(4);
    expect(stretch!.marginBrightStops).toBeCloseTo(0.6, 6);
    expect(stretch!.marginDarkStops).toBeCloseTo(0.4, 6);
    expect(errTowards(stretch!)).toBe('either');
    expect(errTowards({ marginBrightStops: 1.5, marginDarkStops: 0.1 })).toBe('lighter');
    expect(errTowards({ marginBrightStops: -0.5, marginDarkStops: 1 })).toBe('darker');
  });

  it('lanes hold exactly where the window does', () => {
    const day = samples([
      [7, 8],
      [10, 11],
      [11, 12],
      [13, 14],
    ]);
    const lanes = lanesOf(day, FILTERS, BARE);
    expect(lanes.find(({ stops }) => stops[0] === 3)!.fits).toEqual([
      { fromMs: 5 * MINUTE, toMs: 10 * MINUTE },
    ]);
    expect(lanes.find(({ stops }) => stops[0] === 4)!.near).toEqual([
      { fromMs: 5 * MINUTE, toMs: 15 * MINUTE },
    ]);
    expect(lanes.every(({ fits, near }) => near.length >= fits.length)).toBe(true);
  });
});

describe('the polarizer', () => {
  const sun = { altitudeDeg: 30, apparentAltitudeDeg: 30, azimuthDeg: 180 };
  const aim = { headingDeg: 90, pitchDeg: 0, horizontalDeg: 40, verticalDeg: 25 };

  it('works at right angles to the sun, evenly on a narrow view, unevenly on a wide one, not under cloud', () => {
    expect(skyDarkeningStops(90, 1)).toBeGreaterThan(2);
    expect(skyDarkeningStops(10, 1)).toBeLessThan(0.1);
    expect(skyDarkeningStops(90, 0)).toBeCloseTo(0, 9);
    expect(polarizerView(sun, aim, 1, false).verdict).toBe('sky');
    expect(polarizerView(sun, { ...aim, headingDeg: 150, horizontalDeg: 120 }, 1, false).verdict).toBe(
      'uneven',
    );
    expect(polarizerView(sun, aim, 0, false).verdict).toBe('notWorth');
    expect(polarizerView(sun, { ...aim, headingDeg: 180 }, 1, false).verdict).toBe('notWorth');
    // Into the sun on a wide view the edges darken and the middle does not.
    expect(polarizerView(sun, { ...aim, headingDeg: 175, horizontalDeg: 100 }, 1, false).verdict).toBe(
      'uneven',
    );
  });

  it('takes the glare off water near 37° below the horizon, where none is left', () => {
    expect(glareLeftAt(36.9)).toBeLessThan(0.001);
    expect(glareLeftAt(90 - 1e-3)).toBeCloseTo(1, 2);
    expect(glareLeftAt(1)).toBeGreaterThan(0.8);
    const down = { ...aim, headingDeg: 0, pitchDeg: 35 };
    expect(polarizerView(sun, down, 0.2, true)).toMatchObject({ verdict: 'water', sky: null });
    expect(polarizerView(sun, down, 0.2, false).glareLeft).toBeNull();
  });
});

describe('measuring a filter', () => {
  const wall = { fNumber: 2.8, shutterSeconds: 1 / 1600, iso: 100 };

  it('takes the stops between two readings, whichever dial the camera turned', () => {
    expect(measuredStops(wall, { ...wall, shutterSeconds: 1 / 100 }, 4)).toEqual({ stops: 4, odd: null });
    expect(measuredStops(wall, { ...wall, shutterSeconds: 1 / 200, iso: 250 }, 4).stops).toBeCloseTo(4.32, 2);
  });

  it('says when the two cannot be right', () => {
    expect(measuredStops(wall, { ...wall, shutterSeconds: 1 / 3200 }, 4)).toEqual({
      stops: 0,
      odd: 'brighter',
    });
    expect(measuredStops(wall, { ...wall, shutterSeconds: 1 / 1500 }, 4).odd).toBe('farFromLabel');
  });
});
