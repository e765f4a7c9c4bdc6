import { proxy, wrap } from 'comlink';
import type { Remote } from 'comlink';
import type { Cure } from '@/core/day/cures';
import type { DaySheet } from '@/core/day/daySheet';
import type { JointDay, JointProgress } from '@/core/day/jointDay';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';

/** A day worked out, and for everything that runs out what cures it. */
export interface DayWorked {
  dayId: string;
  sheet: DaySheet;
  cures: readonly Cure[];
}

/** What the worker for days answers. Answers of shots are kept in it from one question to the next. */
export interface DayWorker {
  work: (outing: Outing, dayId: string, shots: readonly ShotRecord[]) => DayWorked;
  /** `null` when it was cancelled on the way. */
  joint: (
    outing: Outing,
    dayId: string,
    shots: readonly ShotRecord[],
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

export function workDay(outing: Outing, dayId: string, shots: readonly ShotRecord[]): Promise<DayWorked> {
  return worker().work(outing, dayId, shots);
}

export function solveDayJointly(
  outing: Outing,
  dayId: string,
  shots: readonly ShotRecord[],
  onProgress: (progress: JointProgress) => void,
): Promise<JointDay | null> {
  return worker().joint(outing, dayId, shots, proxy(onProgress));
}

export function cancelJoint(): void {
  void worker().cancelJoint();
}
