import * as z from 'zod';
import type { Checked, Fault } from './fault';

// Zod's generated parsers need eval, which the page's content security policy refuses.
z.config({ jitless: true });

/** Checks `input` against a schema; every fault is reported, in the schema's order. Never throws. */
export function checkAgainst<S extends z.ZodType>(schema: S, input: unknown): Checked<z.output<S>> {
  const result = schema.safeParse(input);
  return result.success
    ? { ok: true, value: result.data }
    : { ok: false, faults: result.error.issues.flatMap((issue) => faultsOf(issue, [])) };
}

function faultsOf(issue: z.core.$ZodIssue, base: PropertyKey[]): Fault[] {
  const path = [...base, ...issue.path];
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({ path: dotted([...path, key]), text: 'unknown key; remove it' }));
    case 'invalid_value':
      // A schema's own words say more than the list of what it takes.
      return [
        {
          path: dotted(path),
          text: issue.message.startsWith('Invalid') ? `expected ${listed(issue.values)}` : issue.message,
        },
      ];
    case 'invalid_union':
      return unionFaults(issue, path);
    case 'too_small':
      return [
        {
          path: dotted(path),
          text: boundText(issue.origin, issue.minimum, issue.inclusive, 'at least', 'more than'),
        },
      ];
    case 'too_big':
      return [
        {
          path: dotted(path),
          text: boundText(issue.origin, issue.maximum, issue.inclusive, 'at most', 'less than'),
        },
      ];
    default:
      return [{ path: dotted(path), text: plain(issue.message) }];
  }
}

/** A union's faults are those of the branch that came nearest: the one with the fewest. */
function unionFaults(issue: z.core.$ZodIssueInvalidUnion, path: PropertyKey[]): Fault[] {
  const branches = issue.errors.map((branch) => branch.flatMap((inner) => faultsOf(inner, path)));
  const nearest = branches.sort((a, b) => a.length - b.length)[0];
  return nearest && nearest.length > 0 ? nearest : [{ path: dotted(path), text: plain(issue.message) }];
}

function boundText(
  origin: string,
  bound: number | bigint,
  inclusive: boolean | undefined,
  within: string,
  beyond: string,
): string {
  const noun = origin === 'string' ? ' characters' : origin === 'array' ? ' entries' : '';
  return `expected ${inclusive === false ? beyond : within} ${bound}${noun}`;
}

function listed(values: readonly unknown[]): string {
  const words = values.map((value) => JSON.stringify(value));
  return words.length === 1 ? words.join('') : `one of ${words.join(', ')}`;
}

function plain(message: string): string {
  const bare = message
    .replace(/^Invalid input: /, '')
    .replace(', received ', ', got ')
    .replace('got undefined', 'got nothing');
  return bare === 'Invalid input' ? 'not one of the forms allowed here' : bare;
}

function dotted(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`,
    '',
  );
}
