'use client';

import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import type { ShotEditing } from '../../../data/useShotEditing';
import { FilterPlan } from './FilterPlan';
import styles from './light.module.css';

/** Which filter for this light, argued against the others of the bag. */
export function FiltersPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { light } = solution.space.brief;
  return (
    <div className={styles.panel}>
      <FilterPlan light={light.kind === 'sun' ? light : null} solution={solution} editing={editing} />
    </div>
  );
}
