import type { Fault } from '@/core/plan/faults';

/** What was taken in, in words; or why nothing was. */
export type Took = { ok: true; said: string } | { ok: false; faults: readonly Fault[] };
