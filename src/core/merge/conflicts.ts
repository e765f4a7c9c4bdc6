import type { Clip } from '../records/clip';
import type { KeptRecord, RecordOf, RecordTable } from '../records/kinds';
import { copiedThing, thingName } from '../records/kitItem';
import { VERDICTS } from '../records/logEntry';
import type { LogEntry } from '../records/logEntry';
import { contentOf } from './content';

/** Most letters in a note of a recording or a clip, as their schemas have it. */
const LONGEST_NOTE = 2000;
const MOST_ANSWERS = 500;
const MOST_TRIED = 20_000;

/** What the copy of a record is called that is kept beside it; `null` where the record has no name. */
export type NameCopy = (name: string | null, table: RecordTable) => string;

/** What becomes of two copies of one record that were each changed without the other. */
export interface ConflictRule<R extends KeptRecord = KeptRecord> {
  /** One record with what both say; `null` where one cannot say it. Left out: one never can. */
  combined?: (newer: R, older: R) => R | null;
  /** The older one as a record of its own. Left out: there can be only one, and the newest stands. */
  asCopy?: (older: R, id: string, name: NameCopy) => R;
}

/** By kind: what is planned is kept twice, what was noted of one recording is put together, a single decision is the newest. */
export const CONFLICT_RULES: { [T in Exclude<RecordTable, 'removed'>]: ConflictRule<RecordOf<T>> } = {
  shots: {
    asCopy: (record, id, name) => ({
      ...record,
      id,
      demo: false,
      shot: { ...record.shot, name: name(record.shot.name ?? null, 'shots') },
    }),
  },
  outings: {
    asCopy: (outing, id, name) => ({ ...outing, id, demo: false, name: name(outing.name, 'outings') }),
  },
  kit: {
    asCopy: (item, id, name) => ({
      ...item,
      id,
      demo: false,
      thing: copiedThing(item.thing, id, name(thingName(item.thing), 'kit')),
    }),
  },
  log: { combined: unitedNotes, asCopy: (entry, id) => ({ ...entry, id }) },
  clips: { combined: unitedNotes, asCopy: (clip, id) => ({ ...clip, id }) },
  measured: { asCopy: (measured, id) => ({ ...measured, id }) },
  learned: {},
  prices: {},
  eye: {
    combined: (newer, older) => {
      const answers = [...newer.answers, ...beyond(newer.answers, older.answers)].slice(-MOST_ANSWERS);
      return { ...newer, answers };
    },
  },
  practised: {
    combined: (newer, older) => {
      const tried = [...newer.tried, ...beyond(newer.tried, older.tried)]
        .sort((one, other) => Date.parse(one.at) - Date.parse(other.at))
        .slice(-MOST_TRIED);
      return { ...newer, tried };
    },
  },
};

/** What of the second list the first does not have, each as often as it is missing. */
function beyond<T>(first: readonly T[], second: readonly T[]): T[] {
  const there = new Map<string, number>();
  for (const one of first) {
    const text = JSON.stringify(one);
    there.set(text, (there.get(text) ?? 0) + 1);
  }
  return second.filter((one) => {
    const text = JSON.stringify(one);
    const left = there.get(text) ?? 0;
    there.set(text, left - 1);
    return left <= 0;
  });
}

/** What both say of one recording: every verdict, both notes; where anything else differs, there is no one record. */
function unitedNotes<T extends LogEntry | Clip>(newer: T, older: T): T | null {
  const bare = (one: T): string => contentOf({ ...one, verdicts: [], note: '', cutReason: undefined });
  if (bare(newer) !== bare(older)) return null;
  const reasons = new Set([newer.cutReason, older.cutReason].filter((one) => one !== undefined));
  const note = bothNotes(newer.note, older.note);
  if (reasons.size > 1 || note.length > LONGEST_NOTE) return null;
  const said = new Set([...newer.verdicts, ...older.verdicts]);
  const [cutReason] = reasons;
  return {
    ...newer,
    verdicts: VERDICTS.filter((verdict) => said.has(verdict)),
    note,
    ...(cutReason === undefined ? {} : { cutReason }),
  };
}

function bothNotes(one: string, other: string): string {
  if (one.includes(other)) return one;
  if (other.includes(one)) return other;
  return [one, other].sort().join('\n');
}
