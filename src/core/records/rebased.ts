/**
 * What was changed between two states of a record, done to the record as it is kept by then: a change made meanwhile to
 * something else in it stays. Lists count as one value.
 */
export function rebased<T extends object>(before: T, after: T): (kept: T) => T {
  return (kept) => {
    const made: Record<string, unknown> = { ...(kept as Record<string, unknown>) };
    const was = before as Record<string, unknown>;
    const is = after as Record<string, unknown>;
    for (const key of new Set([...Object.keys(was), ...Object.keys(is)])) {
      if (JSON.stringify(was[key]) === JSON.stringify(is[key])) continue;
      const now = made[key];
      if (!(key in is)) Reflect.deleteProperty(made, key);
      else if (isPlain(was[key]) && isPlain(is[key]) && isPlain(now))
        made[key] = rebased(was[key], is[key])(now);
      else made[key] = is[key];
    }
    return made as T;
  };
}

function isPlain(value: unknown): value is object {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
