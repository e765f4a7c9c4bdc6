import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { MOST_DAYS, MOST_DRAWS, MOST_ENTRIES, PAUSE_MINUTES, USUAL_AIR } from './dayBounds';
import { ZoneSchema } from '../schema/zone';
import { DateSchema, InstantSchema } from '../schema/times';
import { finds, wants } from '../schema/fault';

/**
 * One outing: its days, what is done on each and when, and what each camera is fed from. Shots stand in
 * records of their own and are named by id. Clock times are those of the outing's zone, "10:10".
 */
const id = z.string().min(1).max(60);
const name = z.string().min(1).max(120);
const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, wants('timeOfDay'));
const minutes = z.number().min(PAUSE_MINUTES.least).max(PAUSE_MINUTES.most);

const SHOT_OUTCOMES = ['recorded', 'skipped'] as const;

const ShotEntry = z.strictObject({
  what: z.literal('shot'),
  id,
  shotId: id,
  at: clock,
  /** How long it is filmed here; left out, as long as the shot says. */
  recordSeconds: z.number().min(1).max(604_800).optional(),
  /** Where a long recording is stopped and goes on: to cool, to change a card, to charge. */
  pauses: z
    .array(z.strictObject({ afterMinutes: minutes, minutes }))
    .max(60)
    .default([]),
  /** The light is read before it, so long before; what is read says which filter it takes. */
  reading: z.strictObject({ minutesBefore: minutes }).optional(),
  /** What became of it on the day. */
  done: z.strictObject({ how: z.enum(SHOT_OUTCOMES), at: InstantSchema }).optional(),
  note: z.string().max(500).default(''),
});

/** Time with hands free; cameras named here stay out of reach all the same: on a pole, on the other bank. */
const BreakEntry = z.strictObject({
  what: z.literal('break'),
  id,
  name,
  at: clock,
  minutes,
  outOfReach: z.array(z.string().min(1).max(60)).max(8).default([]),
});

const TravelEntry = z.strictObject({ what: z.literal('travel'), id, name, at: clock, minutes });

export const EntrySchema = z.discriminatedUnion('what', [ShotEntry, BreakEntry, TravelEntry]);

const DaySchema = z.strictObject({
  id,
  date: DateSchema,
  /** Air in the shade, °C: the night's low and the afternoon's high. */
  air: z
    .strictObject({ lowC: z.number().min(-60).max(60), highC: z.number().min(-60).max(60) })
    .refine(({ lowC, highC }) => lowC <= highC, finds({ code: 'atLeastKey', key: 'lowC' }, ['highC']))
    .default(USUAL_AIR),
  entries: z.array(EntrySchema).max(MOST_ENTRIES).default([]),
  /** What each camera had used up in the evening. */
  ends: z
    .array(
      z.strictObject({
        cameraId: z.string().min(1).max(60),
        /** Whole cells and the share of the last. */
        cellsUsed: z.number().min(0).max(50).optional(),
        /** Filled of its cards, gigabytes. */
        cardGb: z.number().min(0).max(100_000).optional(),
      }),
    )
    .max(8)
    .optional(),
  /** Days of its rehearsal to look at again: which one of which seed. */
  keptDays: z
    .array(
      z.strictObject({
        seed: z.int().min(0).max(4_294_967_295),
        number: z.int().min(0).max(MOST_DRAWS),
        name,
      }),
    )
    .max(40)
    .optional(),
});

export const CHARGINGS = ['none', 'breaks', 'recording'] as const;

/** What a camera is fed from, first used first. Left out, what its shots say and one cell. */
export const GearSchema = z.strictObject({
  /** The id of the camera's profile. */
  cameraId: z.string().min(1).max(60),
  cards: z
    .array(
      z.strictObject({
        name,
        capacityGb: z.number().min(1).max(16_384),
        writeMBps: z.number().min(1).max(5000),
      }),
    )
    .max(20)
    .default([]),
  cells: z
    .strictObject({
      ampereHours: z.number().min(0.05).max(100),
      volts: z.number().min(1).max(60),
      count: z.int().min(1).max(50),
    })
    .optional(),
  bank: z.strictObject({ ampereHours: z.number().min(0.1).max(200) }).optional(),
  charging: z.enum(CHARGINGS).default('none'),
});

/** Where an outing is. */
const PlaceSchema = z.strictObject({
  lat: z.number().min(-90).max(90),
  lon: z.number().min(-180).max(180),
  name: name.optional(),
  /** ISO 3166, two letters. */
  country: z
    .string()
    .regex(/^[A-Z]{2}$/)
    .optional(),
});

export const OutingSchema = z.strictObject({
  kind: z.literal('lynxeye/outing'),
  version: FileVersion,
  id,
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  /** Part of the demo data, so that it can be reset without touching the person's own. */
  demo: z.boolean().default(false),
  archived: z.boolean().default(false),
  name,
  note: z.string().max(2000).default(''),
  zone: ZoneSchema,
  /** Left out: nobody has said yet where it is. */
  place: PlaceSchema.optional(),
  /** Of the lamps where it is; left out, what each shot says or takes to be usual. */
  mainsHz: z.union([z.literal(50), z.literal(60)]).optional(),
  days: z.array(DaySchema).min(1).max(MOST_DAYS),
  gear: z.array(GearSchema).max(8).default([]),
  /** Packed, read or checked already, by the id of the line. */
  ticked: z.array(z.string().min(1).max(120)).max(400).default([]),
  ...edits,
});

export type Outing = z.output<typeof OutingSchema>;
export type OutingPlace = z.output<typeof PlaceSchema>;
export type OutingDay = z.output<typeof DaySchema>;
export type OutingEntry = z.output<typeof EntrySchema>;
export type ShotEntry = z.output<typeof ShotEntry>;
export type KeptDay = NonNullable<OutingDay['keptDays']>[number];
export type Gear = z.output<typeof GearSchema>;
