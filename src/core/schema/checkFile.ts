import type * as z from 'zod';
import { checkAgainst } from './faults';
import type { Checked } from './fault';
import { upToDate } from './versions';

/** Checks a file or record from outside, of whatever version: brought up to date first. Never throws. */
export function checkFile<S extends z.ZodType>(schema: S, input: unknown): Checked<z.output<S>> {
  const checked = checkAgainst(schema, upToDate(input));
  if (checked.ok) return checked;
  // Of a file of a later version only that is worth telling: the rest follows from it.
  const later = checked.faults.filter(
    ({ path, problem }) =>
      path === 'version' && problem.code === 'wanted' && problem.what === 'noLaterVersion',
  );
  return later.length > 0 ? { ok: false, faults: later } : checked;
}
