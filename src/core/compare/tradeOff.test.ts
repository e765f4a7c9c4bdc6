import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { briefOf } from '../brief/brief';
import { shutterSetting } from '../loss/exposure';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { lightTradeOff, shutterTradeOff } from './tradeOff';

const SHOTS = makeDemo().shots.flatMap(({ shot }) => (shot.timeLapse ? [] : [shot]));
const solved = (name: string): Solution => {
  const outcome = solve(briefOf(SHOTS.find((shot) => shot.name === name)!).brief);
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};

describe('what each shutter would cost', () => {
  it.each(SHOTS.map(({ name }) => [name!]))('%s: no fixed shutter of the mode beats the answer', (name) => {
    const { space, candidate, score } = solved(name);
    const { places, marks } = shutterTradeOff(space, candidate);
    expect(places.length).toBeGreaterThan(5);
    for (const place of places) expect(place.score, `${1 / place.seconds}`).toBeGreaterThan(score - 1e-6);
    const seconds = places.map((place) => place.seconds);
    expect(seconds).toEqual([...seconds].sort((a, b) => a - b));
    expect(marks.some(({ what }) => what.code === 'angle')).toBe(true);
    // A filter mark stands where the best filter changes, and names both.
    const steps = marks.filter(({ what }) => what.code === 'filter');
    const changes = places.filter(
      (place, at) => at > 0 && places[at - 1]!.filter.stops !== place.filter.stops,
    );
    expect(steps).toHaveLength(changes.length);
  });

  it('the answer itself stands on the curve when its shutter is fixed', () => {
    const { space, candidate, score } = solved('Put-in talk');
    const place = shutterTradeOff(space, candidate).places.find(
      ({ seconds }) => Math.abs(seconds / candidate.shutter.longestSeconds - 1) < 1e-6,
    );
    expect(place?.score).toBeCloseTo(score, 9);
    expect(place?.filter.ids).toEqual(candidate.filter.ids);
  });

  it('under lamps the safe shutters are marked, and cost less flicker than their neighbours', () => {
    const { space, candidate } = solved('Hut evening');
    const { places, marks } = shutterTradeOff(space, candidate);
    const safe = marks.filter(({ what }) => what.code === 'flickerSafe').map(({ seconds }) => seconds);
    expect(safe.map((seconds) => Math.round(1 / seconds))).toEqual([25, 33, 50, 100]);
    const at = places.findIndex(({ seconds }) => Math.abs(seconds - 0.01) < 1e-9);
    expect(places[at]!.loss.flicker).toBeLessThan(places[at - 1]!.loss.flicker);
    expect(places[at]!.loss.flicker).toBeLessThan(places[at + 1]!.loss.flicker);
  });
});

describe('what each filter gives over the light', () => {
  it('each is best in a span of its own, darker ones in more light', () => {
    const solution = solved('Summit look-around');
    const held = { ...solution.candidate, shutter: shutterSetting(1 / 100, 1 / 100) };
    const { evs, filters } = lightTradeOff(solution.space, held);
    const nd = filters.filter(({ filter }) => filter.ids.every((id) => id.startsWith('nd')));
    expect(nd.length).toBeGreaterThan(4);
    for (const { windowEvMin, windowEvMax, loss } of nd)
      evs.forEach((ev, at) => {
        if (ev > windowEvMin + 2 && ev <= windowEvMax) expect(loss[at], `${ev}`).toBeLessThan(0.5);
        if (ev > windowEvMax + 2) expect(loss[at]).toBeGreaterThan(0.5);
      });
    const windows = nd.map(({ windowEvMax }) => windowEvMax);
    expect(windows).toEqual([...windows].sort((a, b) => a - b));
  });
});
