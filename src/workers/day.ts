import { proxy } from 'comlink';
import type { Cure } from '@/core/cures/cure';
import type { DaySheet } from '@/core/day/daySheet';
import type { JointDay, JointProgress } from '@/core/cures/jointDay';
import type { Schedule } from '@/core/day/schedule';
import type { Gear, Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { RecentAnswers } from './recentAnswers';
import { askedRecently } from './recentlyUsed';
import { WorkerClient } from './workerClient';
import type { ShortAnswer } from './shots';

/** What is made of a scheduled day, and the cures of everything that runs out. */
interface DayAnswers {
  sheet: DaySheet;
  cures: readonly Cure[];
}

/** What the worker for days answers. Answers of shots are kept in it from one question to the next. */
export interface DayWorker {
  work: (day: Schedule, gear: readonly Gear[]) => DayAnswers;
  /** The main camera of each shot of a day as it is carried, by the entry. */
  carried: (outing: Outing, dayId: string, shots: readonly ShotRecord[]) => ReadonlyMap<string, ShortAnswer>;
  /** `null` when it was cancelled on the way. */
  joint: (
    day: Schedule,
    gear: readonly Gear[],
    onProgress: (progress: JointProgress) => void,
  ) => Promise<JointDay | null>;
  cancelJoint: () => void;
}

const worker = new WorkerClient<DayWorker>(
  () => new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' }),
);

/** Days kept as they were answered; a person goes to and fro between a day and its shots. */
const MOST_KEPT = 12;

/** A scheduled day and what its cameras carry: the same day has the same answers. */
type DayQuestion = readonly [Schedule, readonly Gear[]];
const known = new RecentAnswers<DayQuestion, DayAnswers>(MOST_KEPT);

/** What was answered before of this very day; `null` where it was not asked yet. */
export function knownDay(...question: DayQuestion): DayAnswers | null {
  return known.get(question) ?? null;
}

export async function workDay(...question: DayQuestion): Promise<DayAnswers> {
  return known.get(question) ?? known.put(question, await worker.ask((days) => days.work(...question)));
}

type CarriedQuestion = readonly [outing: Outing, dayId: string, shots: readonly ShotRecord[]];
const carried = new RecentAnswers<CarriedQuestion, Promise<ReadonlyMap<string, ShortAnswer>>>(MOST_KEPT);

/** What a list tells of the shots of a day, by the entry; nothing of it is worked out in the page. */
export function carriedAnswers(...question: CarriedQuestion): Promise<ReadonlyMap<string, ShortAnswer>> {
  return askedRecently(carried, question, () => worker.ask((days) => days.carried(...question)));
}

export function solveDayJointly(
  day: Schedule,
  gear: readonly Gear[],
  onProgress: (progress: JointProgress) => void,
): Promise<JointDay | null> {
  return worker.ask((days) => days.joint(day, gear, proxy(onProgress)));
}

export function cancelJoint(): void {
  worker.ask((days) => days.cancelJoint()).catch(() => undefined);
}
