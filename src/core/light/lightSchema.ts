import { WATERS } from '../vocabulary/waters';
import { LAMP_KINDS } from '../vocabulary/lamps';
import { SHADES, SKIES, SUN_GROUNDS } from '../vocabulary/outdoors';
import * as z from 'zod';
import { ZoneSchema } from '../schema/zone';
import { SCENE_NAMES } from '../vocabulary/scenes';
import { InstantSchema } from '../schema/times';
import { finds } from '../schema/fault';

/** Light as files tell it, in each of its ways. What follows from it stands in `light/`. */
/** What any light may say beside its figures. */
const beside = {
  /** The lamps in it; left out: those of the named scene, else none. */
  lamps: z.enum(LAMP_KINDS).optional(),
  /** Share of the run spent near the dark end, 0…1; left out: the usual one. */
  darkShare: z.number().min(0).max(1).optional(),
};

/** A figure of the person's own in place of the usual: so many stops brighter, and how far that may be off. */
const CorrectedSchema = z.strictObject({
  stops: z.number().min(-20).max(20),
  spreadStops: z.number().min(0).max(20),
});
export type LightCorrection = z.output<typeof CorrectedSchema>;

/** An hour of a forecast, or of the person's own judgement. */
const CloudHourSchema = z.strictObject({
  at: InstantSchema,
  /** Sky covered, per cent. */
  cloudPct: z.number().min(0).max(100),
  /** May be this much more or less, per cent. */
  spreadPct: z.number().min(0).max(100).default(0),
  /** Who says so. */
  by: z.enum(['forecast', 'person']).default('person'),
});
export type CloudHour = z.output<typeof CloudHourSchema>;

/** What stands around a place: the height of walls, ridges or trees by azimuth, straight lines between. */
const HorizonSchema = z.strictObject({
  points: z
    .array(
      z.strictObject({
        azimuthDeg: z.number().min(0).max(360),
        altitudeDeg: z.number().min(-10).max(90),
      }),
    )
    .min(1)
    .max(72),
  /** The shade while the sun stands behind it. */
  behind: z.enum(SHADES).default('gorge'),
});
export type Horizon = z.output<typeof HorizonSchema>;

/** Longest run of light by the sun, in hours: two days. */
const LONGEST_HOURS = 48;

const instant = InstantSchema;
const degrees = z.number().min(0).max(360);

/** Light told by place and time. Only place and times are needed; `USUAL_SUN` gives the rest. */
const SunLightSchema = z
  .strictObject({
    kind: z.literal('sun'),
    ...beside,
    lat: z.number().min(-90).max(90),
    lon: z.number().min(-180).max(180),
    from: instant,
    to: instant,
    sky: z.enum(SKIES).optional(),
    /** All that the run crosses, from full light to shade. */
    shade: z.array(z.enum(SHADES)).min(1).max(5).optional(),
    ground: z.enum(SUN_GROUNDS).optional(),
    /** Where the camera looks, compass degrees, one after the other and evenly over the run; left out: anywhere. */
    headingsDeg: z.array(degrees).min(1).max(96).optional(),
    horizon: HorizonSchema.optional(),
    /** Cloud hour by hour; an hour not told has the sky of `sky`. */
    clouds: z.array(CloudHourSchema).max(72).optional(),
    /** What the person's own clips say of this sky and these shades. */
    corrected: z.partialRecord(z.enum([...SKIES, ...SHADES]), CorrectedSchema).optional(),
    /** The place's name, its time zone (IANA) and country (ISO 3166, two letters), for words and clocks. */
    place: z.string().max(120).optional(),
    zone: ZoneSchema.optional(),
    country: z
      .string()
      .regex(/^[A-Z]{2}$/)
      .optional(),
  })
  .superRefine((light, context) => {
    const hours = (Date.parse(light.to) - Date.parse(light.from)) / 3_600_000;
    if (Number.isNaN(hours) || (hours >= 0 && hours <= LONGEST_HOURS)) return;
    context.addIssue({
      code: 'custom',
      ...finds(
        hours < 0 ? { code: 'atLeastKey', key: 'from' } : { code: 'withinHours', hours: LONGEST_HOURS },
        ['to'],
      ),
    });
  });

export type SunLight = z.output<typeof SunLightSchema>;

/** Readings of the light, one or several along the run: from a camera left on automatic, a photograph, or a meter. */
const stops = z.number().min(0).max(20);
const where = z.string().max(80);

const cameraReading = {
  fNumber: z.number().min(0.7).max(64),
  shutterSeconds: z.number().min(1e-6).max(3600),
  iso: z.int().min(6).max(409600),
  filterStops: stops.default(0),
};

const CameraReadingSchema = z.strictObject({
  ...cameraReading,
  /** How much brighter than mid grey the camera made its picture; negative: darker. */
  offStops: z.number().min(-10).max(10).default(0),
  where: where.optional(),
});

const MeterReadingSchema = z.strictObject({
  lux: z.number().min(0.0001).max(1_000_000),
  where: where.optional(),
});

const ReadingSchema = z.union([MeterReadingSchema, CameraReadingSchema]);
export type Reading = z.output<typeof ReadingSchema>;
export type CameraReading = z.output<typeof CameraReadingSchema>;

const OneReadingLightSchema = z.strictObject({
  kind: z.literal('reading'),
  ...beside,
  ...cameraReading,
  darkerStops: stops.default(0),
  brighterStops: stops.default(0),
});

const ReadingsLightSchema = z.strictObject({
  kind: z.literal('readings'),
  ...beside,
  readings: z.array(ReadingSchema).min(1).max(40),
  darkerStops: stops.default(0),
  brighterStops: stops.default(0),
});

const ev = z.number().min(-10).max(24);
const lux = z.number().min(0.0001).max(1_000_000);

/** Light over the ground, in each of its ways. */
const dryLights = [
  z
    .strictObject({ kind: z.literal('range'), ...beside, evMin: ev, evMax: ev })
    .refine((light) => light.evMin <= light.evMax, finds({ code: 'atLeastKey', key: 'evMin' }, ['evMax'])),
  z
    .strictObject({
      kind: z.literal('scene'),
      ...beside,
      from: z.enum(SCENE_NAMES),
      to: z.enum(SCENE_NAMES).optional(),
      /** What the person's own clips say of these scenes. */
      corrected: z.partialRecord(z.enum(SCENE_NAMES), CorrectedSchema).optional(),
    })
    .transform((light) => ({ ...light, to: light.to ?? light.from })),
  SunLightSchema,
  OneReadingLightSchema,
  ReadingsLightSchema,
  z
    .strictObject({ kind: z.literal('lux'), ...beside, luxMin: lux, luxMax: lux })
    .refine(
      (light) => light.luxMin <= light.luxMax,
      finds({ code: 'atLeastKey', key: 'luxMin' }, ['luxMax']),
    ),
] as const;

export const LightSchema = z.discriminatedUnion('kind', [
  ...dryLights,
  z.strictObject({
    kind: z.literal('underwater'),
    ...beside,
    depthM: z.number().min(0).max(100),
    water: z.enum(WATERS),
    /** The light at the surface. */
    surface: z.discriminatedUnion('kind', dryLights),
    /** To what is filmed: colour fades on that way as well. */
    distanceM: z.number().min(0.1).max(50).default(1),
  }),
]);

export type Light = z.output<typeof LightSchema>;
export type UnderwaterLight = Extract<Light, { kind: 'underwater' }>;
/** Light that is told without water over it. */
export type DryLight = Exclude<Light, UnderwaterLight>;
