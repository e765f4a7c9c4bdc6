/** A letter of the ribbon's words is about this wide, pixels. */
const LETTER = 7.5;

/** A name cut to the room there is for it; the whole one is to be kept at hand beside it. */
export function cutTo(name: string, room: number): string {
  const letters = Math.max(1, Math.floor(room / LETTER));
  return name.length > letters ? `${name.slice(0, letters - 1)}…` : name;
}
