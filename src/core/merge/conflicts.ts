import type { Clip } from '../records/clip';
import type { KeptRecord, RecordOf, RecordTable } from '../records/kinds';
import { copiedThing, thingName } from '../records/kitItem';
import { bareOfKit } from '../records/kitCamera';
import { turnsOfBoth } from '../records/verdictTurns';
import { MOST_ANSWERS, MOST_TRIED, newestOfBoth } from '../records/newest';
import { omit } from '../units/omit';
import type { LogEntry } from '../records/logEntry';
import { contentOf } from '../records/content';

/** Most letters in a note of a recording or a clip, as their schemas have it. */
const LONGEST_NOTE = 2000;

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
    combined: (newer, older) =>
      bareOfKit(newer.shot) === bareOfKit(older.shot) && sameBeside(newer, older, 'shot') ? newer : null,
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
      const [weights] =
        newer.updatedAt === older.updatedAt
          ? [newer.weights, older.weights].sort((one, other) => (asText(one) < asText(other) ? 1 : -1))
          : [newer.weights];
      return {
        ...newer,
        weights: weights ?? null,
        answers: newestOfBoth(newer.answers, older.answers, MOST_ANSWERS),
      };
    },
  },
  practised: {
    combined: (newer, older) => ({ ...newer, tried: newestOfBoth(newer.tried, older.tried, MOST_TRIED) }),
  },
};

const asText = (value: unknown): string => JSON.stringify(value);

/** Whether two copies say the same, but for what stands under one key. */
function sameBeside<R extends object>(one: R, other: R, key: keyof R): boolean {
  return contentOf(omit(one, key)) === contentOf(omit(other, key));
}

/** What both say of one recording: every verdict that was not taken back, both notes; where anything else differs, there is no one record. */
function unitedNotes<T extends LogEntry | Clip>(newer: T, older: T): T | null {
  const bare = (one: T): string =>
    contentOf({ ...one, verdicts: [], turns: undefined, note: '', cutReason: undefined });
  if (bare(newer) !== bare(older)) return null;
  const { verdicts, turns } = turnsOfBoth(newer, older);
  const reasons = new Set(
    verdicts.includes('cutOff') ? [newer.cutReason, older.cutReason].filter((one) => one !== undefined) : [],
  );
  const note = bothNotes(newer.note, older.note);
  if (reasons.size > 1 || note.length > LONGEST_NOTE) return null;
  const [cutReason] = reasons;
  return {
    ...omit(omit<LogEntry | Clip, 'turns'>(newer, 'turns'), 'cutReason'),
    verdicts,
    note,
    ...(turns ? { turns } : {}),
    ...(cutReason === undefined ? {} : { cutReason }),
  } as T;
}

/** Stands between what was noted on one side and on the other, in a line of its own. */
const BETWEEN = '\n—\n';

/** A note as the set of its parts: whoever brings the same together, in whatever order and how often, has the same. */
function bothNotes(one: string, other: string): string {
  const parts = [one, other].flatMap((note) => note.split(BETWEEN)).filter((part) => part !== '');
  // What stands within another part says nothing more.
  const told = parts.filter((part) => !parts.some((more) => more !== part && more.includes(part)));
  return [...new Set(told)].sort().join(BETWEEN);
}
