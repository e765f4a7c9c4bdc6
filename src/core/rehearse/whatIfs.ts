import { camerasOf } from '../day/schedule';
import type { Memo } from '../day/daySheet';
import type { Schedule } from '../day/schedule';
import { USUAL_CARD_GB, USUAL_WRITE_MBPS } from '../camera/card';
import { USUAL_CELL } from '../camera/power';
import type { Gear } from '../records/outing';
import { planOf } from './plan';
import type { Plan } from './plan';
import { Rehearsing } from './rehearse';
import type { Unknowns } from './unknowns';

/** One thing more for a day, and what it changes, lived through on the same days. */
export type WhatIf = {
  /** Chance that everything lasts, and mean loss of a day, before and after. */
  lasts: [before: number, after: number];
  loss: [before: number, after: number];
} & Thing;

export type Thing =
  | { what: 'cell' | 'card'; gear: Gear }
  | { what: 'break'; beforeEntryId: string; fromMs: number; minutes: number }
  /** A stop within a recording, so that its cameras can be reached. */
  | { what: 'stop'; entryId: string; afterMinutes: number; minutes: number };

/** Enough days to tell what is worth telling. */
const DAYS = 400;
/** A break takes its place in the plan from this on, minutes, and is no longer than that. */
const BREAK_FROM = 5;
const BREAK_MOST = 20;
/** Recordings from this on may be stopped half way, for so long; minutes. */
const STOP_FROM = 15;
const STOP_MINUTES = 5;
/** What changes less is not told. */
const TOLD_LOSS = 0.02;
const TOLD_CHANCE = 0.01;

/** What one more cell, card or break would change, the most helpful first. */
export function whatIfs(plan: Plan, unknowns: Unknowns, seed: number, memo: Memo): WhatIf[] {
  const { schedule, gear } = plan;
  const before = outcomeOf(plan, unknowns, seed);
  const things = [...moreGear(schedule, gear), ...moreBreaks(schedule), ...moreStops(schedule)];
  const tried = things.map((thing): WhatIf => {
    const after = outcomeOf(planned(thing, schedule, gear, memo), unknowns, seed);
    return { ...thing, lasts: [before.lasts, after.lasts], loss: [before.loss, after.loss] };
  });
  return tried
    .filter(({ lasts, loss }) => loss[0] - loss[1] > TOLD_LOSS || lasts[1] - lasts[0] > TOLD_CHANCE)
    .sort((one, other) => savedBy(other) - savedBy(one));
}

function planned(thing: Thing, schedule: Schedule, gear: readonly Gear[], memo: Memo): Plan {
  switch (thing.what) {
    case 'break':
      return planOf(withBreak(schedule, thing), gear, memo);
    case 'stop':
      return planOf(withStop(schedule, thing), gear, memo);
    case 'cell':
    case 'card':
      return planOf(schedule, withGear(gear, thing.gear), memo);
  }
}

/** A chance that something runs out weighs as a lost clip does. */
function savedBy({ lasts, loss }: WhatIf): number {
  return loss[0] - loss[1] + lasts[1] - lasts[0];
}

function outcomeOf(plan: Plan, unknowns: Unknowns, seed: number): { lasts: number; loss: number } {
  const rehearsing = new Rehearsing(plan, unknowns, seed);
  rehearsing.run(DAYS);
  const { everythingLasts, lossMean } = rehearsing.report();
  return { lasts: everythingLasts.p, loss: lossMean };
}

function moreGear({ parts }: Schedule, gear: readonly Gear[]): Thing[] {
  return camerasOf(parts).flatMap(({ id }): Thing[] => {
    const own: Gear = gear.find(({ cameraId }) => cameraId === id) ?? {
      cameraId: id,
      cards: [],
      charging: 'none',
    };
    const cells = own.cells ?? { ...USUAL_CELL };
    const card = own.cards.at(-1) ?? {
      name: `${USUAL_CARD_GB} GB`,
      capacityGb: USUAL_CARD_GB,
      writeMBps: USUAL_WRITE_MBPS,
    };
    return [
      { what: 'cell', gear: { ...own, cells: { ...cells, count: cells.count + 1 } } },
      { what: 'card', gear: { ...own, cards: [...(own.cards.length > 0 ? own.cards : [card]), card] } },
    ];
  });
}

function withGear(gear: readonly Gear[], own: Gear): Gear[] {
  return [...gear.filter(({ cameraId }) => cameraId !== own.cameraId), own];
}

/** Where nothing is planned between two shots, time for one. */
function moreBreaks({ parts, pauses }: Schedule): Extract<Thing, { what: 'break' }>[] {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()];
  return entries.flatMap((part, at) => {
    if (at === 0) return [];
    const before = parts.filter((one) => one.fromMs < part.fromMs && one.entryId !== part.entryId);
    const fromMs = Math.max(...before.map(({ toMs }) => toMs));
    const minutes = Math.floor((part.fromMs - fromMs) / 60_000);
    const taken = pauses.some(
      (pause) => pause.kind === 'break' && pause.fromMs < part.fromMs && pause.toMs > fromMs,
    );
    if (taken || minutes < BREAK_FROM) return [];
    return [{ what: 'break', beforeEntryId: part.entryId, fromMs, minutes: Math.min(BREAK_MOST, minutes) }];
  });
}

function withBreak(
  schedule: Schedule,
  { beforeEntryId, fromMs, minutes }: Extract<Thing, { what: 'break' }>,
): Schedule {
  const pause = {
    id: `break before ${beforeEntryId}`,
    kind: 'break' as const,
    name: '',
    fromMs,
    toMs: fromMs + minutes * 60_000,
    outOfReach: [],
  };
  return { ...schedule, pauses: [...schedule.pauses, pause].sort((a, b) => a.fromMs - b.fromMs) };
}

function moreStops({ parts }: Schedule): Extract<Thing, { what: 'stop' }>[] {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()];
  return entries.flatMap(({ entryId, stretches, fromMs, toMs }) => {
    const minutes = (toMs - fromMs) / 60_000;
    if (stretches.length > 1 || minutes < STOP_FROM) return [];
    return [{ what: 'stop', entryId, afterMinutes: Math.round(minutes / 2), minutes: STOP_MINUTES }];
  });
}

function withStop(
  schedule: Schedule,
  { entryId, afterMinutes, minutes }: Extract<Thing, { what: 'stop' }>,
): Schedule {
  return {
    ...schedule,
    parts: schedule.parts.map((part) => {
      if (part.entryId !== entryId) return part;
      const stopMs = part.fromMs + afterMinutes * 60_000;
      const goesOnMs = stopMs + minutes * 60_000;
      const toMs = part.toMs + minutes * 60_000;
      return {
        ...part,
        toMs,
        stretches: [
          { fromMs: part.fromMs, toMs: stopMs },
          { fromMs: goesOnMs, toMs },
        ],
      };
    }),
  };
}
