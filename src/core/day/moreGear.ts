import { USUAL_CARD_GB, USUAL_WRITE_MBPS } from '../camera/card';
import { USUAL_CELL } from '../camera/power';
import type { Gear } from '../records/outing';

/** What a camera is fed from, with something more; what nobody told is the usual. */

export function gearOfCamera(gear: readonly Gear[], cameraId: string): Gear {
  return gear.find((one) => one.cameraId === cameraId) ?? { cameraId, cards: [], charging: 'none' };
}

export function oneCellMore(own: Gear): Gear {
  const cells = own.cells ?? { ...USUAL_CELL };
  return { ...own, cells: { ...cells, count: cells.count + 1 } };
}

/** Another like the last. */
export function oneCardMore(own: Gear): Gear {
  const card = own.cards.at(-1) ?? {
    name: `${USUAL_CARD_GB} GB`,
    capacityGb: USUAL_CARD_GB,
    writeMBps: USUAL_WRITE_MBPS,
  };
  return { ...own, cards: [...(own.cards.length > 0 ? own.cards : [card]), card] };
}

/** A bank that charges it at every break. */
export function withBank(own: Gear, ampereHours: number): Gear {
  return { ...own, bank: { ampereHours }, charging: own.charging === 'recording' ? 'recording' : 'breaks' };
}
