import { VERDICTS } from '../vocabulary/verdicts';
import type { Verdict } from '../vocabulary/verdicts';

/**
 * How often each verdict was given and taken back, where it ever was taken back: odd, it stands; even, it does not. Of two
 * copies the higher count is what was said later, in whatever order they meet (a counter that only grows; Shapiro and
 * others 2011, "Conflict-free replicated data types", SSS 2011).
 */
export type Turns = Partial<Record<Verdict, number>>;
export const MOST_TURNS = 1_000_000;

/** What carries verdicts. */
export interface Judged {
  verdicts: readonly Verdict[];
  turns?: Turns | undefined;
}

/** The verdicts rule: a count that does not fit them, as in a file changed by hand, is one more. */
function countOf({ verdicts, turns }: Judged, verdict: Verdict): number {
  const stands = verdicts.includes(verdict);
  const count = turns?.[verdict] ?? 0;
  return count % 2 === Number(stands) ? count : count + 1;
}

/** The counts that say more than the verdicts do. */
function kept(counts: ReadonlyMap<Verdict, number>): Turns | undefined {
  const told = [...counts].filter(([, count]) => count > 1).map(([one, count]) => [one, spent(count)]);
  return told.length > 0 ? (Object.fromEntries(told) as Turns) : undefined;
}

/** At its top a count stays, odd or even as it is. */
function spent(count: number): number {
  return count <= MOST_TURNS ? count : MOST_TURNS - ((MOST_TURNS - count) % 2 === 0 ? 0 : 1);
}

/** The counts stand after the verdicts, as the schema has them. */
function withTurns<T extends Judged>(record: T, turns: Turns | undefined): T {
  return Object.fromEntries(
    Object.entries(record).flatMap(([key, value]): [string, unknown][] => {
      if (key === 'turns') return [];
      return key === 'verdicts' && turns
        ? [
            [key, value],
            ['turns', turns],
          ]
        : [[key, value]];
    }),
  ) as unknown as T;
}

/** A judged record after a change, its counts gone on from those before it; any other as it is. */
export function countedOn<T extends object>(before: T | null, after: T): T {
  if (!before || !isJudged(before) || !isJudged(after)) return after;
  const counts = new Map(
    VERDICTS.map((verdict) => {
      const was = countOf(before, verdict);
      return [verdict, was % 2 === Number(after.verdicts.includes(verdict)) ? was : was + 1];
    }),
  );
  return withTurns(after, kept(counts));
}

/** What two copies say between them. */
export function turnsOfBoth(one: Judged, other: Judged): { verdicts: Verdict[]; turns: Turns | undefined } {
  const counts = new Map(
    VERDICTS.map((verdict) => [verdict, Math.max(countOf(one, verdict), countOf(other, verdict))]),
  );
  return {
    verdicts: VERDICTS.filter((verdict) => (counts.get(verdict) ?? 0) % 2 === 1),
    turns: kept(counts),
  };
}

function isJudged(record: object): record is Judged {
  return 'verdicts' in record && Array.isArray(record.verdicts);
}
