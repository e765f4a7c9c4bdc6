/** A copy of a record without one of its keys. */
export function without<T extends object, K extends keyof T>(record: T, key: K): Omit<T, K> {
  return Object.fromEntries(Object.entries(record).filter(([name]) => name !== key)) as Omit<T, K>;
}
