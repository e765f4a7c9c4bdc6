import { omit } from '../units/omit';

/** Which device has changed a record how often; `undefined`: none. */
export type Edits = Readonly<Record<string, number>>;

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
  return Object.keys(most).length === 0 ? undefined : sorted(most);
}

/** After one more change on a device. */
export function raised(edits: Edits | undefined, device: string): Edits {
  return sorted({ ...edits, [device]: (edits?.[device] ?? 0) + 1 });
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
