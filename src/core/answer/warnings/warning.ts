import type { Exposure } from '../../loss/exposure';
import type { MotionFigures } from '../../loss/movement';
import type { Loss } from '../../loss/table';
import type { Candidate } from '../../search/candidate';
import type { Space } from '../../search/space';

/**
 * What will be seen to go wrong, as figures; `words/` says it. A warning is one entry of the list of its chapter: its
 * code, and when it is worth a line and with which figures. Its words stand with the others of its place.
 */
export type Severity = 'stop' | 'caution' | 'note';

/** An answer, as warnings look at it. */
export interface JudgedAnswer {
  space: Space;
  candidate: Candidate;
  loss: Loss;
  exposure: Exposure;
  figures: MotionFigures;
  motion: { blurPctWidth: number; stepPctWidth: number; shakeSmearPctWidth: number };
}

/** One warning: its figures where it is due, `null` where it is not. */
export interface WarningKind<Code extends string, Figures> {
  code: Code;
  find: (seen: JudgedAnswer) => ({ severity: Severity } & Figures) | null;
}

/** Keeps the code as a literal, so that the union of all warnings follows from the lists. */
export function warning<const Code extends string, Figures>(
  code: Code,
  find: WarningKind<Code, Figures>['find'],
): WarningKind<Code, Figures> {
  return { code, find };
}

/** Loss from which a warning is a caution, and from which it stops the shot. */
export const CAUTION_FROM = 0.8;
const STOP_FROM = 3;

export function severityOf(loss: number): Severity {
  return loss >= STOP_FROM ? 'stop' : loss >= CAUTION_FROM ? 'caution' : 'note';
}
