import { execFileSync } from 'node:child_process';
import type { Records, RecordTable } from '@/core/records/kinds';
import { FILE_VERSION } from '@/core/schema/versions';
import { DEMO } from './records';

/** As much of a JSON Schema as is walked here. */
interface Schema {
  $ref?: string;
  $defs?: Record<string, Schema>;
  properties?: Record<string, Schema>;
  required?: readonly string[];
  additionalProperties?: boolean | Schema;
  items?: Schema;
  prefixItems?: readonly Schema[];
  anyOf?: readonly Schema[];
  oneOf?: readonly Schema[];
  allOf?: readonly Schema[];
  type?: string;
  const?: unknown;
  default?: unknown;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
  minItems?: number;
}

/** A number, a list that may be empty, a key that may be left out or be `null`. */
type What = 'number' | 'list' | 'key';
/** Which end of its schema something is put to, by where it stands; `null`: it stays. */
export type Ends = (what: What, path: string) => 'least' | 'most' | null;

/** Where a schema ends in nothing, a number as far off as one is likely to meet. */
const FAR = 1e12;
const NEAR = 1e-9;

const lynxeye = (args: readonly string[], input = ''): string => {
  try {
    return execFileSync('bin/lynxeye', args, { input, encoding: 'utf8', maxBuffer: 1e9, stdio: 'pipe' });
  } catch (error) {
    return (error as { stderr: string }).stderr;
  }
};

/** Every record of the demo with its numbers, lists and optional keys put to the ends of the schema, as far as a file may be so. */
export function extremes(ends: Ends): Records {
  const root = JSON.parse(lynxeye(['schema', 'backup'])) as Schema;
  const stays = new Set<string>();
  const backup = {
    kind: 'lynxeye/backup',
    version: FILE_VERSION,
    exportedAt: '2026-10-05T08:00:00Z',
    ...DEMO,
  };
  // What the checks beyond the schema refuse is left as it was, place by place.
  for (let round = 0; round < 60; round += 1) {
    const put = walked({ root, ends, stays }, root, backup, '');
    const faults = lynxeye(['check', '-'], JSON.stringify(put));
    const found = [...faults.matchAll(/^(\S+): /gm)].map(([, path]) => path!);
    if (found.length === 0) {
      return Object.fromEntries(
        Object.keys(DEMO).map((table) => [table, (put as Records)[table as RecordTable]]),
      ) as unknown as Records;
    }
    for (const path of found) stays.add(stays.has(path) ? withinWhat(path, stays) : path);
  }
  throw new Error('no valid file comes of the ends');
}

/** Where it stays already, what it stands in stays too: it was refused for something beside it. */
function withinWhat(path: string, stays: ReadonlySet<string>): string {
  const around = path.replace(/(\.[^.[]+|\[\d+\])$/, '');
  if (around === path) throw new Error(`nothing more can stay of ${path}`);
  return stays.has(around) ? withinWhat(around, stays) : around;
}

interface Walk {
  root: Schema;
  ends: Ends;
  stays: ReadonlySet<string>;
}

function walked(walk: Walk, given: Schema, value: unknown, path: string): unknown {
  const schema = fitting(walk.root, given, value);
  if (!schema || walk.stays.has(path)) return value;
  if (typeof value === 'number') {
    const end = 'const' in schema ? null : walk.ends('number', path);
    return end ? numberAt(schema, end, value) : value;
  }
  if (Array.isArray(value)) {
    const items = value.map((item, at) =>
      walked(walk, schema.prefixItems?.[at] ?? schema.items ?? {}, item, `${path}[${at}]`),
    );
    const least = path.includes('.') && walk.ends('list', path) === 'least';
    return least ? items.slice(0, schema.minItems ?? 0) : items;
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, own]) => {
      const at = path ? `${path}.${key}` : key;
      const of = schema.properties?.[key] ?? {};
      if (path !== '' && !walk.stays.has(at) && walk.ends('key', at) === 'least') {
        // What a reading of the file would fill in is filled in.
        if (of.default !== undefined) return [[key, of.default]];
        if (!schema.required?.includes(key)) return [];
        if (fitting(walk.root, of, null)?.type === 'null') return [[key, null]];
      }
      return [[key, walked(walk, of, own, at)]];
    }),
  );
}

function numberAt(
  { minimum, maximum, exclusiveMinimum, exclusiveMaximum, type }: Schema,
  end: 'least' | 'most',
  value: number,
): number {
  const whole = type === 'integer';
  if (end === 'least')
    return minimum ?? (exclusiveMinimum !== undefined ? exclusiveMinimum + (whole ? 1 : NEAR) : -FAR);
  if (exclusiveMaximum !== undefined) return exclusiveMaximum - (whole ? 1 : NEAR);
  return maximum !== undefined ? Math.min(maximum, FAR) : Math.max(value, FAR);
}

/** The one of several that a value is of. */
function fitting(root: Schema, schema: Schema, value: unknown): Schema | null {
  if (schema.$ref) {
    const key = schema.$ref.split('/').at(-1)!;
    return fitting(root, schema.$ref === '#' ? root : root.$defs![key]!, value);
  }
  if (schema.allOf) return fitting(root, schema.allOf[0]!, value);
  const several = schema.anyOf ?? schema.oneOf;
  if (several) {
    for (const one of several) {
      const found = fitting(root, one, value);
      if (found) return found;
    }
    return null;
  }
  if ('const' in schema) return schema.const === value ? schema : null;
  const kind = Array.isArray(value) ? 'array' : value === null ? 'null' : typeof value;
  const type = schema.type === 'integer' ? 'number' : schema.type;
  if (type !== undefined && type !== kind) return null;
  if (kind === 'object' && schema.properties) {
    const record = value as Record<string, unknown>;
    const { properties, required = [], additionalProperties } = schema;
    const fits =
      required.every((key) => key in record) &&
      Object.entries(record).every(([key, own]) => {
        const of = properties[key];
        return of ? !('const' in of) || of.const === own : additionalProperties !== false;
      });
    return fits ? schema : null;
  }
  return schema;
}
