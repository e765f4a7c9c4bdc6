import type { SchoolId } from '../vocabulary/schools';
import type { Brief } from '../brief/brief';
import { lossOf } from './candidate';
import type { Candidate } from './candidate';
import type { Pins } from '../records/settings';
import { schoolOf } from '../loss/schools';
import type { School } from '../loss/schools';
import { search, searchBelow } from './search';
import { spaceFor } from './space';
import type { Space } from './space';
import { underPins } from './workings';
import { scoreOf, TERMS } from '../loss/table';
import type { Loss, Term } from '../loss/table';

/** Another brief or school, solved, and judged with the eyes of the answer at hand, so that the two compare. */
export interface Judged {
  space: Space;
  candidate: Candidate;
  loss: Loss;
  /** Under the weights of the answer's school. */
  score: number;
}

export interface TermChange {
  term: Term;
  by: number;
}

/** Changes of weighted loss below this are not worth a word. */
export const WORTH_A_WORD = 0.05;

/** `null` where nothing keeps the other brief's pins. */
export function judgedBy(space: Space, other: Brief, schoolId: SchoolId): Judged | null {
  const made = spaceFor(other, schoolOf(other.look, schoolId));
  const found = made.ok ? search(made.space) : null;
  return made.ok && found ? judged(space, made.space, found.candidate) : null;
}

/** The same brief with other pins, seen by a school; `null` where nothing keeps them. */
export function solvedWith(brief: Brief, pins: Pins, school: School): Judged | null {
  const made = spaceFor(underPins(brief, pins), school);
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) return null;
  const { candidate, score } = found;
  return { space: made.space, candidate, loss: lossOf(made.space, candidate), score };
}

/** What another school makes of the same brief; it would lose no more than by taking the answer at hand. */
export function judgedBySchool(space: Space, answer: Candidate, schoolId: SchoolId): Judged | null {
  const made = spaceFor(space.brief, schoolOf(space.brief.look, schoolId));
  if (!made.ok) return null;
  const atMost = scoreOf(lossOf(made.space, answer), made.space.school.weights);
  const found = searchBelow(made.space, atMost + SCORE_SLACK);
  return judged(space, made.space, found?.candidate ?? answer);
}

/** More than two ways of adding up one score can differ. */
const SCORE_SLACK = 1e-9;

function judged(space: Space, theirs: Space, candidate: Candidate): Judged {
  // Only what the edit does to the frame belongs to the other way itself.
  const { steadiedInEdit } = theirs.school;
  const loss = lossOf({ ...theirs, school: { ...space.school, steadiedInEdit } }, candidate);
  // Steadied in the edit is steadied, for a school that wants the movement.
  const { stabilization } = space.school.wishes;
  if (steadiedInEdit && !space.school.steadiedInEdit && stabilization?.among.includes('off'))
    loss.wish += stabilization.price.value;
  return { space: theirs, candidate, loss, score: scoreOf(loss, space.school.weights) };
}

/** The terms that get better and worse from one loss to another, the largest first. */
export function changesFrom(
  { school }: Pick<Space, 'school'>,
  from: Loss,
  to: Loss,
): { gains: TermChange[]; costs: TermChange[] } {
  const changes = TERMS.map((term) => ({ term, by: school.weights[term] * (to[term] - from[term]) }));
  return {
    gains: changes.filter(({ by }) => by < -WORTH_A_WORD).sort((a, b) => a.by - b.by),
    costs: changes.filter(({ by }) => by > WORTH_A_WORD).sort((a, b) => b.by - a.by),
  };
}
