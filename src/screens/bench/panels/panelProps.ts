import type { Solution } from '@/core/answer/solve';
import type { Answer } from '@/core/records/answerFile';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { ShotEditing } from '../../data/useShotEditing';

/** What a panel of the Bench may draw on. */
export interface PanelProps {
  record: ShotRecord;
  /** The figures, and the words, which are made when they are first read; of a time-lapse none. */
  answered: { readonly solution: Solution; readonly answer: Answer | null };
  /** The camera that is open. */
  editing: ShotEditing;
  /** The shot with all its cameras. */
  whole: ShotEditing;
}
