import type { Gear } from '../records/outing';
import { start } from '../units/estimate';

/** Sizes that are sold, ampere hours (start). */
export const BANKS_AH = [5, 10, 20];
export const OFFERED_BANK_AH = start(10, 'what a pocket bears; a phone is charged from it as well');

export function withBank(
  own: Gear,
  ampereHours: number,
  charging: 'breaks' | 'recording',
): Gear & { bank: { ampereHours: number } } {
  return { ...own, bank: { ampereHours }, charging };
}

/** A bank that charges at every break, or while recording where that is done already; itself where there is one. */
export function withOfferedBank(own: Gear): Gear {
  if (own.bank) return own;
  return withBank(own, OFFERED_BANK_AH.value, own.charging === 'recording' ? 'recording' : 'breaks');
}
