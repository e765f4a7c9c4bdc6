import { useState } from 'react';

/** The value as it was for as long as it equals itself, and so each part of it: what is worked out of it is not worked out again. */
export function useSame<V>(value: V): V {
  const [last] = useState({ value, kept: value });
  // Written while it renders, and not by a second rendering: whatever it was before, what comes out equals the value.
  if (value !== last.value) {
    last.kept = sharing(last.kept, value);
    last.value = value;
  }
  return last.kept;
}

/** `next`, in which whatever equals what stood at its place before is that very thing. Plain data only. */
export function sharing<V>(before: V, next: V): V {
  if (Object.is(before, next)) return before;
  if (!isTree(before) || !isTree(next) || Array.isArray(before) !== Array.isArray(next)) return next;
  const keys = Object.keys(next);
  const parts = keys.map((key): [string, unknown] => [key, sharing(before[key], next[key])]);
  const same =
    keys.length === Object.keys(before).length &&
    parts.every(([key, part]) => key in before && Object.is(part, before[key]));
  if (same) return before;
  if (parts.every(([key, part]) => Object.is(part, next[key]))) return next;
  return (Array.isArray(next) ? parts.map(([, part]) => part) : Object.fromEntries(parts)) as V;
}

function isTree(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null;
}
