import { create } from 'zustand';
import type { Fault } from '@/core/schema/fault';
import type { MergeRow } from '@/core/merge/merge';
import type { Taking } from '@/formats/incoming';

/** A person's own doing (picked, dropped, pasted), or handed in from without (shared, opened, a folder, codes). */
export type CameBy = 'person' | 'outside';

/** A file that was not taken, and what of it could be all the same. */
export interface NotTaken {
  name: string;
  by: CameBy;
  faults: readonly Fault[];
  sound: Taking | null;
  faulty: readonly string[];
}

/** What came, and what would change of what is kept here: nothing is written before the person has said so. */
export interface ToAsk {
  /** Counts up: two files may have one name. */
  number: number;
  name: string;
  taking: Taking;
  /** Record by record, of records. */
  rows: readonly MergeRow[];
  /** Of anything else, in words. */
  changes: readonly string[];
  leftBehind: readonly string[];
}

/** What the shell shows of files on their way in. */
export const useIncomingState = create<{
  /** The file being read now, how far, and the way to stop it. */
  reading: { name: string; progress: string | null; stop: () => void } | null;
  notTaken: readonly NotTaken[];
  toAsk: readonly ToAsk[];
}>(() => ({ reading: null, notTaken: [], toAsk: [] }));

/** Done with one that was asked about. */
export function asked(one: ToAsk): void {
  useIncomingState.setState(({ toAsk }) => ({ toAsk: toAsk.filter((other) => other !== one) }));
}
