import { proxy, wrap } from 'comlink';
import type { Remote } from 'comlink';
import type { Cure } from '@/core/day/cures';
import type { DaySheet } from '@/core/day/daySheet';
import type { JointDay, JointProgress } from '@/core/day/jointDay';
import type { PlacedDay } from '@/core/day/placedDay';
import type { Gear } from '@/core/records/outing';

/** What is made of a placed day, and for everything that runs out what cures it. */
export interface DayAnswers {
  sheet: DaySheet;
  cures: readonly Cure[];
}

/** What the worker for days answers. Answers of shots are kept in it from one question to the next. */
export interface DayWorker {
  work: (day: PlacedDay, gear: readonly Gear[]) => DayAnswers;
  /** `null` when it was cancelled on the way. */
  joint: (
    day: PlacedDay,
    gear: readonly Gear[],
    onProgress: (progress: JointProgress) => void,
  ) => Promise<JointDay | null>;
  cancelJoint: () => void;
}

let started: Remote<DayWorker> | null = null;

function worker(): Remote<DayWorker> {
  return (started ??= wrap<DayWorker>(
    new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' }),
  ));
}

export function workDay(day: PlacedDay, gear: readonly Gear[]): Promise<DayAnswers> {
  return worker().work(day, gear);
}

export function solveDayJointly(
  day: PlacedDay,
  gear: readonly Gear[],
  onProgress: (progress: JointProgress) => void,
): Promise<JointDay | null> {
  return worker().joint(day, gear, proxy(onProgress));
}

export function cancelJoint(): void {
  void worker().cancelJoint();
}
