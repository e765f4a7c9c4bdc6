import { READY_SCHOOLS, SCHOOL_HABITS } from '../vocabulary/schools';
import type { OwnWeights, SchoolHabits, SchoolId } from '../vocabulary/schools';
import { EVEN_WEIGHTS } from './table';
import type { Weights } from './table';

/** A school as the solver takes it: every term has its weight. */
export interface School extends SchoolHabits {
  id: SchoolId;
  weights: Weights;
}

/** Which school a shot is filmed to, and what the person's own weighs; `null`: there is none. */
interface SchoolChoice {
  school: SchoolId;
  mine: OwnWeights | null;
}

const READY = new Map<SchoolId, School>(
  READY_SCHOOLS.map((id) => [id, schoolFrom(id, SCHOOL_HABITS[id], SCHOOL_HABITS[id].weights)]),
);

/** The person's own, by its weights: what stands ready for a school is kept by it. */
const own = new WeakMap<OwnWeights, School>();
const UNFITTED: OwnWeights = {};

/** The school of a shot, or another as that shot knows it. One's own that nobody fitted weighs evenly. */
export function schoolOf(choice: SchoolChoice, id: SchoolId = choice.school): School {
  const ready = READY.get(id);
  if (ready) return ready;
  const weights = choice.mine ?? UNFITTED;
  const known = own.get(weights);
  if (known) return known;
  const made = schoolFrom('mine', SCHOOL_HABITS.weigh, weights);
  own.set(weights, made);
  return made;
}

/** The schools that a shot may be filmed to: one's own only where there is one. */
export function schoolsFor({ school, mine }: SchoolChoice): readonly SchoolId[] {
  return mine || school === 'mine' ? [...READY_SCHOOLS, 'mine'] : READY_SCHOOLS;
}

function schoolFrom(id: SchoolId, habits: SchoolHabits, weights: OwnWeights): School {
  return { ...habits, id, weights: { ...EVEN_WEIGHTS, ...weights } };
}

/** A school where a hold would make the cabin swim: nothing is steadied, and nobody wishes for it. */
export function withoutHold(school: School): School {
  const { stabilization, ...wishes } = school.wishes;
  const wanted = stabilization?.among.includes('off') ? { stabilization } : {};
  return { ...school, steadiedInEdit: false, wishes: { ...wishes, ...wanted } };
}
