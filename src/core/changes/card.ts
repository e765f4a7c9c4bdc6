import { USUAL_CARD_GB, USUAL_WRITE_MBPS } from '../camera/card';
import type { Gear } from '../records/outing';

export type Card = Gear['cards'][number];

/** Sizes that are sold, gigabytes (start). */
const SIZES_GB = [64, 128, 256, 512, 1024];

export function cardOf(capacityGb: number, writeMBps: number): Card {
  return { name: `Card ${capacityGb} GB`, capacityGb, writeMBps };
}

/** One more card, like the last; what nobody told is the usual. */
export function oneCardMore(own: Gear): Gear {
  const card = own.cards.at(-1) ?? cardOf(USUAL_CARD_GB, USUAL_WRITE_MBPS);
  return { ...own, cards: [...(own.cards.length > 0 ? own.cards : [card]), card] };
}

/** A larger card in the place of the first, the smallest first; as fast as the first at least. */
export function withLargerCard({ cards, ...own }: Gear, writeMBps: number): Gear[] {
  const [first, ...others] = cards;
  return SIZES_GB.filter((gb) => gb > (first?.capacityGb ?? 0)).map((gb) => ({
    ...own,
    cards: [cardOf(gb, writeMBps), ...others],
  }));
}
