import { shifted } from '../changes/times';
import type { Shifts, TimesChange } from '../changes/times';
import type { Memo } from '../day/partWork';
import type { Pause, Schedule } from '../day/schedule';
import type { Span } from '../light/sun/day';
import { item } from '../units/items';
import { planOf } from './plan';
import type { Plan } from './plan';
import type { Unknowns } from './unknowns';
import { outcomeOf } from './whatIfs';
import type { DaysOutcome } from './whatIfs';

/** Within which the times of a day may be moved. */
export interface TimeLimits {
  /** Nothing is moved to begin before or to end after these instants. */
  fromMs: number;
  toMs: number;
  /** An entry moves by so much at most, minutes. */
  mostMinutes: number;
  /** Between two shots, where the plan has no less, minutes. */
  betweenMinutes: number;
  /** Shots may change places with each other. */
  order: boolean;
  /** Entries that stay. */
  stay: readonly string[];
}

/** Times that lose less, told on days that the search had not seen. */
export interface BetterTimes extends TimesChange {
  /** Chance that everything lasts, and mean loss of a day, as planned and moved. */
  lasts: [before: number, after: number];
  loss: [before: number, after: number];
}

/** Where a search is: plans tried so far, and the mean loss of a day by the best of them. */
export interface TimesSearch {
  tried: number;
  loss: number;
}

const MINUTE_MS = 60_000;
/** Steps by which a shot is moved, minutes; no finer than a day runs. */
const STEPS = [-60, -30, -15, 15, 30, 60] as const;
/** Days on which two plans are compared, and fresh ones on which the best is told. */
const DAYS = 80;
const FRESH_DAYS = 400;
const FRESH_SEED = 0x51ed270b;
/** No search tries more plans than this. */
const MOST_TRIED = 240;
/** Better by this much, and by so many standard errors of the difference day by day. */
const LEAST_SAVING = 0.02;
const SURE_BY = 2;

/**
 * Moves the entries of a day in time as long as a day loses less on the mean: one alone, one with all that comes after it,
 * and two shots changing places. Every plan is worked out whole and lived through on the very same days. All stay on their
 * side of a way travelled, and nothing is put on top of another. Told at every plan tried, so that whoever asks can breathe,
 * show it and stop; `null` in the end where nothing better was found.
 */
export function* searchTimes(
  plan: Plan,
  unknowns: Unknowns,
  seed: number,
  limits: TimeLimits,
  memo: Memo,
): Generator<TimesSearch, BetterTimes | null> {
  const { schedule, gear } = plan;
  const may = within(schedule, limits);
  const entries = spansOf(schedule);
  const planAt = (shifts: Shifts): Plan => planOf(shifted(schedule, shifts), gear, memo);
  const seen = new Set<string>();
  let best: { shifts: Shifts; outcome: DaysOutcome } = {
    shifts: new Map(),
    outcome: outcomeOf(plan, unknowns, seed, DAYS),
  };
  let tried = 0;
  for (let better = true; better && tried < MOST_TRIED;) {
    better = false;
    for (const entry of entries) {
      let gained: typeof best | null = null;
      for (const shifts of nextTo(best.shifts, entry, entries, limits)) {
        const key = JSON.stringify([...shifts].sort());
        if (seen.has(key) || !may(shifts) || tried >= MOST_TRIED) continue;
        seen.add(key);
        const outcome = outcomeOf(planAt(shifts), unknowns, seed, DAYS);
        tried += 1;
        if (isBetter(best.outcome, outcome) && outcome.loss < (gained ?? best).outcome.loss)
          gained = { shifts, outcome };
        yield { tried, loss: (gained ?? best).outcome.loss };
      }
      if (!gained) continue;
      best = gained;
      better = true;
    }
  }
  if (best.shifts.size === 0) return null;
  const before = outcomeOf(plan, unknowns, seed ^ FRESH_SEED, FRESH_DAYS);
  const after = outcomeOf(planAt(best.shifts), unknowns, seed ^ FRESH_SEED, FRESH_DAYS);
  if (!isBetter(before, after)) return null;
  return {
    what: 'times',
    moves: spansOf(schedule).flatMap(({ id, fromMs }) => {
      const by = best.shifts.get(id) ?? 0;
      return by === 0 ? [] : [{ entryId: id, fromMs, toMs: fromMs + by }];
    }),
    lasts: [before.lasts, after.lasts],
    loss: [before.loss, after.loss],
  };
}

function isBetter(before: DaysOutcome, after: DaysOutcome): boolean {
  const saved = before.losses.map((loss, at) => loss - (after.losses[at] ?? 0));
  const saves = before.loss - after.loss;
  const error = Math.sqrt(
    saved.reduce((sum, one) => sum + (one - saves) ** 2, 0) / Math.max(1, saved.length) ** 2,
  );
  return saves >= LEAST_SAVING && saves >= SURE_BY * error;
}

/** An entry by each step, alone and with all that comes after it; a shot in the place of the next, which takes its. */
function nextTo(
  shifts: Shifts,
  entry: EntrySpan,
  entries: readonly EntrySpan[],
  { order }: TimeLimits,
): Map<string, number>[] {
  const by = ({ id }: EntrySpan): number => shifts.get(id) ?? 0;
  const at = (one: EntrySpan): number => one.fromMs + by(one);
  const row = [...entries].sort((a, b) => at(a) - at(b));
  const rest = row.slice(row.indexOf(entry));
  const moved = STEPS.flatMap((step) => {
    const more = step * MINUTE_MS;
    return [
      new Map([...shifts, [entry.id, by(entry) + more]]),
      new Map([...shifts, ...rest.map((one) => [one.id, by(one) + more] as const)]),
    ];
  });
  const next = rest.slice(1).find(({ kind }) => kind === 'shot');
  if (order && entry.kind === 'shot' && next) {
    // The later one begins where the earlier did, and the earlier ends where the later did.
    const last = at(next) + next.toMs - next.fromMs;
    const swapped = [
      [next.id, at(entry) - next.fromMs],
      [entry.id, last - entry.toMs],
    ] as const;
    moved.push(new Map([...shifts, ...swapped]));
  }
  return moved.map(withoutZeros);
}

function withoutZeros(shifts: Map<string, number>): Map<string, number> {
  return new Map([...shifts].filter(([, by]) => by !== 0));
}

interface EntrySpan extends Span {
  id: string;
  kind: 'shot' | Pause['kind'];
}

/** The entries of a day in order, a shot from the first of its cameras to the last. */
function spansOf({ parts, pauses }: Schedule): EntrySpan[] {
  const spans = new Map<string, EntrySpan>();
  for (const { entryId, fromMs, toMs } of parts) {
    const known = spans.get(entryId);
    spans.set(entryId, {
      id: entryId,
      kind: 'shot',
      fromMs: Math.min(fromMs, known?.fromMs ?? fromMs),
      toMs: Math.max(toMs, known?.toMs ?? toMs),
    });
  }
  const others = pauses.map(({ id, kind, fromMs, toMs }) => ({ id, kind, fromMs, toMs }));
  return [...spans.values(), ...others].sort((a, b) => a.fromMs - b.fromMs);
}

/** Whether a day may be so: whatever the plan itself does between two entries is borne, and nothing beyond that. */
function within(schedule: Schedule, limits: TimeLimits): (shifts: Shifts) => boolean {
  const planned = spansOf(schedule);
  const between = limits.betweenMinutes * MINUTE_MS;
  /** Whether two that stood so may stand so now. */
  const bear = (was: [EntrySpan, EntrySpan], now: [EntrySpan, EntrySpan]): boolean => {
    const kinds = was.map(({ kind }) => kind);
    const crossed = was[0].fromMs < was[1].fromMs !== now[0].fromMs < now[1].fromMs;
    if (crossed && (kinds.includes('travel') || !limits.order)) return false;
    const least = kinds.every((kind) => kind === 'shot') ? between : 0;
    return apart(...now) >= Math.min(least, apart(...was));
  };
  return (shifts) => {
    const now = planned.map((one): EntrySpan => {
      const by = shifts.get(one.id) ?? 0;
      return { ...one, fromMs: one.fromMs + by, toMs: one.toMs + by };
    });
    return planned.every((was, at) => {
      const one = item(now, at);
      const by = Math.abs(one.fromMs - was.fromMs);
      const inside = one.fromMs >= limits.fromMs && one.toMs <= limits.toMs;
      if (by > 0 && (limits.stay.includes(was.id) || !inside || by > limits.mostMinutes * MINUTE_MS))
        return false;
      return planned.every((before, index) => index <= at || bear([was, before], [one, item(now, index)]));
    });
  };
}

/** Time between two spans; below 0 where one lies over the other. */
function apart(one: Span, other: Span): number {
  return Math.max(one.fromMs, other.fromMs) - Math.min(one.toMs, other.toMs);
}
