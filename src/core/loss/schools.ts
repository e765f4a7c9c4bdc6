import { SCHOOL_HABITS, SCHOOL_IDS } from '../vocabulary/schools';
import type { SchoolHabits, SchoolId } from '../vocabulary/schools';
import { EVEN_WEIGHTS } from './table';
import type { Weights } from './table';

/** A school as the solver takes it: every term has its weight. */
export interface School extends SchoolHabits {
  id: SchoolId;
  weights: Weights;
}

export const SCHOOLS = Object.fromEntries(
  SCHOOL_IDS.map((id): [SchoolId, School] => {
    const habits: SchoolHabits = SCHOOL_HABITS[id];
    return [id, { ...habits, id, weights: { ...EVEN_WEIGHTS, ...habits.weights } }];
  }),
) as Readonly<Record<SchoolId, School>>;
