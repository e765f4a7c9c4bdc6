import type { Span } from '../light/sun/day';
import type { PartAnswer } from './partAnswer';
import { recordingLoad } from './recording';
import type { RecordingLoad } from './recording';
import { chanceIn } from './schedule';
import type { DayPart, Pause, Schedule } from './schedule';

/** A part with what it records and how. */
export interface Recorded {
  part: DayPart;
  answer: PartAnswer;
  /** What it asks of its camera where that is known otherwise. */
  load?: RecordingLoad;
}

/** A recording without a stop, with what it asks of its camera. */
export interface Stretch extends Span {
  part: DayPart;
  load: RecordingLoad;
  /** Time before it in which the camera can be touched; `null`: none. The first of the day is always got ready. */
  chance: Span | null;
  first: boolean;
}

/** A part that begins before the one before it has ended. */
export interface Clash {
  partId: string;
  withId: string;
  atMs: number;
}

/** What one camera records, in order; what overlaps is counted once. */
export function stretchesOf(
  cameraId: string,
  recorded: readonly Recorded[],
  pauses: readonly Pause[],
): { stretches: Stretch[]; clashes: Clash[] } {
  const stretches: Stretch[] = [];
  const clashes: Clash[] = [];
  let before: { toMs: number; partId: string } | null = null;
  for (const one of [...recorded].sort((a, b) => a.part.fromMs - b.part.fromMs)) {
    const { part, answer, load = recordingLoad(part, answer) } = one;
    if (before && before.toMs > part.fromMs + 1)
      clashes.push({ partId: part.id, withId: before.partId, atMs: part.fromMs });
    for (const [index, span] of part.stretches.entries()) {
      // One camera films one thing at a time: what is under way goes on.
      const fromMs: number = Math.max(span.fromMs, before?.toMs ?? span.fromMs);
      if (fromMs >= span.toMs) continue;
      const gap: Span = { fromMs: before?.toMs ?? fromMs, toMs: fromMs };
      // A pause within a recording was made to reach the camera.
      const chance = before === null ? null : index > 0 ? gap : chanceIn(pauses, cameraId, gap);
      stretches.push({ fromMs, toMs: span.toMs, part, load, chance, first: before === null });
      before = { toMs: span.toMs, partId: part.id };
    }
  }
  return { stretches, clashes };
}

/** How long a span is. */
export function seconds({ fromMs, toMs }: Span): number {
  return Math.max(0, toMs - fromMs) / 1000;
}

/** Of the day, from midnight. */
export function hourOf(atMs: number, { fromMs }: Pick<Schedule, 'fromMs'>): number {
  return (atMs - fromMs) / 3_600_000;
}

/** What is asked from this stretch up to the next at which the camera can be touched. */
export function untilNextChance(
  stretches: readonly Stretch[],
  at: number,
  of: (stretch: Stretch) => number,
): number {
  let need = 0;
  for (let index = at; index < stretches.length; index += 1) {
    const stretch = stretches[index];
    if (!stretch || (index > at && stretch.chance)) break;
    need += of(stretch);
  }
  return need;
}
