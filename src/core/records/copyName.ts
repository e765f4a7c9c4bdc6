const COPY = ', copy';

/** The name of a copy, within the letters a name may have. */
export function copyName(name: string, most: number): string {
  const room = most - COPY.length;
  if (name.length <= room) return `${name}${COPY}`;
  // Never half of a letter that takes two places.
  return `${name.slice(0, room).replace(/[\uD800-\uDBFF]$/, '')}${COPY}`;
}
