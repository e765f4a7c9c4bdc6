import type { CameraProfile } from '../camera/profile';
import type { Filter } from '../filters/filterSchema';
import { omit } from '../units/omit';
import type { KitItem, Thing } from './kitItem';
import type { Gear, Outing } from './outing';
import type { Shot } from './shot';

/** What a new shot starts with of a person's own kit: their first camera, and all that goes into its bag. */
export interface OwnKit {
  camera: CameraProfile;
  filters: readonly Filter[];
  cards: readonly Extract<Thing, { what: 'card' }>[];
  cells: Extract<Thing, { what: 'cell' }> | null;
  bank: Extract<Thing, { what: 'bank' }> | null;
}

/** `null`: they own no camera yet. What came with the demo is nobody's, and what is put away is not taken along. */
export function ownKitOf(items: readonly KitItem[]): OwnKit | null {
  const things = items.filter(({ demo, archived }) => !demo && !archived).map(({ thing }) => thing);
  const first = things.find((thing) => thing.what === 'camera');
  if (!first) return null;
  return {
    camera: first.profile,
    filters: things.flatMap((thing) => (thing.what === 'filter' ? [thing.filter] : [])),
    cards: things.filter((thing) => thing.what === 'card'),
    cells: things.find((thing) => thing.what === 'cell') ?? null,
    bank: things.find((thing) => thing.what === 'bank') ?? null,
  };
}

/** A shot filmed with it, where it does not say otherwise. A bag without any filter is taken to be not told yet. */
export function startedWith(shot: Shot, own: OwnKit | null): Shot {
  if (!own || shot.camera) return shot;
  const { camera, filters, cards } = own;
  const [card] = cards;
  return {
    ...shot,
    camera: { profile: camera },
    ...(shot.filters || filters.length === 0 ? {} : { filters: [...filters] }),
    ...(card ? { limits: { cardGb: card.capacityGb, ...shot.limits } } : {}),
  };
}

/** An outing in which the camera is fed from the person's own cards, cells and bank, unless it says what from. */
export function fedFromOwn(outing: Outing, cameraId: string, own: OwnKit | null): Outing {
  if (own?.camera.id !== cameraId || outing.gear.some((gear) => gear.cameraId === cameraId)) return outing;
  const { cards, cells, bank } = own;
  if (cards.length === 0 && !cells && !bank) return outing;
  const gear: Gear = {
    cameraId,
    cards: cards.map((card) => omit(card, 'what')),
    ...(cells ? { cells: { ampereHours: cells.ampereHours, volts: cells.volts, count: cells.count } } : {}),
    ...(bank ? { bank: { ampereHours: bank.ampereHours } } : {}),
    charging: 'none',
  };
  return { ...outing, gear: [...outing.gear, gear] };
}
