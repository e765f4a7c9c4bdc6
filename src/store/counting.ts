import type { Edits, EditStamp } from '@/core/records/edits';
import { MOST_COUNT } from '@/core/schema/editBounds';
import type { Database } from './database';

/** The choice that keeps the name under which this database counts its edits, and how far it has counted. */
const KEY = 'counting';

/**
 * The stamp of an edit, one that was never given before: all edits of a database are counted on through erasing and undoing,
 * and who finds its own name with a higher count than it has given (a database brought back, a file made by hand) takes
 * another name. To be asked within the transaction that writes the edit.
 */
export async function nextStamp(
  kept: Pick<Database, 'choices'>,
  /** What the changed records have seen. */
  seen: readonly (Edits | undefined)[],
  newName: () => string,
): Promise<EditStamp> {
  const last = read((await kept.choices.get(KEY))?.value) ?? { device: newName(), count: 0 };
  const used = seen.some((edits) => (edits?.[last.device] ?? 0) > last.count);
  const stamp =
    used || last.count >= MOST_COUNT
      ? { device: newName(), count: 1 }
      : { device: last.device, count: last.count + 1 };
  await kept.choices.put({ key: KEY, value: `${stamp.device} ${stamp.count}` });
  return stamp;
}

function read(value: string | undefined): EditStamp | null {
  const [device, count] = value?.split(' ') ?? [];
  return device && Number.isSafeInteger(Number(count)) ? { device, count: Number(count) } : null;
}
