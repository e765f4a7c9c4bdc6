import * as messages from '@/language/rehearsal';
import type { Chance } from '@/core/rehearse/chance';
import type { Failure } from '@/core/rehearse/simulated';
import type { RehearsedShot } from '@/core/rehearse/rehearse';
import { trimmed } from '@/core/units/format';

/** "34 %", "under 1 %" */
export function chancePct({ p }: Pick<Chance, 'p'>): string {
  return p > 0 && p < 0.01 ? messages.under1 : messages.pct({ p: pct(p) });
}

/** "31–37" */
export function rangeText({ low, high }: Chance): string {
  return messages.range({ low: pct(low), high: pct(high) });
}

export function pct(share: number): string {
  return trimmed(100 * share, 0);
}

export function failureText(code: Failure): string {
  return messages.failure[code];
}

/** What makes a shot fail most often; `null`: nothing does. */
export function worstOf({ chances }: RehearsedShot): Failure | null {
  const [first] = (Object.entries(chances) as [Failure, Chance][]).sort(([, a], [, b]) => b.p - a.p);
  return first && first[1].p > 0 ? first[0] : null;
}

/** With more shots than these a day is told over and over only where it is in sight, and drawn with fewer pieces. */
export const LONG_DAY = 60;
