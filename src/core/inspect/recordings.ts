/** One clip as it is matched. Instants in ms, lengths in seconds. */
export interface ClipFacts {
  id: string;
  /** Where it lay and what its name begins with: clips of one group come from one camera. */
  group: string;
  /** `null`: the file does not say when it began. */
  startMs: number | null;
  seconds: number;
  frameRate: number;
  width: number;
  height: number;
}

export function byStart(one: ClipFacts, other: ClipFacts): number {
  return (one.startMs ?? 0) - (other.startMs ?? 0) || one.id.localeCompare(other.id, 'en', { numeric: true });
}

/** Pieces of one recording: the next begins where the one before ends, to within this. */
const GAPLESS_MS = 1000;

/** Clips of one group in order, those that are pieces of one recording together. */
export function recordingsIn(clips: readonly ClipFacts[]): ClipFacts[][] {
  const joined: ClipFacts[][] = [];
  for (const clip of [...clips].sort((a, b) => a.group.localeCompare(b.group) || byStart(a, b))) {
    const before = joined.at(-1)?.at(-1);
    const follows =
      before?.group === clip.group &&
      before.startMs !== null &&
      clip.startMs !== null &&
      before.width === clip.width &&
      Math.abs(before.frameRate / clip.frameRate - 1) < 0.01 &&
      Math.abs(before.startMs + 1000 * before.seconds - clip.startMs) <= GAPLESS_MS;
    if (follows) joined.at(-1)?.push(clip);
    else joined.push([clip]);
  }
  return joined;
}
