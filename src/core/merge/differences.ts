/** One step from the outside of a record to a value in it: a key, or an item of a list with what it is told apart by. */
export type PathStep = { key: string } | { item: Readonly<Record<string, unknown>> };

/** One value that two copies of a record do not share; `undefined`: one of them has none there. */
export interface Difference {
  path: readonly PathStep[];
  from: unknown;
  to: unknown;
}

/** Keys that say nothing of their own to a reader. */
const UNSAID = new Set(['kind', 'version', 'id', 'createdAt', 'updatedAt', 'edits', 'turns', 'demo']);

/** Keys whose inside is one thing to a reader: what a camera can do, what was measured of a clip. */
export const WHOLE: ReadonlySet<string> = new Set([
  'profile',
  'measured',
  'curves',
  'frames',
  'filmed',
  'rawShake',
  'learned',
  'weights',
  'readings',
  'horizon',
  'lamps',
  'clouds',
]);

/** What an item of a list is told apart by, the first that it has. */
const NAMES = ['id', 'cameraId', 'slot'] as const;

/** Every value in which two copies of a record differ, in the order of the record. */
export function differencesOf(from: object, to: object): Difference[] {
  return ofObjects(from as Plain, to as Plain, []);
}

type Plain = Readonly<Record<string, unknown>>;

function ofObjects(from: Plain, to: Plain, path: readonly PathStep[]): Difference[] {
  const keys = new Set([...Object.keys(from), ...Object.keys(to)]);
  return [...keys]
    .filter((key) => !UNSAID.has(key))
    .flatMap((key) => ofValues(from[key], to[key], [...path, { key }], WHOLE.has(key)));
}

function ofValues(from: unknown, to: unknown, path: readonly PathStep[], whole: boolean): Difference[] {
  if (JSON.stringify(from) === JSON.stringify(to)) return [];
  const one = [{ path, from, to }];
  if (whole) return one;
  if (isPlain(from) && isPlain(to)) return ofObjects(from, to, path);
  if (!Array.isArray(from) || !Array.isArray(to)) return one;
  const [old, now] = [named(from), named(to)];
  if (!old || !now) return one;
  const found = [...new Set([...old.keys(), ...now.keys()])].flatMap((name) => {
    const [before, after] = [old.get(name), now.get(name)];
    const within = [...path, { item: (after ?? before) as Plain }];
    return before && after ? ofObjects(before, after, within) : [{ path: within, from: before, to: after }];
  });
  // The same items in another order are a difference too.
  return found.length > 0 ? found : one;
}

/** Items by what they are told apart by; `null` where any has no name, or two have one. */
function named(list: readonly unknown[]): ReadonlyMap<string, Plain> | null {
  const items = new Map<string, Plain>();
  for (const one of list) {
    if (!isPlain(one)) return null;
    const key = NAMES.find((name) => typeof one[name] === 'string' || typeof one[name] === 'number');
    if (!key || items.has(String(one[key]))) return null;
    items.set(String(one[key]), one);
  }
  return items;
}

function isPlain(value: unknown): value is Plain {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
