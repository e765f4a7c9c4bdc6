import type { CameraProfile } from '../camera/profile';
import type { KitItem, Thing } from './kitItem';
import type { StoredSetup } from './setup';

/** What is in the slots of a camera, in order; of two in one slot the later. */
export function setupsOf(thing: Thing): StoredSetup[] {
  if (thing.what !== 'camera') return [];
  return [...new Map((thing.setups ?? []).map((setup) => [setup.slot, setup])).values()].sort(
    (a, b) => a.slot - b.slot,
  );
}

/** With a set-up in its slot, whatever was there before. */
export function withSetup(thing: Thing, setup: StoredSetup): Thing {
  return thing.what === 'camera'
    ? { ...thing, setups: [...setupsOf(thing).filter(({ slot }) => slot !== setup.slot), setup] }
    : thing;
}

export function withoutSetup(thing: Thing, slot: number): Thing {
  return thing.what === 'camera'
    ? { ...thing, setups: setupsOf(thing).filter((setup) => setup.slot !== slot) }
    : thing;
}

/** The first slot that holds nothing yet; where all are full, the last. `null`: the camera stores no set-ups. */
export function freeSlot(thing: Extract<Thing, { what: 'camera' }>): number | null {
  const { presetSlots } = thing.profile;
  if (presetSlots === 0) return null;
  const full = new Set(setupsOf(thing).map(({ slot }) => slot));
  const slots = Array.from({ length: presetSlots }, (_, at) => at + 1);
  return slots.find((slot) => !full.has(slot)) ?? presetSlots;
}

/** The cameras of a kit, those that are put away left out. */
export interface KitCamera {
  id: string;
  thing: Extract<Thing, { what: 'camera' }>;
}

export function kitCameras(kit: readonly KitItem[]): KitCamera[] {
  return kit.flatMap(({ id, thing, archived }) =>
    thing.what === 'camera' && !archived ? [{ id, thing }] : [],
  );
}

/** The kit's own camera of this profile. */
export function kitCameraOf(kit: readonly KitItem[], { id }: Pick<CameraProfile, 'id'>): KitCamera | null {
  return kitCameras(kit).find(({ thing }) => thing.profile.id === id) ?? null;
}
