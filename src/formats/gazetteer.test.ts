import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold, GazetteerSchema, gazetteerOf, MADE_UP_PLACES } from './gazetteer';
import { sampling } from '../../testing/samples';

const small = gazetteerOf({
  kind: 'lynxeye/gazetteer',
  version: 1,
  source: 'made up',
  credit: 'nobody',
  places: [
    ['Zürich', 'CH', 47.37, 8.54],
    ['Zürichberg', 'CH', 47.38, 8.56],
    ['Bad Zurzach', 'CH', 47.59, 8.29],
    ['Alt-Zurlau', 'XX', 10, 10],
    ['Sørvær', 'NO', 70.6, 22],
    ['Łódź', 'PL', 51.77, 19.45],
    ['Gießen', 'DE', 50.58, 8.68],
    ['Suva', 'FJ', -18.14, 178.44],
    ['Apia', 'WS', -13.83, -171.77],
  ],
});
const names = (text: string, most?: number): string[] => small.find(text, most).map(({ name }) => name);

describe('places by name', () => {
  it('come whole first, then by their beginning, then by a word in them', () => {
    expect(names('zurich')).toEqual(['Zürich', 'Zürichberg']);
    expect(names('zur')).toEqual(['Zürich', 'Zürichberg', 'Bad Zurzach', 'Alt-Zurlau']);
    expect(names('zur', 2)).toEqual(['Zürich', 'Zürichberg']);
  });

  it('are found without accents and in any case, and with them', () => {
    for (const [text, name] of [
      ['ZÜRICH', 'Zürich'],
      ['sorvær', 'Sørvær'],
      ['lodz', 'Łódź'],
      ['Łódź', 'Łódź'],
      ['giessen', 'Gießen'],
      ['  apia ', 'Apia'],
    ] as const)
      expect(names(text), text).toContain(name);
  });

  it('want two letters at least', () => {
    expect(names('z')).toEqual([]);
    expect(names('   ')).toEqual([]);
    expect(names('nowhere at all')).toEqual([]);
  });

  it('include those of the made-up outing', () => {
    for (const { name } of MADE_UP_PLACES) expect(names(name)).toContain(name);
  });

  it('fold once and for all', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 20 }), (text) => {
        expect(fold(fold(text))).toBe(fold(text));
      }),
      sampling(300, 61),
    );
  });
});

describe('the place nearest to a point', () => {
  it('is found over the date line', () => {
    expect(small.nearest({ lat: -16, lon: -179 })?.name).toBe('Suva');
    expect(small.nearest({ lat: -14, lon: 179.9 })?.name).toBe('Suva');
    expect(small.nearest({ lat: -14, lon: -173 })?.name).toBe('Apia');
  });

  it('of a place itself is that place', () => {
    for (const place of MADE_UP_PLACES) expect(small.nearest(place)).toEqual(place);
  });
});

describe('the gazetteer that ships', () => {
  const file = GazetteerSchema.parse(
    JSON.parse(readFileSync(new URL('../../public/gazetteer.json', import.meta.url), 'utf8')),
  );
  const shipped = gazetteerOf(file);

  it('has places on the globe under names that can be found', () => {
    expect(file.places.length).toBeGreaterThan(5000);
    for (const [name, country, lat, lon] of file.places) {
      expect(Math.abs(lat), name).toBeLessThanOrEqual(90);
      expect(Math.abs(lon), name).toBeLessThanOrEqual(180);
      expect(country, name).toMatch(/^[A-Z]{2}$/);
    }
    for (const [name] of file.places.filter(
      (_, at) => at % 997 === 0 && fold(file.places[at]![0]).length > 1,
    ))
      expect(
        shipped.find(name, 500).map((one) => one.name),
        name,
      ).toContain(name);
  });

  it('says where it is from', () => {
    expect(shipped.credit.length).toBeGreaterThan(5);
  });
});
