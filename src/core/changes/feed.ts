import type { DayPart } from '../day/schedule';
import { camerasOf } from '../day/schedule';
import type { Gear, Outing } from '../records/outing';

/** A camera of a day is fed from something else: another card, cell or bank. */
export interface FeedChange {
  what: 'card' | 'cell' | 'bank';
  gear: Gear;
}

/** What a camera is fed from; nothing told where nobody did. */
export function gearOfCamera(gear: readonly Gear[], cameraId: string): Gear {
  return gear.find((one) => one.cameraId === cameraId) ?? { cameraId, cards: [], charging: 'none' };
}

/** One camera fed so, and the others as they are. */
export function fedSo(gear: readonly Gear[], own: Gear): Gear[] {
  return [...gear.filter(({ cameraId }) => cameraId !== own.cameraId), own];
}

export function outingFedSo(outing: Outing, own: Gear): Outing {
  return { ...outing, gear: fedSo(outing.gear, own) };
}

/** The same change for each camera of a day. */
export function forEachCamera(
  parts: readonly DayPart[],
  gear: readonly Gear[],
  what: FeedChange['what'],
  more: (own: Gear) => Gear,
): FeedChange[] {
  return camerasOf(parts).map(({ id }) => ({ what, gear: more(gearOfCamera(gear, id)) }));
}
