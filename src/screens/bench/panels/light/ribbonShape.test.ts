import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daySpansOf } from '@/core/light/sun/day';
import { makeDemo } from '../../../../../demo/makeDemo';
import { briefOf } from '@/core/brief/brief';
import { solve } from '@/core/answer/solve';
import { dayAt } from '@/formats/clock';
import { bandPath } from '../../../ui/bandPath';
import { holdingWindow, labelRoom, shownSpan } from './ribbonShape';

const HOUR = 3_600_000;
const TARNHOLT = { lat: 46.62, lon: 12.3 };
const noon = Date.parse('2026-10-03T12:00:00+02:00');

describe('the ribbon', () => {
  it('shows the light of the day and the shot whole, wherever the shot is moved', () => {
    const day = dayAt(noon, 'Europe/Rome');
    const spans = daySpansOf(TARNHOLT, undefined, day);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 23 * 60 }), fc.integer({ min: 0, max: 60 }), (start, lasts) => {
        const shot = { fromMs: day.fromMs + start * 60_000, toMs: day.fromMs + (start + lasts) * 60_000 };
        const shown = shownSpan(day, spans, shot);
        for (const span of [shot, ...spans.sunUp, ...spans.golden]) {
          expect(shown.fromMs).toBeLessThanOrEqual(span.fromMs);
          expect(shown.toMs).toBeGreaterThanOrEqual(span.toMs);
        }
      }),
    );
    const night = shownSpan(
      day,
      { sunUp: [], golden: [], blue: [], reached: null },
      { fromMs: noon, toMs: noon },
    );
    expect(night).toEqual({ fromMs: noon - HOUR, toMs: noon + HOUR });
  });

  it('draws a band along its top and back along its bottom, and nothing of nothing', () => {
    expect(bandPath([])).toBe('');
    expect(
      bandPath([
        { x: 0, low: 10, high: 4 },
        { x: 5, low: 12, high: 6 },
      ]),
    ).toBe('M0,4L5,6L5,12L0,10Z');
  });

  it('leaves room for its longest lane, within bounds', () => {
    expect(labelRoom(['none'])).toBe(52);
    expect(labelRoom(['a'.repeat(80)])).toBe(136);
    expect(labelRoom(['polarizer 1.5'])).toBeGreaterThan(labelRoom(['none']));
  });

  it('takes the answer’s own window, without its filter and with its guard', () => {
    const shot = makeDemo().shots.find(({ shot: { name } }) => name === 'Sun gate')!.shot;
    const outcome = solve(briefOf(shot).brief);
    if (!outcome.solved) throw new Error('the demo shot has no answer');
    const { exposure, settings, candidate } = outcome.solution;
    const bare = holdingWindow(outcome.solution);
    expect(bare.evMin + settings.filter.stops).toBeCloseTo(exposure.windowEvMin, 9);
    expect(bare.evMax + settings.filter.stops).toBeCloseTo(
      exposure.windowEvMax + candidate.colour.sensor.guardStops,
      9,
    );
  });
});
