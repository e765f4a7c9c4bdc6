/** What a school insists on and a camera or the pins may not allow. */
export type Dropped = 'stabilization' | 'angle' | 'shutterMode' | 'iso';

/** Keeps what meets an insistence, or everything when nothing does, and notes that it was dropped. */
export function insisting<T>(
  all: readonly T[],
  dropped: Dropped[],
  what: Dropped,
  meets: (item: T) => boolean,
): readonly T[] {
  const kept = all.filter(meets);
  if (kept.length > 0 || all.length === 0) return kept;
  dropped.push(what);
  return all;
}
