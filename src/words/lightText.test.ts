import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import type { Light, Shot } from '@/core/records/shot';
import { answerShot } from './answer';
import { marginText, polarizerText } from './filterChoiceText';
import {
  clockHoldsText,
  clockText,
  headingText,
  lightText,
  placeText,
  spanText,
  zoneText,
} from './lightText';

const at = (iso: string): number => Date.parse(iso);
const demo = (name: string): Shot => makeDemo().shots.find(({ shot }) => shot.name === name)!.shot;

describe('light in words', () => {
  it('tells clocks, days, places and headings', () => {
    expect(clockText(at('2026-10-03T10:39:40Z'), 'Europe/Rome')).toBe('12:40');
    expect(clockText(at('2026-10-03T10:40:00Z'), undefined)).toBe('10:40 UTC');
    expect(spanText(at('2026-10-03T21:50:00Z'), at('2026-10-03T22:10:00Z'), 'Europe/Rome')).toBe(
      'Sat 3 Oct 2026, 23:50 to Sun 4 Oct 2026, 00:10',
    );
    expect(zoneText('Europe/Rome', at('2026-12-01T00:00:00Z'))).toBe('Europe/Rome, GMT+1');
    expect(placeText({ lat: -0.22, lon: -78.5 })).toBe('0.2200° S, 78.5000° W');
    expect([0, 158, 359].map(headingText)).toEqual(['N (0°)', 'SSE (158°)', 'N (359°)']);
  });

  it('names each way of telling the light', () => {
    const camera = { fNumber: 2.8, shutterSeconds: 0.01, iso: 100, filterStops: 0 };
    const ways: [Light, string][] = [
      [{ kind: 'scene', from: 'litRoom', to: 'litRoom' }, 'lit room'],
      [{ kind: 'range', evMin: 1, evMax: 2 }, 'a range in EV'],
      [{ kind: 'lux', luxMin: 1, luxMax: 2 }, 'a meter in lux'],
      [{ kind: 'reading', ...camera, darkerStops: 0, brighterStops: 0 }, 'a camera reading'],
      [
        { kind: 'readings', readings: [{ lux: 5 }, { lux: 6 }], darkerStops: 0, brighterStops: 0 },
        '2 readings',
      ],
    ];
    for (const [light, text] of ways) expect(lightText(light)).toBe(text);
    expect(lightText(demo('Sun gate').light!)).toBe('sun at Tarnholt Gorge, Sat 3 Oct 2026, 12:40–13:10');
  });

  it('says from when to when a setting holds, or that it never did', () => {
    const clock = { fits: true, fromMs: at('2026-10-03T09:00:00Z'), toMs: null };
    expect(clockHoldsText(clock, 'Europe/Rome')).toMatch(
      /fits this setting from 11:00 to six hours later or more/,
    );
    expect(clockHoldsText({ ...clock, fits: false }, 'Europe/Rome')).toMatch(/sticks out already/);
  });

  it('warns of the sun in the frame with time and side, and the answer’s clock holds round the plan', () => {
    const answer = answerShot(demo('Put-in talk'));
    if (answer.kind !== 'lynxeye/answer') throw new Error('the demo shot has no answer');
    const flare = answer.warnings.find(({ code }) => code === 'flare');
    expect(flare).toMatchObject({ severity: 'caution' });
    expect(flare?.text).toMatch(
      /^Sun in the frame for 100 % of the run, 08:50 to 08:53, to the left and 15° above/,
    );
    const { clock } = answer.holds;
    expect(at(clock!.from!)).toBeLessThanOrEqual(at('2026-10-03T08:50:00+02:00'));
    expect(at(clock!.to!)).toBeGreaterThanOrEqual(at('2026-10-03T08:53:00+02:00'));
    const away = { ...demo('Put-in talk') };
    const turned = answerShot({ ...away, light: { ...away.light, headingsDeg: [300] } as Light });
    expect('warnings' in turned && turned.warnings.some(({ code }) => code === 'flare')).toBe(false);
  });

  it('warns when a filter opens the camera’s seal', () => {
    const shot = demo('Whip pair');
    const opened = {
      ...shot,
      filters: shot.filters!.map((filter) => ({ ...filter, opensSeal: true })),
    };
    const answer = answerShot(opened);
    const said = 'warnings' in answer ? answer.warnings.map(({ text }) => text) : [];
    expect(said.some((text) => text.includes('no longer sealed'))).toBe(true);
  });

  it('tells margins with the way to err, and what a polarizer is worth', () => {
    const stretch = { filter: { ids: [], stops: 0, cast: 0, glare: 0 }, fromMs: 0, toMs: 1 };
    expect(marginText({ ...stretch, marginBrightStops: 2, marginDarkStops: -0.3 })).toBe(
      '2.0 to spare at the bright end, 0.3 under at the dark end; err to the lighter filter',
    );
    const sky = { leastStops: 0, middleStops: 0.2, mostStops: 1, angleToSunDeg: 20 };
    expect(polarizerText({ sky, glareLeft: null, verdict: 'uneven' })).toMatch(/narrow the view first/);
    expect(polarizerText({ sky: null, glareLeft: 0.1, verdict: 'water' })).toMatch(/10 % of it left/);
  });
});
