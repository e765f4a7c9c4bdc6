import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { differencesOf, WHOLE } from '@/core/merge/differences';
import { differenceText, fieldText } from './differenceText';
import * as messages from '@/language/words/difference';

const demo = makeDemo();
const told = (from: object, to: object): string[] => differencesOf(from, to).map(differenceText);

describe('differences of two copies', () => {
  it('are told by what a reader calls them, with both values', () => {
    const [record] = demo.shots;
    const { shot } = record!;
    expect(
      told(record!, { ...record!, shot: { ...shot, motion: { ...shot.motion, travelMps: 9.25 } } }),
    ).toEqual([`motion, speed of travel, m/s: ${shot.motion?.travelMps ?? 'none'} → 9.25`]);
    expect(told(record!, { ...record!, updatedAt: '', edits: { a: 1 } })).toEqual([]);
    const rough = { kind: 'helmet', ground: 'rough' };
    expect(told({ mount: rough }, { mount: { ...rough, ground: 'smooth' } })).toEqual([
      'mount, ground: rough → smooth',
    ]);
  });

  it('find the entry of a day by what it is, wherever it stands now', () => {
    const [outing] = demo.outings;
    const [day, ...others] = outing!.days;
    const [first, ...rest] = day!.entries;
    const moved = {
      ...outing!,
      days: [{ ...day!, entries: [...rest, { ...first!, at: '23:59' }] }, ...others],
    };
    expect(told(outing!, moved)).toEqual([`${day!.date}, 23:59, time: ${first!.at} → 23:59`]);
    const fewer = { ...outing!, days: [{ ...day!, entries: rest }, ...others] };
    expect(told(outing!, fewer)).toEqual([
      `${day!.date}, ${'name' in first! ? first.name : first!.at}: no longer`,
    ]);
    const turned = { ...outing!, days: [{ ...day!, entries: [...day!.entries].reverse() }, ...others] };
    expect(told(outing!, turned)).toHaveLength(1);
  });

  it('have a word for every key that a record can differ in', () => {
    const schema = JSON.parse(readFileSync('docs/schema/backup.schema.json', 'utf8')) as object;
    const named = messages.field as Readonly<Record<string, string>>;
    const unsaid = new Set([
      'kind',
      'version',
      'id',
      'createdAt',
      'updatedAt',
      'edits',
      'turns',
      'demo',
      'exportedAt',
    ]);
    const outer = Object.keys(demo);
    const missing = [...keysIn(schema)].filter(
      (key) => !(key in named) && !unsaid.has(key) && !outer.includes(key),
    );
    expect(missing).toEqual([]);
    expect(fieldText('travelMps')).toBe('speed of travel, m/s');
  });
});

/** Keys of records as a schema has them, but for what is inside of one thing. */
function keysIn(schema: object): Set<string> {
  const keys = new Set<string>();
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) node.forEach(visit);
    if (typeof node !== 'object' || node === null || Array.isArray(node)) return;
    for (const [key, value] of Object.entries(node)) {
      if (key === 'properties')
        for (const [property, inside] of Object.entries(value as object)) {
          if (inside === null || typeof inside !== 'object') continue;
          keys.add(property);
          if (!WHOLE.has(property) && !['answers', 'tried', 'setups', 'pins'].includes(property))
            visit(inside);
        }
      else if (key !== '$defs') visit(value);
    }
  };
  visit(schema);
  return keys;
}
