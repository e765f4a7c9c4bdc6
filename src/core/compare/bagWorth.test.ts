import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { mirroredLeft, paneAt } from '../filters/mirrored';
import { seamCleanFromM, seamDoublesDeg, seamIn } from '../optics/sphere';
import type { Shot } from '../records/shot';
import { bagText } from '@/words/filterChoiceText';
import { warningText } from '@/words/warningText';
import { bagWords } from './bagWorth';
import type { BagWord } from './bagWorth';
import { filterTries } from './filterChoice';

const BAG: NonNullable<Shot['filters']> = [
  { id: 'nd8', kind: 'nd', stops: 3 },
  { id: 'pol', kind: 'polarizer', stops: 1.5 },
  { id: 'var', kind: 'variable', stopsMin: 2, stopsMax: 5 },
];
const shotOf = (more: Partial<Shot>): Shot => ({
  kind: 'lynxeye/shot',
  version: 3,
  filters: BAG,
  light: { kind: 'range', evMin: 12, evMax: 14 },
  ...more,
});

function wordsOf(shot: Shot): BagWord[] {
  const { brief } = briefOf(shot);
  const outcome = solve(brief);
  if (!outcome.solved) throw new Error('no answer');
  const { space, candidate, loss } = outcome.solution;
  return bagWords(brief, candidate.mode, filterTries(space, candidate, loss));
}
const polarizer = (shot: Shot): Extract<BagWord, { what: 'polarizer' }> => {
  const found = wordsOf(shot).find(({ what }) => what === 'polarizer');
  if (found?.what !== 'polarizer') throw new Error('not spoken of');
  return found;
};

describe('a pane before the lens', () => {
  it('mirrors a twelfth square on, and what a polarizer leaves of it is all there and nothing at 57°', () => {
    // ((n − 1) / (n + 1))² = 0.0426 a face.
    expect(paneAt(0).mirroredShare).toBeCloseTo(0.0426 * (1 + (1 - 0.0426) ** 2), 3);
    expect(paneAt(0).left).toBeCloseTo(1, 3);
    expect(paneAt(0).bestDeg).toBeCloseTo(56.66, 2);
    expect(paneAt(paneAt(0).bestDeg).left).toBeCloseTo(0, 9);
    expect(paneAt(56)).toMatchObject({ worth: true });
    expect(paneAt(10)).toMatchObject({ worth: false });
    // Water is best at 53°.
    expect(mirroredLeft(53.1, 1.333)).toBeLessThan(0.001);
  });

  it('makes a polarizer worth it at 56° and not square on, and says so', () => {
    const at = (glassDeg: number | null): Shot => shotOf({ mount: { kind: 'hand', glassDeg } });
    expect(polarizer(at(56))).toMatchObject({ worth: true, pane: { worth: true } });
    expect(bagText(polarizer(at(56)), BAG)).toMatch(/at 56° it leaves 0 % of the reflection\./);
    expect(polarizer(at(0))).toMatchObject({ worth: false });
    expect(bagText(polarizer(at(0)), BAG)).toMatch(/nearly all at 57°.*nothing to clear/);
    expect(polarizer(at(null)).pane).toBeNull();
  });

  it('is a windscreen for a camera in a vehicle that looks out, and none for one that looks in', () => {
    const inside = (place: 'outwards' | 'inwards'): ReturnType<typeof briefOf>['brief'] =>
      briefOf(shotOf({ mount: { kind: 'vehicleInside', activity: 'driving', place } })).brief;
    expect(inside('outwards').mount.glassDeg).toBe(60);
    expect(inside('inwards').mount.glassDeg).toBeNull();
    const outcome = solve(inside('outwards'));
    const warning = outcome.solved && outcome.solution.warnings.find(({ code }) => code === 'reflection');
    expect(warning && warningText(warning)).toMatch(/60°.*polarizer in the bag would leave 2 %/);
  });
});

describe('the bag', () => {
  it('has a word on its polarizer and its variable filter always, worn or not, with what each costs', () => {
    const words = wordsOf(shotOf({}));
    expect(words.map(({ id }) => id)).toEqual(['pol', 'var']);
    for (const word of words) {
      expect(word.worn ? word.lossOver : 1).toBeGreaterThanOrEqual(-1e-9);
      expect(bagText(word, BAG).length).toBeGreaterThan(60);
    }
    expect(bagText(polarizer(shotOf({})), BAG)).toMatch(/tell the light by the sun/);
    expect(polarizer(shotOf({ pins: { filter: { ids: ['pol'] } } }))).toMatchObject({ worn: true });
  });

  it('judges a polarizer by the sky where sun and camera are told', () => {
    const sun = {
      kind: 'sun' as const,
      lat: 46.4,
      lon: 8.2,
      from: '2026-06-20T07:00:00Z',
      to: '2026-06-20T08:00:00Z',
      sky: 'clear' as const,
    };
    // The morning sun stands in the east: north is square to it.
    const north = polarizer(shotOf({ light: { ...sun, headingsDeg: [0] }, mount: { kind: 'tripod' } }));
    const east = polarizer(shotOf({ light: { ...sun, headingsDeg: [95] }, mount: { kind: 'tripod' } }));
    expect(north.view?.sky?.mostStops ?? 0).toBeGreaterThan(east.view?.sky?.middleStops ?? 9);
    expect(east.worth).toBe(false);
  });
});

describe('the seam of a sphere', () => {
  it('stands at either side, and what is near doubles there as the lenses stand apart', () => {
    expect(seamIn(0, 90)).toEqual({ offDeg: 90, inFrame: false });
    expect(seamIn(180, 120)).toEqual({ offDeg: 90, inFrame: false });
    expect(seamIn(-60, 90)).toEqual({ offDeg: 30, inFrame: true });
    expect(seamIn(90, 60)).toEqual({ offDeg: 0, inFrame: true });
    expect(seamDoublesDeg(1)).toBeCloseTo(1.718, 3);
    expect(seamDoublesDeg(seamCleanFromM(0.05))).toBeCloseTo(0.05, 9);
  });

  it('is warned of where the cut looks along it, with the distance from which it is clean', () => {
    const seam = (cutDeg: number): string | false => {
      const shot = shotOf({ camera: { archetype: 'sphere' }, mount: { kind: 'pole', cutDeg } });
      const outcome = solve(briefOf(shot).brief);
      const found = outcome.solved && outcome.solution.warnings.find(({ code }) => code === 'seam');
      return found ? warningText(found) : false;
    };
    expect(seam(0)).toBe(false);
    expect(seam(180)).toBe(false);
    expect(seam(90)).toMatch(/0° off its middle.*doubles by \d+ px.*keep things \d/);
  });
});
