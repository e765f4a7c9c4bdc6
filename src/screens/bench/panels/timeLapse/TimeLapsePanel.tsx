import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { ShotEditing } from '../../../data/useShotEditing';
import { Loop } from './Loop';
import { TimeLapse } from './TimeLapse';
import styles from './timeLapse.module.css';

/**
 * Pictures at an interval and loops that keep the last minutes, worked out for this shot's camera, light and filters: tried
 * here, and kept as the shot's recording with a press.
 */
export function TimeLapsePanel({ brief, editing }: { brief: Brief; editing: ShotEditing }): ReactNode {
  return (
    <div className={styles.columns}>
      <TimeLapse brief={brief} editing={editing} />
      <Loop brief={brief} editing={editing} />
    </div>
  );
}
