import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filterPlanOf, errTowards, lanesOf } from './filterPlan';
import type { LightSample } from './filterPlan';
import type { FilterSetting } from './kit';
import { measuredStops } from './measure';
import { glareLeftAt, polarizerView, skyDarkeningStops } from './polarizer';

const nd = (stops: number): FilterSetting => ({ ids: [`nd${2 ** stops}`], stops, cast: 0, glare: 0 });
const FILTERS = [{ ids: [], stops: 0, cast: 0, glare: 0 }, nd(2), nd(3), nd(4), nd(5), nd(6)];
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

describe('the filter plan in light that changes', () => {
  const MINUTES = 5 * MINUTE;

  it('tells the least room of each stretch, at either end', () => {
    const plan = filterPlanOf(
      samples([
        [11, 12],
        [10.7, 12.5],
        [15, 15.5],
      ]),
      FILTERS,
      { evMin: 6.6, evMax: 9 },
    );
    expect(plan.map(({ filter: { stops }, fromMs, toMs }) => [stops, fromMs, toMs])).toEqual([
      [4, 0, 2 * MINUTES],
      [6, 2 * MINUTES, 2 * MINUTES],
    ]);
    // 9 + 4 over 12.5; 10.7 over 6.6 + 4: not those of the sample before, nor of the one after.
    expect(plan[0]!.marginBrightStops).toBeCloseTo(0.5, 9);
    expect(plan[0]!.marginDarkStops).toBeCloseTo(0.1, 9);
    expect(plan[1]!.marginBrightStops).toBeCloseTo(-0.5, 9);
    expect(plan[1]!.marginDarkStops).toBeCloseTo(2.4, 9);
  });

  it('where none holds takes the least miss, a stop over counting for one and a half under', () => {
    // With 4 stops 1.0 under; with 3 stops 0.8 over, which counts 1.2; with 5 stops 2.0 under.
    const [only] = filterPlanOf(samples([[9.6, 12.4]]), [nd(3), nd(4), nd(5)], { evMin: 6.6, evMax: 8.6 });
    expect(only!.filter.stops).toBe(4);
    // A little brighter, and over weighs more: 0.3 over is 0.45, with the dark end then 0.5 under.
    const [other] = filterPlanOf(samples([[9.5, 12.9]]), [nd(2), nd(4)], { evMin: 6, evMax: 8.6 });
    expect(other!.filter.stops).toBe(4);
    expect(other!.marginBrightStops).toBeCloseTo(-0.3, 9);
    expect(other!.marginDarkStops).toBeCloseTo(-0.5, 9);
  });

  it('changes between filters that miss only where another misses clearly less', () => {
    const bare = { evMin: 6.6, evMax: 7.1 };
    const wide = (ev: number): readonly [number, number] => [ev, ev + 2];
    // Each is out of any window: the first filter stays until the other would miss by a quarter of a stop less.
    const plan = filterPlanOf(samples([wide(9), wide(9.05), wide(9.1), wide(12)]), FILTERS, bare);
    expect(plan.length).toBe(2);
    expect(plan[0]!.toMs).toBe(3 * MINUTES);
    expect(plan[1]!.filter.stops).toBeGreaterThan(plan[0]!.filter.stops);
  });

  it('ends a stretch of misses as soon as a filter holds again', () => {
    const plan = filterPlanOf(
      samples([
        [9, 15],
        [9.2, 15.1],
        [11, 12],
      ]),
      FILTERS,
      BARE,
    );
    expect(plan.map(({ fromMs }) => fromMs)).toEqual([0, 2 * MINUTES]);
    expect(plan[1]!.filter.stops).toBe(4);
  });

  it('of filters that hold as long takes the roomiest, or the one at hand', () => {
    const day = samples([
      [11.2, 11.4],
      [11.3, 11.5],
    ]);
    // With 3 stops 0.1 is left at the bright end; with 4 stops 0.6 at the dark end.
    expect(filterPlanOf(day, FILTERS, BARE).map(({ filter }) => filter.stops)).toEqual([4]);
    expect(filterPlanOf(day, FILTERS, BARE, nd(3)).map(({ filter }) => filter.stops)).toEqual([3]);
    // Another of the same stops is not the one at hand, nor one of the same name at other stops.
    const twin = { ids: ['other'], stops: 3, cast: 0, glare: 0 };
    expect(filterPlanOf(day, FILTERS, BARE, twin)[0]!.filter.stops).toBe(4);
    const variable = { ...nd(3), ids: nd(4).ids };
    expect(filterPlanOf(day, FILTERS, BARE, variable)[0]!.filter.stops).toBe(4);
    // It does not win where it holds less long.
    const dusk = samples([
      [11.2, 11.4],
      [11.3, 12.5],
    ]);
    expect(filterPlanOf(dusk, FILTERS, BARE, nd(3))[0]!.filter.stops).toBe(4);
  });

  it('bears a twentieth of a stop outside, and no more', () => {
    const held = (over: number): number =>
      filterPlanOf(samples([[11, 12.6 + over]]), [nd(4)], BARE)[0]!.marginBrightStops;
    expect(held(0.04)).toBeCloseTo(-0.04, 9);
    const lanes = (over: number): number =>
      lanesOf(samples([[11, 12.6 + over]]), [nd(4)], BARE)[0]!.fits.length;
    expect([lanes(0.04), lanes(0.06)]).toEqual([1, 0]);
  });

  it('gives a variable filter one lane, wherever any of its settings holds', () => {
    const variable = [2, 3, 4, 5].map((stops) => ({ ids: ['variable'], stops, cast: 0, glare: 0 }));
    const day = samples([
      [9, 10],
      [11, 12],
      [20, 21],
      [10, 11],
    ]);
    const [lane, ...others] = lanesOf(day, variable, BARE);
    expect(others).toEqual([]);
    expect(lane!.stops).toEqual([2, 3, 4, 5]);
    expect(lane!.fits).toEqual([
      { fromMs: 0, toMs: 2 * MINUTES },
      { fromMs: 3 * MINUTES, toMs: 3 * MINUTES },
    ]);
  });

  it('errs to neither side by less than half a stop', () => {
    expect(errTowards({ marginBrightStops: 0.49, marginDarkStops: 0 })).toBe('either');
    expect(errTowards({ marginBrightStops: 0.5, marginDarkStops: 0 })).toBe('lighter');
    expect(errTowards({ marginBrightStops: 0, marginDarkStops: 0.5 })).toBe('darker');
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

  it('tells the sky over the frame from its weakest to its strongest place', () => {
    const low = { altitudeDeg: 0, apparentAltitudeDeg: 0, azimuthDeg: 180 };
    // The frame reaches from 60° to 120° of the sun: strongest where it stands at right angles, weakest at its edges.
    const { sky } = polarizerView(
      low,
      { ...aim, headingDeg: 90, horizontalDeg: 60, verticalDeg: 2.2 },
      1,
      false,
    );
    expect(sky!.angleToSunDeg).toBeCloseTo(90, 0);
    expect(sky!.mostStops).toBeCloseTo(skyDarkeningStops(90, 1), 2);
    expect(sky!.leastStops).toBeCloseTo(skyDarkeningStops(60, 1), 2);
    // To one side of the sun it is the near edge that darkens least and the far one that darkens most.
    const beside = polarizerView(
      low,
      { ...aim, headingDeg: 140, horizontalDeg: 40, verticalDeg: 2.2 },
      1,
      false,
    );
    expect(beside.sky!.leastStops).toBeCloseTo(skyDarkeningStops(20, 1), 2);
    expect(beside.sky!.middleStops).toBeCloseTo(skyDarkeningStops(40, 1), 2);
    expect(beside.sky!.mostStops).toBeCloseTo(skyDarkeningStops(60, 1), 2);
  });

  it('sees the glare where the frame reaches it best, and none above the water', () => {
    const wide = { ...aim, headingDeg: 0, pitchDeg: 20, verticalDeg: 60 };
    // From 5° to 50° down: the best place, 37°, is among them.
    expect(polarizerView(sun, wide, 0.2, true).glareLeft).toBeLessThan(0.01);
    const shallow = polarizerView(sun, { ...wide, pitchDeg: 0, verticalDeg: 30 }, 0.2, true);
    expect(shallow.glareLeft).toBeCloseTo(glareLeftAt(15), 3);
    expect(polarizerView(sun, { ...wide, pitchDeg: -30, verticalDeg: 40 }, 0.2, true).glareLeft).toBeNull();
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
