import * as messages from '@/language/files';
import type { MergeChoice, MergeRow, MergeOutcome } from '@/core/merge/merge';
import { RECORD_TABLES } from '@/core/records/kinds';
import { countsText } from './exported';

/** Outcomes in the order in which they are told; those that change nothing of the person's own come last. */
export const OUTCOMES = [
  'both',
  'united',
  'newestTheirs',
  'newestOurs',
  'theirs',
  'goneThere',
  'goneHere',
  'stays',
  'comesBack',
  'ours',
  'added',
  'alike',
] as const satisfies readonly MergeOutcome[];

/** Taken without a question: nothing that is here changes, and nothing of the file is left out. */
const PLAIN: ReadonlySet<MergeOutcome> = new Set(['added', 'alike']);

/** Kinds whose records change every answer, or what is asked next, and so are never taken unseen. */
const IN_EVERY_ANSWER: ReadonlySet<MergeRow['table']> = new Set(['learned', 'eye', 'prices', 'practised']);

/** Whether it changes every answer once it is taken. */
export function isInEveryAnswer({ table, outcome }: MergeRow): boolean {
  return IN_EVERY_ANSWER.has(table) && outcome !== 'alike';
}

/** Whether a person is asked before it is so, whoever brought it. */
export function isAsked(row: MergeRow): boolean {
  return !PLAIN.has(row.outcome) || isInEveryAnswer(row);
}

/** Whether anything is written for it: a note that something was removed which was never here is, and says nothing. */
export function isChange(row: MergeRow): boolean {
  return row.outcome !== 'alike' || !isTold(row);
}

/** A note that something was removed which neither side has is kept, and not told. */
export function isTold({ here, there }: MergeRow): boolean {
  return here.record !== null || there.record !== null;
}

/** What may be wanted instead of the merge, by outcome; the merge itself comes first. */
export function choicesOf({ outcome }: MergeRow): readonly MergeChoice[] {
  switch (outcome) {
    case 'alike':
      return [];
    case 'both':
    case 'united':
      return ['merge', 'here', 'there'];
    case 'ours':
    case 'goneHere':
    case 'stays':
    case 'newestOurs':
      return ['merge', 'there'];
    default:
      return ['merge', 'here'];
  }
}

/** What became of everything, in a sentence or two. */
export function mergedText(
  rows: readonly MergeRow[],
  choiceOf: (row: MergeRow) => MergeChoice = () => 'merge',
): string {
  const taken = rows.filter((row) => isTaken(row, choiceOf(row)));
  const alike = rows.filter((row) => row.outcome === 'alike' && isTold(row)).length;
  const counts = Object.fromEntries(
    RECORD_TABLES.map((table) => [table, taken.filter((row) => row.table === table).length]),
  ) as Parameters<typeof countsText>[0];
  if (taken.length === 0) return messages.nothingNew({ alike });
  return messages.imported({ counts: countsText(counts), undo: messages.undoTakesItBack, alike });
}

/** Whether anything here changes by a row. */
function isTaken({ outcome }: MergeRow, choice: MergeChoice): boolean {
  if (choice !== 'merge') return choice === 'there';
  return !['alike', 'ours', 'goneHere', 'stays', 'newestOurs'].includes(outcome);
}
