/** So many stay when there are more, so that room is not made at every removal. */
const STAY = 0.9;

/**
 * The rule by which notes of removals are let go: of more than `most`, the newest nine tenths of so many stay, by the time of
 * the removal. A copy of a record that was removed so long ago comes back as one that was never here.
 */
export function notesThatStay<N extends { at: string; id: string }>(
  notes: readonly N[],
  most: number,
): readonly N[] {
  if (notes.length <= most) return notes;
  return notes
    .map((note) => ({ note, rank: `${new Date(note.at).toISOString()} ${note.id}` }))
    .sort((one, other) => (one.rank < other.rank ? 1 : -1))
    .slice(0, Math.floor(most * STAY))
    .map(({ note }) => note);
}
