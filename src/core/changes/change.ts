import type { DayPart, Schedule } from '../day/schedule';
import type { Gear, Outing } from '../records/outing';
import { breakTaken, withBreak } from './break';
import type { BreakChange } from './break';
import { fedSo, outingFedSo } from './feed';
import type { FeedChange } from './feed';
import { filterTaken, withFilter } from './filter';
import type { FilterChange } from './filter';
import { pinsTaken } from './pins';
import type { PinsChange } from './pins';
import { allOf } from './shots';
import type { ShotChanges } from './shots';
import { stopTaken, withStop } from './stop';
import type { StopChange, StopsChange } from './stop';
import { shifted, shiftsOf, timesTaken } from './times';
import type { TimesChange } from './times';

/**
 * What can be changed of a day. Each has a module beside this one: what of it a day offers, how it changes the day that is worked
 * out, and what taking it does to outing and shots. Who judges which of them are worth taking stands elsewhere: `cures` where
 * something runs out, `rehearse` by the chances of a day, `worth` by what there is to buy.
 */
export type Change =
  | FeedChange
  | FilterChange
  | BreakChange
  | StopChange
  | StopsChange
  | TimesChange
  | PinsChange;

/** A day as it is worked out, and what its cameras are fed from. */
export interface FedDay {
  schedule: Schedule;
  gear: readonly Gear[];
}

/** The day with this changed; pins change what is answered, and are asked of the answer. */
export function changed({ schedule, gear }: FedDay, change: Exclude<Change, PinsChange>): FedDay {
  switch (change.what) {
    case 'card':
    case 'cell':
    case 'bank':
      return { schedule, gear: fedSo(gear, change.gear) };
    case 'filter':
      return { schedule: { ...schedule, parts: withFilter(schedule.parts, change) }, gear };
    case 'break':
      return { schedule: { ...schedule, pauses: withBreak(schedule.pauses, change) }, gear };
    case 'stop':
    case 'stops':
      return { schedule: { ...schedule, parts: withStop(schedule.parts, change) }, gear };
    case 'times':
      return { schedule: shifted(schedule, shiftsOf(change)), gear };
  }
}

/** Where a change is taken, and what only who takes it can give. */
export interface TakenOn {
  dayId: string;
  newId: () => string;
  breakName: string;
  /** The time of the clock at an instant, "09:05". */
  clockAt: (atMs: number) => string;
}

/** The outing with these changes taken. */
export function outingTaken(outing: Outing, changes: readonly Change[], on: TakenOn): Outing {
  return changes.reduce((before, change): Outing => {
    switch (change.what) {
      case 'card':
      case 'cell':
      case 'bank':
        return outingFedSo(before, change.gear);
      case 'break':
        return breakTaken(before, on.dayId, change, {
          id: on.newId(),
          name: on.breakName,
          at: on.clockAt(change.fromMs),
        });
      case 'stop':
      case 'stops':
        return stopTaken(before, on.dayId, change);
      case 'times':
        return timesTaken(before, on.dayId, change, on.clockAt);
      case 'filter':
      case 'pins':
        return before;
    }
  }, outing);
}

/** What becomes of shots with these changes taken; light that follows the sun goes with entries that moved, which is the caller's. */
export function shotsTaken(parts: readonly DayPart[], changes: readonly Change[]): ShotChanges {
  return allOf(
    changes.map((change): ShotChanges => {
      if (change.what === 'filter') return filterTaken(parts, change);
      return change.what === 'pins' ? pinsTaken(parts, change.pins) : new Map();
    }),
  );
}
