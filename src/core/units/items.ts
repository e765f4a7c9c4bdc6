/** An entry that the caller knows to be there; a wrong index is a broken invariant, not a value. */
export function item<T>(list: readonly T[], index: number): T {
  const found = list[index];
  if (found === undefined) throw new Error(`no entry ${index} in a list of ${list.length}`);
  return found;
}

export function last<T>(list: readonly T[]): T {
  return item(list, list.length - 1);
}
