import * as z from 'zod';
import { WANTED } from './fault';
import type { Problem, Checked, Fault } from './fault';

// Zod's generated parsers need eval, which the page's content security policy refuses.
z.config({ jitless: true });

/** Zod says nothing of its own: a message is a schema's, a form that it wants or words that it brings. */
const SILENT = { error: () => '', reportInput: true };

/** Checks `input` against a schema; every fault is reported, in the schema's order. Never throws. */
export function checkAgainst<S extends z.ZodType>(schema: S, input: unknown): Checked<z.output<S>> {
  const result = schema.safeParse(input, SILENT);
  return result.success
    ? { ok: true, value: result.data }
    : { ok: false, faults: result.error.issues.flatMap((issue) => faultsOf(issue, [])) };
}

function faultsOf(issue: z.core.$ZodIssue, base: readonly PropertyKey[]): Fault[] {
  const path = [...base, ...issue.path];
  if (issue.code === 'unrecognized_keys')
    return issue.keys.map((key) => ({ path: dotted([...path, key]), problem: { code: 'unknownKey' } }));
  if (issue.code === 'invalid_union') {
    const nearest = nearestOf(issue, path);
    if (nearest) return nearest;
  }
  return [{ path: dotted(path), problem: problemIn(issue) }];
}

/** A union's faults are those of the branch that came nearest: the one with the fewest. */
function nearestOf(issue: z.core.$ZodIssueInvalidUnion, path: readonly PropertyKey[]): Fault[] | null {
  const branches = issue.errors.map((branch) => branch.flatMap((inner) => faultsOf(inner, path)));
  const nearest = branches.sort((a, b) => a.length - b.length)[0];
  return nearest && nearest.length > 0 ? nearest : null;
}

function problemIn(issue: z.core.$ZodIssue): Problem {
  const { message, input } = issue;
  const what = WANTED.find((one) => one === message);
  if (what) return { code: 'wanted', what, got: input };
  if (message !== '') return { code: 'worded', text: message };
  switch (issue.code) {
    case 'invalid_type':
      return { code: 'type', expected: issue.expected, got: typeName(input) };
    case 'invalid_value':
      return { code: 'oneOf', values: issue.values };
    case 'too_small':
      return bounded(issue.inclusive === false ? 'moreThan' : 'atLeast', issue.minimum, issue.origin);
    case 'too_big':
      return bounded(issue.inclusive === false ? 'lessThan' : 'atMost', issue.maximum, issue.origin);
    case 'invalid_format':
      return { code: 'pattern', pattern: issue.pattern ?? issue.format };
    case 'invalid_union':
      // What tells the branches apart is none of theirs.
      return 'options' in issue ? { code: 'oneOf', values: issue.options } : { code: 'noForm' };
    case 'custom':
      return (issue.params?.problem as Problem | undefined) ?? { code: 'noForm' };
    default:
      return { code: 'noForm' };
  }
}

function bounded(
  is: Extract<Problem, { code: 'bound' }>['is'],
  bound: number | bigint,
  origin: string,
): Problem {
  const of = origin === 'string' ? 'characters' : origin === 'array' ? 'entries' : 'value';
  return { code: 'bound', is, bound: Number(bound), of };
}

/** What JSON calls it. */
function typeName(input: unknown): string {
  if (input === undefined) return 'nothing';
  if (input === null) return 'null';
  return Array.isArray(input) ? 'array' : Number.isNaN(input) ? 'NaN' : typeof input;
}

function dotted(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`,
    '',
  );
}
