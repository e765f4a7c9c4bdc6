import { LONGEST_NAME } from '@/core/records/names';
import { describe, expect, it } from 'vitest';
import { RECORD_TABLES } from '@/core/records/kinds';
import { shotOfPart } from '@/core/records/secondAngles';
import { ShotSchema } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { recordCount, recordText, unnamedText } from './recordText';
import { copyName } from './newNames';
import { dayPartName, namedOf, namedPart, partName, shotName, tasksName } from './shotName';

const shot = (more: object): Shot => ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...more });
const pair = shot({ name: 'Whip', pair: { kind: 'whip', second: { mount: { kind: 'chest' } } } });
const angles = shot({ secondAngles: [{ name: 'Bow' }, {}] });

describe('names', () => {
  it('of shots and of their parts are the person’s own, else what they are', () => {
    expect([shotName(pair), shotName({}), shotName()]).toEqual(['Whip', 'Untitled shot', 'Untitled shot']);
    expect([0, 1, 2].map((at) => partName(angles, at))).toEqual(['Main', 'Bow', 'Angle 3']);
    expect([0, 1].map((at) => partName(pair, at))).toEqual(['First half', 'Second half']);
  });

  it('of parts by themselves stand under their whole, and no longer than a name may be', () => {
    expect(namedPart(pair, 0)).toEqual(shotOfPart(pair, 0));
    expect(namedPart(pair, 1)).toEqual({ ...shotOfPart(pair, 1), name: 'Whip, Second half' });
    expect(namedPart(angles, 1).name).toBe('Untitled shot, Bow');
    expect(namedOf(shot({ name: 'x'.repeat(LONGEST_NAME) }), 'wide')).toHaveLength(LONGEST_NAME);
  });

  it('of a day’s parts tell the part only where there are several', () => {
    expect(dayPartName({ title: { shot: 'Ride', part: null } })).toBe('Ride');
    expect(dayPartName({ title: { shot: null, part: { is: 'angle', number: 2, name: 'Bow' } } })).toBe(
      'Untitled shot, bow',
    );
    expect(dayPartName({ title: { shot: 'Ride', part: { is: 'main', number: 1, name: null } } })).toBe(
      'Ride, main',
    );
    expect([dayPartName(undefined), dayPartName(undefined, 'the day')]).toEqual(['', 'the day']);
    expect([tasksName({ name: 'Lunch' }), tasksName({ name: null })]).toEqual(['Lunch', 'Between two shots']);
  });

  it('of copies have room within the most letters, and never half of one', () => {
    expect(copyName('Rook', 40)).toBe('Rook, copy');
    expect(copyName('x'.repeat(40), 40)).toBe(`${'x'.repeat(34)}, copy`);
    expect(copyName(`${'x'.repeat(33)}🦉🦉🦉🦉`, 40)).toBe(`${'x'.repeat(33)}, copy`);
  });

  it('of records are found whether they are whole or not', () => {
    expect(recordText('shots', { shot: { name: 'Weir' } })).toBe('Weir');
    expect(recordText('kit', { thing: { profile: { name: 'Rook' } } })).toBe('Rook');
    for (const table of RECORD_TABLES) {
      for (const broken of [null, 7, {}, { name: ' ' }, { shot: 'no' }])
        expect(recordText(table, broken)).toBe(unnamedText(table));
      expect(recordCount(table, 1)).toMatch(/^1 \w/);
      expect(recordCount(table, 2)).toMatch(/^2 \w/);
      expect(recordCount(table, 2)).not.toBe(recordCount(table, 1).replace('1', '2'));
    }
  });
});
