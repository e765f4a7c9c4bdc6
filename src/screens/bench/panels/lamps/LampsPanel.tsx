'use client';

import type { ReactNode } from 'react';
import type { Solution } from '@/core/answer/solve';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from '../light/light.module.css';
import { Face } from './Face';
import { Flicker } from './Flicker';

/** Lamps that pulse, and a face against a brighter background. */
export function LampsPanel({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  return (
    <div className={styles.panel}>
      <Flicker solution={solution} editing={editing} />
      <Face solution={solution} />
    </div>
  );
}
