import { proxy } from 'comlink';
import type { Out } from '@/core/day/daySheet';
import type { Schedule } from '@/core/day/schedule';
import type { Gear } from '@/core/records/outing';
import type { LivedPart } from '@/core/rehearse/day';
import type { Picks, Rehearsal } from '@/core/rehearse/rehearse';
import type { Unknowns } from '@/core/rehearse/unknowns';
import type { WhatIf } from '@/core/rehearse/whatIfs';
import { StandingWorker } from './standing';

/** What a rehearsal is asked for. */
export interface RehearsalWish {
  unknowns: Unknowns;
  seed: number;
  draws: number;
}

/** What one could do otherwise, told once the days are counted. */
export interface Decisions {
  picks: readonly Picks[];
  whatIfs: readonly WhatIf[];
}

/** One drawn day to be looked at. */
export interface LookedAt {
  number: number;
  loss: number;
  parts: readonly LivedPart[];
  outs: readonly Out[];
}

/** What the worker for rehearsals answers. */
export interface RehearseWorker {
  /** Tells as it counts; `null` when another was begun or it was stopped. */
  rehearse: (
    day: Schedule,
    gear: readonly Gear[],
    wish: RehearsalWish,
    onReport: (report: Rehearsal) => void,
  ) => Promise<Decisions | null>;
  stop: () => void;
  /** What is said of each of these days, by so many of them drawn; nothing else is put off by it. */
  say: (
    days: readonly { day: Schedule; gear: readonly Gear[] }[],
    wish: RehearsalWish,
  ) => Promise<Rehearsal[]>;
  /** Days of the rehearsal that was asked for last. */
  look: (from: number, count: number) => LookedAt[];
}

const worker = new StandingWorker<RehearseWorker>(
  () => new Worker(new URL('./rehearse.worker.ts', import.meta.url), { type: 'module' }),
);

export function rehearse(
  day: Schedule,
  gear: readonly Gear[],
  wish: RehearsalWish,
  onReport: (report: Rehearsal) => void,
): Promise<Decisions | null> {
  return worker.ask<Decisions | null>(async (days) => days.rehearse(day, gear, wish, proxy(onReport)));
}

export function stopRehearsal(): void {
  worker.ask((days) => days.stop()).catch(() => undefined);
}

export const sayOfDays = (...asked: Parameters<RehearseWorker['say']>): Promise<Rehearsal[]> =>
  worker.ask<Rehearsal[]>((days) => days.say(...asked));

export const lookAtDays = (from: number, count: number): Promise<LookedAt[]> =>
  worker.ask<LookedAt[]>(async (days) => days.look(from, count));
