import { USUAL_CARD_GB, USUAL_WRITE_MBPS } from '../camera/card';
import { USUAL_CELL } from '../camera/power';
import type { ArchetypeId } from '../camera/archetypes';
import { MOUNT_KINDS, MOUNT_PLACES } from '../vocabulary/mounts';
import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { CameraProfileSchema } from '../camera/profile';
import { ARCHETYPES } from '../camera/archetypes';
import { FilterSchema } from '../filters/filterSchema';
import { InstantSchema } from '../schema/times';
import { LONGEST_THING_NAME } from './names';
import { SetupSchema } from './setup';

/**
 * One thing a person owns, version 1: a camera with its mode table, a filter, a card, a cell or bank, a mount. A shot
 * carries the whole profile of its camera, so that a file stands alone; the profile's id says which kit camera it is.
 */
/** Letters in the name of a thing. */
/** Of a new filter, to be set to what it is. */
export const NEW_FILTER_STOPS = 4;
const name = z.string().min(1).max(LONGEST_THING_NAME);

const Thing = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('camera'),
    profile: CameraProfileSchema,
    /** What its slots hold. */
    setups: z.array(SetupSchema).max(20).optional(),
  }),
  z.strictObject({ what: z.literal('filter'), name, filter: FilterSchema }),
  z.strictObject({
    what: z.literal('card'),
    name,
    capacityGb: z.number().min(1).max(16_384),
    /** Sustained writing, megabytes a second: a card marked V30 keeps 30. */
    writeMBps: z.number().min(1).max(5000),
  }),
  z.strictObject({
    what: z.literal('cell'),
    name,
    ampereHours: z.number().min(0.05).max(100),
    volts: z.number().min(1).max(60),
    /** How many of them there are. */
    count: z.int().min(1).max(50),
  }),
  z.strictObject({ what: z.literal('bank'), name, ampereHours: z.number().min(0.1).max(200) }),
  z.strictObject({
    what: z.literal('mount'),
    name,
    kind: z.enum(MOUNT_KINDS),
    place: z.enum(MOUNT_PLACES).optional(),
    /** Measured on this very mount; left out, the usual. */
    shakeDegPerSRms: z.number().min(0).max(1000).optional(),
    tiltDeg: z.number().min(-180).max(180).optional(),
    pitchDeg: z.number().min(-90).max(90).optional(),
  }),
]);

export const KitItemSchema = z.strictObject({
  kind: z.literal('lynxeye/kit-item'),
  version: FileVersion,
  id: z.string().min(1).max(60),
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  /** Part of the demo data, so that it can be reset without touching the person's own. */
  demo: z.boolean().default(false),
  /** Put away: kept, but no longer offered. */
  archived: z.boolean().default(false),
  note: z.string().max(2000).default(''),
  thing: Thing,
  ...edits,
});

export type KitItem = z.output<typeof KitItemSchema>;
export type Thing = KitItem['thing'];
export type ThingKind = Thing['what'];
export const THING_KINDS = [
  'camera',
  'filter',
  'card',
  'cell',
  'bank',
  'mount',
] as const satisfies ThingKind[];

export function thingName(thing: Thing): string {
  return thing.what === 'camera' ? thing.profile.name : thing.name;
}

export function renamed(thing: Thing, to: string): Thing {
  return thing.what === 'camera'
    ? { ...thing, profile: { ...thing.profile, name: to } }
    : { ...thing, name: to };
}

/** A camera to start from: an archetype with an id and a name of its own. */
export function cameraFrom(archetype: ArchetypeId, id: string, called: string): Thing {
  return { what: 'camera', profile: { ...structuredClone(ARCHETYPES[archetype]), id, name: called } };
}

/** A new thing of a kind under this name, with usual figures, ready to be edited. */
export function newThing(what: ThingKind, id: string, name: string): Thing {
  switch (what) {
    case 'camera':
      return cameraFrom('main', id, name);
    case 'filter':
      return { what, name, filter: { id, kind: 'nd', stops: NEW_FILTER_STOPS } };
    case 'card':
      return { what, name, capacityGb: USUAL_CARD_GB, writeMBps: USUAL_WRITE_MBPS };
    case 'cell':
      return { what, name, ...USUAL_CELL, count: 2 };
    case 'bank':
      return { what, name, ampereHours: 5 };
    case 'mount':
      return { what, name, kind: 'helmet' };
  }
}

/** A copy under a new id and name; inner ids follow, so that a shot can tell the two apart. */
export function copiedThing(thing: Thing, id: string, name: string): Thing {
  const copy = renamed(structuredClone(thing), name);
  if (copy.what === 'camera') return { ...copy, profile: { ...copy.profile, id } };
  return copy.what === 'filter' ? { ...copy, filter: { ...copy.filter, id } } : copy;
}
