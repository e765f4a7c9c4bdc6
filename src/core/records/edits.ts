import { MOST_DEVICES } from '../schema/editBounds';
import { omit } from '../units/omit';

/** The last edit of a record by each device that changed it; `undefined`: none. */
export type Edits = Readonly<Record<string, number>>;

/** One edit: the name under which a device counts, and which of all its edits it is. No two are ever the same. */
export interface EditStamp {
  device: string;
  count: number;
}

/** Whether one copy rests on everything that the other has seen. */
export function covers(one: Edits = {}, other: Edits = {}): boolean {
  return Object.entries(other).every(([device, count]) => (one[device] ?? 0) >= count);
}

/** What two copies have seen between them; `undefined` where neither was changed. */
export function joined(...all: readonly (Edits | undefined)[]): Edits | undefined {
  const most: Record<string, number> = {};
  for (const edits of all)
    for (const [device, count] of Object.entries(edits ?? {}))
      most[device] = Math.max(most[device] ?? 0, count);
  return Object.keys(most).length === 0 ? undefined : bounded(most);
}

/** After one more edit. */
export function raised(edits: Edits | undefined, { device, count }: EditStamp): Edits {
  return bounded({ ...edits, [device]: count }, device);
}

/**
 * As many devices as a record may name, by the highest counts and then by name; `last` stays. Without one that is left out,
 * a copy that rests on its edit asks once more where it need not.
 */
function bounded(edits: Edits, last?: string): Edits {
  const each = Object.entries(edits);
  if (each.length <= MOST_DEVICES) return sorted(edits);
  const rank = ([device, count]: [string, number]): number => (device === last ? Infinity : count);
  return sorted(
    Object.fromEntries(
      each
        .sort((one, other) => rank(other) - rank(one) || (one[0] < other[0] ? -1 : 1))
        .slice(0, MOST_DEVICES),
    ),
  );
}

/** A record that has seen so much. */
export function withEdits<T extends { edits?: Edits | undefined }>(record: T, edits: Edits | undefined): T {
  return (edits === undefined ? omit(record, 'edits') : { ...record, edits }) as T;
}

function sorted(edits: Edits): Edits {
  return Object.fromEntries(Object.entries(edits).sort(([one], [other]) => (one < other ? -1 : 1)));
}

/** What the note is called that a record was removed. */
export function removedId(table: string, id: string): string {
  return `${table}/${id}`;
}
