import type { DayPart } from '../day/schedule';
import type { Pins } from '../records/settings';
import { changesOfParts } from './shots';
import type { ShotChanges } from './shots';

/** Settings that parts of a day hold. */
export interface PinsChange {
  what: 'pins';
  pins: readonly PartPins[];
}

export interface PartPins {
  partId: string;
  pins: Pins;
}

/** The shots that hold these pins, beside what is pinned there. */
export function pinsTaken(parts: readonly DayPart[], pins: readonly PartPins[]): ShotChanges {
  const wanted = new Map(pins.map((one) => [one.partId, one.pins]));
  return changesOfParts(
    parts.filter(({ id }) => wanted.has(id)),
    (shot, { id }) => ({ ...shot, pins: { ...shot.pins, ...wanted.get(id) } }),
  );
}
