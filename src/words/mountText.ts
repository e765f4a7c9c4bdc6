import * as messages from '@/language/words/mount';
import type { Caution } from '@/core/vocabulary/cautions';
import type { InTheWay, MountHabits, MountNote } from '@/core/vocabulary/mounts';

/** What is said of mounts: what stands in the view, what to mind, and the usual cautions. */
const THING: Record<InTheWay['what'], string> = messages.thing;

function thingsInTheWay(habits: MountHabits): string[] {
  return [...new Set(habits.inTheWay.map(({ what }) => THING[what]))];
}

export function obstructionText(habits: MountHabits): string {
  const things = thingsInTheWay(habits);
  return things.length === 0
    ? messages.nothingStandsInTheView
    : messages.inTheView({ things: things.join(', ') });
}

const NOTES: Record<MountNote, string> = messages.notes;

export function mountNoteText(note: MountNote): string {
  return NOTES[note];
}

/** Short cautions. Local rules and licensed practice come first, always. */
const CAUTIONS: Record<Caution, string> = messages.cautions;

export function cautionText(caution: Caution): string {
  return CAUTIONS[caution];
}
