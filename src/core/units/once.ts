/** Work that is done when it is first asked for, and then known. */
export function once<T>(work: () => T): () => T {
  let known: { value: T } | null = null;
  return () => (known ??= { value: work() }).value;
}
