import type { Figure } from '../records/learned';
import type { DayKind } from './figures';

/**
 * One thing that came back, told of the figures behind it: the sum of their deviations from the usual, each times its
 * factor, *is* so much, or lies *above* or *below* a bound. All in the figures' natural scale.
 */
export interface Evidence {
  /** Of the recording or day it comes from; with `of`, which of its kind. */
  id: string;
  of: readonly Part[];
  says: 'is' | 'above' | 'below';
  at: number;
  /** Scale of its own error, without the day's. */
  error: number;
  /** Whose evidence of this kind is off together; `null`: it stands alone. */
  day: { date: string; kind: DayKind } | null;
}

export interface Part {
  figure: Figure;
  usual: number;
  times: number;
}
