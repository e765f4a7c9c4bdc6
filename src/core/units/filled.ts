/** The usual figures with those that are given in their place. */
export function filled<T extends object>(
  usual: T,
  given: { [K in keyof T]?: T[K] | undefined } | undefined,
): T {
  return { ...usual, ...told(given ?? {}) };
}

/** Without what was left out. */
export function told<T extends object>(given: { [K in keyof T]?: T[K] | undefined }): Partial<T> {
  return Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as Partial<T>;
}
