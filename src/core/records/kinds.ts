import type * as z from 'zod';
import type { Checked } from '../schema/fault';
import type { Edits } from './edits';

/**
 * Everything a person keeps, one entry a kind: backup, undo, import, export, the database and the command line read this
 * table, so that a new kind is its own file and an entry here. Schemas come when they are first needed: Start keeps
 * without reading a file.
 */
interface RecordKind {
  /** Most of them in one file. */
  most: number;
  /** Indexes of the table, the first being the key. */
  indexes: string;
  /** Where its name stands, the first that is there. */
  nameAt: readonly (readonly string[])[];
  /** Version of the database that brought the table. */
  since: number;
  schema: () => Promise<z.ZodType<KeptRecord>>;
}

/** What every kept record has. */
export interface KeptRecord {
  id: string;
  demo?: boolean | undefined;
  edits?: Edits | undefined;
}

/** In the order in which they are written and told. */
export const RECORD_KINDS = {
  shots: {
    most: 20_000,
    indexes: 'id, updatedAt, demo',
    nameAt: [['shot', 'name']],
    since: 1,
    schema: async () => (await import('./shotRecord')).ShotRecordSchema,
  },
  outings: {
    most: 2000,
    indexes: 'id, updatedAt',
    nameAt: [['name']],
    since: 3,
    schema: async () => (await import('./outing')).OutingSchema,
  },
  log: {
    most: 100_000,
    indexes: 'id, shotId, at',
    nameAt: [['shotName']],
    since: 1,
    schema: async () => (await import('./logEntry')).LogEntrySchema,
  },
  kit: {
    most: 5000,
    indexes: 'id, thing.what, updatedAt',
    nameAt: [
      ['thing', 'name'],
      ['thing', 'profile', 'name'],
    ],
    since: 2,
    schema: async () => (await import('./kitItem')).KitItemSchema,
  },
  learned: {
    most: 5000,
    indexes: 'id',
    nameAt: [['id']],
    since: 7,
    schema: async () => (await import('./learned')).LearnedRecordSchema,
  },
  eye: {
    most: 1,
    indexes: 'id',
    nameAt: [['id']],
    since: 8,
    schema: async () => (await import('./ownEye')).OwnEyeSchema,
  },
  practised: {
    most: 1,
    indexes: 'id',
    nameAt: [['id']],
    since: 8,
    schema: async () => (await import('./practised')).PractisedSchema,
  },
  prices: {
    most: 500,
    indexes: 'id',
    nameAt: [['id']],
    since: 8,
    schema: async () => (await import('./price')).PriceSchema,
  },
  clips: {
    most: 20_000,
    indexes: 'id, outingId',
    nameAt: [['measured', 'file', 'name']],
    since: 6,
    schema: async () => (await import('./clip')).ClipSchema,
  },
  measured: {
    most: 20_000,
    indexes: 'id',
    nameAt: [],
    since: 9,
    schema: async () => (await import('./measured')).MeasuredSchema,
  },
  removed: {
    most: 20_000,
    indexes: 'id',
    nameAt: [],
    since: 9,
    schema: async () => (await import('./removed')).RemovedSchema,
  },
} as const satisfies Record<string, RecordKind>;

export type RecordTable = keyof typeof RECORD_KINDS;
type SchemaOf<T extends RecordTable> = Awaited<ReturnType<(typeof RECORD_KINDS)[T]['schema']>>;
export type RecordOf<T extends RecordTable> = z.output<SchemaOf<T>>;
/** Some of each kind. */
export type Records = { [T in RecordTable]: RecordOf<T>[] };
type RecordSchemas = { [T in RecordTable]: SchemaOf<T> };

export const RECORD_TABLES = Object.keys(RECORD_KINDS) as RecordTable[];

export function noRecords(): Records {
  return Object.fromEntries(RECORD_TABLES.map((table) => [table, []])) as unknown as Records;
}

export async function recordSchemas(): Promise<RecordSchemas> {
  const schemas = await Promise.all(
    RECORD_TABLES.map(async (table) => [table, await RECORD_KINDS[table].schema()] as const),
  );
  return Object.fromEntries(schemas) as RecordSchemas;
}

/** Whether a record fits its schema, by kind; for those who do not read files, and so come without any schema. */
export async function recordChecks(): Promise<Record<RecordTable, (record: unknown) => Checked<KeptRecord>>> {
  const [{ checkAgainst }, schemas] = await Promise.all([import('../schema/faults'), recordSchemas()]);
  const checks = RECORD_TABLES.map((table) => [
    table,
    (record: unknown) => checkAgainst<z.ZodType<KeptRecord>>(schemas[table], record),
  ]);
  return Object.fromEntries(checks) as Record<RecordTable, (record: unknown) => Checked<KeptRecord>>;
}

/** What a person calls this record, `null` without a name; it may be asked of a record that is not whole. */
export function recordName(table: RecordTable, record: unknown): string | null {
  for (const path of RECORD_KINDS[table].nameAt) {
    const found = path.reduce<unknown>(
      (inside, key) =>
        typeof inside === 'object' && inside !== null ? (inside as Record<string, unknown>)[key] : undefined,
      record,
    );
    if (typeof found === 'string' && found.trim() !== '') return found;
  }
  return null;
}
