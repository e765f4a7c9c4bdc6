/** A record without one of its keys; itself where it has none of it. */
export function omit<T extends object, K extends keyof T>(record: T, key: K): Omit<T, K> {
  if (!(key in record)) return record;
  return Object.fromEntries(Object.entries(record).filter(([name]) => name !== key)) as Omit<T, K>;
}
