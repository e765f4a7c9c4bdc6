import { create } from 'zustand';
import type { Fault } from '@/core/schema/fault';
import type { MergeRow } from '@/core/merge/merge';
import type { Records } from '@/core/records/kinds';
import type { Taking } from '@/formats/incoming';

/** A file that was not taken, and what of it could be all the same. */
export interface NotTaken {
  name: string;
  faults: readonly Fault[];
  sound: Taking | null;
  faulty: readonly string[];
}

/** Records of a file that differ from those kept here: what is to become of each is asked first. */
export interface ToMerge {
  /** Counts up: two files may have one name. */
  number: number;
  name: string;
  records: Records;
  rows: readonly MergeRow[];
  leftBehind: readonly string[];
}

/** What the shell shows of files on their way in. */
export const useIncomingState = create<{
  /** The file being read now, how far, and the way to stop it. */
  reading: { name: string; progress: string | null; stop: () => void } | null;
  notTaken: readonly NotTaken[];
  toMerge: readonly ToMerge[];
}>(() => ({ reading: null, notTaken: [], toMerge: [] }));
