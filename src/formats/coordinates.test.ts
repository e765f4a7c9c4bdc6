import { describe, expect, it } from 'vitest';
import { readCoordinates } from './coordinates';
import { gazetteerOf } from './gazetteer';

describe('coordinates', () => {
  it('read in any common writing', () => {
    for (const text of [
      '46.62, 12.30',
      '46.62 12.30',
      '46.62;12.30',
      '46.62/12.3',
      '46,62; 12,30',
      '46,62 12,30',
      '46.62N 12.30E',
      'N46.62 E12.30',
      '12.30 E, 46.62 N',
      `46°37'12"N 12°18'00"E`,
      '46° 37′ 12″ N, 12° 18′ E',
      'N 46 37.2 E 12 18',
      '46 37 12, 12 18 0',
      '+46.62, +12.30',
      'geo:46.62,12.30;u=20',
      '  46.6200°, 12.3000°  ',
    ]) {
      const read = readCoordinates(text);
      if (!read.ok) expect.fail(`${text}: ${read.why}`);
      expect(read.lat, text).toBeCloseTo(46.62, 6);
      expect(read.lon, text).toBeCloseTo(12.3, 6);
    }
  });

  it('know south and west, by sign or by letter', () => {
    for (const text of [
      '-33.5, -70.25',
      '33.5 S 70.25 W',
      `33°30'S 70°15'O`,
      '−33.5 −70.25',
      'S33 30 W70 15',
    ]) {
      const read = readCoordinates(text);
      expect(read, text).toMatchObject({ ok: true, lat: -33.5, lon: -70.25 });
    }
  });

  it('refuse what is none, and say why', () => {
    const why = (text: string): string => {
      const read = readCoordinates(text);
      return read.ok ? `read as ${read.lat}, ${read.lon}` : read.why;
    };
    expect(why('91, 12')).toMatch(/latitude 91/);
    expect(why('45, 181')).toMatch(/longitude 181/);
    expect(why('46 61 0 N 12 0 0 E')).toMatch(/below 60/);
    expect(why('46.62 N 12.3 N')).toMatch(/one of E or W/);
    expect(why('-46.62 S 12.3 E')).toMatch(/no sign beside a letter/);
    for (const text of ['', '46.62', 'the gorge', '1 2 3', '46.62, 12.3, 5'])
      expect(why(text)).toMatch(/expected two/);
  });
});

describe('the gazetteer', () => {
  const gazetteer = gazetteerOf({
    kind: 'lynxeye/gazetteer',
    version: 1,
    source: 'test',
    credit: 'none',
    places: [
      ['Grand Otterby', 'SE', 59, 18],
      ['Otterby', 'SE', 60, 17],
      ['Ötterbyn', 'FI', 61, 25],
      ['Fjärdholm', 'NO', -10, 179.9],
    ],
  });

  it('finds by name, beginning or word, whatever the accents and case', () => {
    expect(gazetteer.find('otterby').map(({ name }) => name)).toEqual([
      'Otterby',
      'Ötterbyn',
      'Grand Otterby',
    ]);
    expect(gazetteer.find('FJARD')).toHaveLength(1);
    expect(gazetteer.find('o')).toEqual([]);
    expect(gazetteer.find('tarnholt gorge')[0]).toMatchObject({ lat: 46.62, lon: 12.3 });
  });

  it('knows the nearest, across the date line too', () => {
    expect(gazetteer.nearest({ lat: 60.2, lon: 17.1 })?.name).toBe('Otterby');
    expect(gazetteer.nearest({ lat: -10, lon: -179.9 })?.name).toBe('Fjärdholm');
  });
});
