import { proxy } from 'comlink';
import type { DaySheet, RunOut } from '@/core/day/daySheet';
import type { Schedule } from '@/core/day/schedule';
import type { Gear } from '@/core/records/outing';
import type { CheckWorth } from '@/core/rehearse/checks';
import type { SimulatedPart } from '@/core/rehearse/simulated';
import type { ReadingWorth } from '@/core/rehearse/reading';
import type { Picks, Rehearsal } from '@/core/rehearse/rehearse';
import type { BetterTimes, TimeLimits, TimesSearch } from '@/core/rehearse/times';
import type { Unknowns } from '@/core/rehearse/unknowns';
import type { WhatIf } from '@/core/rehearse/whatIfs';
import { WorkerClient } from './workerClient';

/** A day as it is planned. */
export interface PlannedDay {
  schedule: Schedule;
  gear: readonly Gear[];
  /** What is made of it, where that was worked out already. */
  sheet: DaySheet | null;
}

/** Which days are drawn. */
export interface DrawnFrom {
  unknowns: Unknowns;
  seed: number;
}

/** What a rehearsal is asked for. */
export interface RehearsalWish extends DrawnFrom {
  draws: number;
}

/** What the cards of a day are told. */
export interface ForCards {
  /** What each check saves, the most first. */
  checks: readonly CheckWorth[];
  /** Of the parts before which the light is read, by their id. */
  readings: ReadonlyMap<string, ReadingWorth>;
}

/** Times that are better; none were found; or it was stopped. */
export type TimesFound = { how: 'better'; times: BetterTimes } | { how: 'none' } | { how: 'stopped' };

/** What one could do otherwise, told once the days are counted. */
export interface Decisions {
  picks: readonly Picks[];
  whatIfs: readonly WhatIf[];
}

/** One part of a drawn day, as it went. */
export type SeenPart = Pick<SimulatedPart, 'id' | 'delayMs' | 'evMin' | 'evMax' | 'failed' | 'slips'>;

/** One drawn day to be looked at. */
export interface LookedAt {
  number: number;
  loss: number;
  parts: readonly SeenPart[];
  /** What cloud leaves of the light, hour by hour of the date, in spreads; `null`: it does not matter. */
  clouds: readonly number[] | null;
  outs: readonly RunOut[];
}

/** What the worker for rehearsals answers. */
export interface RehearseWorker {
  /** Tells as it counts; `null` when another was begun or it was stopped. */
  rehearse: (
    day: PlannedDay,
    wish: RehearsalWish,
    onReport: (report: Rehearsal) => void,
  ) => Promise<Decisions | null>;
  stop: () => void;
  /** What is said of each of these days, by so many of them drawn; nothing else is put off by it. */
  say: (days: readonly PlannedDay[], wish: RehearsalWish) => Promise<Rehearsal[]>;
  /** Days of the rehearsal that was asked for last. */
  look: (from: number, count: number) => LookedAt[];
  /** `readBefore`: ids of the parts before which the light is read. */
  cards: (day: PlannedDay, from: DrawnFrom, readBefore: readonly string[]) => ForCards;
  /** Tells as it tries; one search at a time, the one before is stopped. */
  times: (
    day: PlannedDay,
    from: DrawnFrom,
    limits: TimeLimits,
    onTried: (search: TimesSearch) => void,
  ) => Promise<TimesFound>;
  stopTimes: () => void;
}

const worker = new WorkerClient<RehearseWorker>(
  () => new Worker(new URL('./rehearse.worker.ts', import.meta.url), { type: 'module' }),
);

export function rehearse(
  day: PlannedDay,
  wish: RehearsalWish,
  onReport: (report: Rehearsal) => void,
): Promise<Decisions | null> {
  return worker.ask<Decisions | null>(async (days) => days.rehearse(day, wish, proxy(onReport)));
}

export function stopRehearsal(): void {
  worker.ask((days) => days.stop()).catch(() => undefined);
}

export const sayOfDays = (...asked: Parameters<RehearseWorker['say']>): Promise<Rehearsal[]> =>
  worker.ask<Rehearsal[]>((days) => days.say(...asked));

export const lookAtDays = (from: number, count: number): Promise<LookedAt[]> =>
  worker.ask<LookedAt[]>(async (days) => days.look(from, count));

export const forCards = (...asked: Parameters<RehearseWorker['cards']>): Promise<ForCards> =>
  worker.ask<ForCards>(async (days) => days.cards(...asked));

export function searchTimes(
  day: PlannedDay,
  from: DrawnFrom,
  limits: TimeLimits,
  onTried: (search: TimesSearch) => void,
): Promise<TimesFound> {
  return worker.ask<TimesFound>((days) => days.times(day, from, limits, proxy(onTried)));
}

export function stopTimes(): void {
  worker.ask((days) => days.stopTimes()).catch(() => undefined);
}
