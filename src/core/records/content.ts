/** Keys that tell when and where a record was changed, and nothing of what it says. */
const STAMPS = new Set(['edits', 'createdAt', 'updatedAt']);

/** What a record says, as text: the same for two copies that say the same, whatever the order of their keys. */
export function contentOf(record: object): string {
  return JSON.stringify(
    Object.fromEntries(
      Object.entries(record).filter(([key, value]) => !STAMPS.has(key) && value !== undefined),
    ),
    inOrder,
  );
}

/** Two lists as one: what both hold as often as it stands in the one that has more of it, in an order of their own. */
export function bothOf<T extends object>(
  one: readonly T[],
  other: readonly T[],
  at: (item: T) => string,
): T[] {
  const found = new Map<string, { item: T; times: number }>();
  for (const list of [one, other]) {
    const here = new Map<string, number>();
    for (const item of list) {
      const text = contentOf(item);
      const times = (here.get(text) ?? 0) + 1;
      here.set(text, times);
      if (times > (found.get(text)?.times ?? 0)) found.set(text, { item, times });
    }
  }
  return [...found]
    .map(([text, held]) => ({ ...held, rank: `${at(held.item)} ${text}` }))
    .sort((first, second) => (first.rank < second.rank ? -1 : 1))
    .flatMap(({ item, times }) => Array.from({ length: times }, () => item));
}

/** An instant as text that sorts as time does, whatever its zone; before all others where there is none. */
export function timeRank(at: string | undefined): string {
  return at === undefined ? '' : new Date(at).toISOString();
}

function inOrder(_: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1)));
}

/** Where FNV-1a of 32 bits starts (Fowler, Noll, Vo; draft-eastlake-fnv), and its prime; the second start is the first turned about. */
const STARTS = [0x811c9dc5, 0xc59d1c81];
const PRIME = 0x01000193;

/** A short name for a text, the same everywhere: FNV-1a from two starts, sixteen digits. */
export function fingerprint(text: string): string {
  return STARTS.map((start) => {
    let hash = start;
    for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), PRIME);
    return (hash >>> 0).toString(16).padStart(8, '0');
  }).join('');
}
