import type { RecordOf, RecordTable } from '@/core/records/kinds';

/** One record as it was and as it is now; `null` where there was, or is, none. */
export type RecordChange = {
  [T in RecordTable]: {
    table: T;
    before: RecordOf<T> | null;
    after: RecordOf<T> | null;
    /** It follows from another change of the same step, as the camera in a shot does from that of the kit: nobody's edit. */
    derived?: true;
  };
}[RecordTable];

/** One step of undo as it is kept, so that it outlives a reload. */
export interface Step {
  /** Counts up over all windows. */
  at?: number;
  /** The window that took it: no other undoes it. */
  tab: string;
  label: string;
  changes: readonly RecordChange[];
  undone: boolean;
  /** Written as it was decided, by whom each record was changed included: what another device has seen stays seen. */
  exact?: boolean;
  /** When, milliseconds since 1970. */
  taken: number;
}

/** Of the record that changes. */
export function idOf(change: RecordChange): string {
  return (change.before ?? change.after)?.id ?? '';
}
