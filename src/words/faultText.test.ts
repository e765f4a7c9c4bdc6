import * as z from 'zod';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { CameraProfileSchema } from '@/core/camera/profile';
import { checkAgainst } from '@/core/schema/faults';
import { finds, wants } from '@/core/schema/fault';
import type { Problem } from '@/core/schema/fault';
import { InstantSchema } from '@/core/schema/times';
import { readShot } from '@/core/records/shot';
import { faultText, faultsInWords } from './faultText';

const told = (schema: z.ZodType, input: unknown): string[] => {
  const read = checkAgainst(schema, input);
  return read.ok ? [] : read.faults.map(faultText);
};

const Odd = z.strictObject({
  name: z.string().min(2).max(3),
  of: z.enum(['a', 'b']),
  one: z.literal(7),
  count: z.int().gt(1).lt(9),
  list: z.array(z.number().min(0).max(1)).max(2),
  either: z.union([z.literal('auto'), z.int().min(5)]),
  code: z.string().regex(/^[A-Z]$/),
  own: z.string('in words of its own'),
  when: InstantSchema,
});
const sound = { name: 'ab', of: 'a', one: 7, count: 3, list: [1], either: 'auto', code: 'Q', own: '' };
const whole = { ...sound, when: '2026-10-03T09:30:00+02:00' };

describe('a fault in words', () => {
  it('of nothing amiss is none', () => {
    expect(told(Odd, whole)).toEqual([]);
  });

  it.each<[object, string]>([
    [{ name: 'a' }, 'name: expected at least 2 characters'],
    [{ name: 'abcd' }, 'name: expected at most 3 characters'],
    [{ name: 4 }, 'name: expected string, got number'],
    [{ name: undefined }, 'name: expected string, got nothing'],
    [{ name: null }, 'name: expected string, got null'],
    [{ of: 'c' }, 'of: expected one of "a", "b"'],
    [{ one: 8 }, 'one: expected 7'],
    [{ count: 1.5 }, 'count: expected whole number, got number'],
    [{ count: 1 }, 'count: expected more than 1'],
    [{ count: 9 }, 'count: expected less than 9'],
    [{ count: NaN }, 'count: expected number, got NaN'],
    [{ list: [0, 2] }, 'list[1]: expected at most 1'],
    [{ list: [0, 0, 0] }, 'list: expected at most 2 entries'],
    [{ list: {} }, 'list: expected list, got object'],
    [{ either: 4 }, 'either: expected at least 5'],
    [{ code: 'q' }, 'code: expected the pattern /^[A-Z]$/'],
    [{ own: 1 }, 'own: in words of its own'],
    [{ when: 'noon' }, 'when: expected a date and time with its offset, such as 2026-10-03T09:30:00+02:00'],
    [{ when: '1066-10-14T09:00:00Z' }, 'when: expected a year from 1900 to 2199'],
    [{ more: 1 }, 'more: unknown key; remove it'],
  ])('%o', (wrong, text) => {
    expect(told(Odd, { ...whole, ...wrong })).toEqual([text]);
  });

  it('of a whole stands without a place, and goes out in JSON with one', () => {
    expect(told(z.string(), [])).toEqual(['expected string, got list']);
    const form = (kind: string) => z.object({ kind: z.literal(kind) });
    expect(told(z.discriminatedUnion('kind', [form('a'), form('b')]), { kind: 'z' })).toEqual([
      'kind: expected one of "a", "b"',
    ]);
    expect(faultsInWords([{ path: 'a', problem: { code: 'unknownKey' } }])).toEqual([
      { path: 'a', text: 'unknown key; remove it' },
    ]);
  });

  it('of a schema’s own check has its figures', () => {
    const problem: Problem[] = [
      { code: 'atLeastKey', key: 'min' },
      { code: 'withinHours', hours: 48 },
      { code: 'shortestShutter', fastestFps: 120 },
      { code: 'tooManyModes', counts: [1_200_000, 800_000] },
      { code: 'mountPlace', kind: 'pole', places: ['long', 'short'] },
      { code: 'mountPlace', kind: 'tripod', places: [] },
    ];
    const figures = [/\bmin\b/, /\b48\b/, /1\/240 s/, /1,200,000 and 800,000/, /long or short/, /tripod/];
    problem.forEach((one, at) => {
      const schema = z.number().refine(() => false, finds(one, ['here']));
      expect(told(schema, 1), one.code).toEqual([expect.stringMatching(/^here: /)]);
      expect(told(schema, 1)[0]).toMatch(figures[at]!);
    });
    expect(
      told(
        z.string().refine(() => false, wants('zone')),
        'x',
      )[0],
    ).toContain('Europe/Rome');
  });

  it('of the files says where and what', () => {
    const shot = (more: object): string[] => {
      const read = readShot({ kind: 'lynxeye/shot', version: 3, ...more });
      return read.ok ? [] : read.faults.map(faultText);
    };
    expect(shot({ version: 4 })[0]).toMatch(/^version: version 4 .* later .* up to version 3\b/);
    expect(shot({ version: 'new' })).toEqual(['version: expected 3']);
    expect(shot({ pins: { iso: { min: 400, max: 100 } } })).toEqual(['pins.iso.max: expected at least min']);
    expect(shot({ pins: { shutterMode: 'fixed', shutterFloorSeconds: 0.01 } })).toEqual([
      'pins.shutterFloorSeconds: only goes with shutterMode "auto"',
    ]);
    expect(shot({ filters: ['nd', 'nd'].map((id) => ({ id, kind: 'nd', stops: 3 })) })).toEqual([
      'filters[1].id: "nd" is there twice; give each filter its own id',
    ]);
    const { heat } = ARCHETYPES.main;
    expect(
      told(CameraProfileSchema, { ...ARCHETYPES.main, heat: { ...heat, shutdownC: heat.warnC - 5 } }),
    ).toEqual(['heat.shutdownC: expected warnC, screenOffC and shutdownC in rising order']);
  });
});
