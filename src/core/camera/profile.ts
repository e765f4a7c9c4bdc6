import { CODECS, COLOURS, RECORDINGS, STABILIZATIONS, START_METHODS } from '../vocabulary/modes';
import * as z from 'zod';
import { FileVersion } from '../schema/fileVersion';
import { PROJECTIONS } from '../optics/projection';
import { crossCheck } from './profileChecks';
import { finds } from '../schema/fault';

/**
 * What a camera is and can do. Its mode table is not typed out but follows from `rules` (which resolutions, frame
 * rates, views and stabilizations exist together) less `limits` (which of those do not, with the words to say so).
 * Units: seconds, degrees, pixels, Mbit/s, stops, metres, millimetres, watts, degrees Celsius. Whatever a profile may
 * leave out has a default here, so that a profile written for an earlier version stays whole.
 */
const name = z.string().min(1).max(60);
const frameRate = z.number().min(1).max(1000);
const stabilization = z.enum(STABILIZATIONS);
const celsius = z.number().min(0).max(150);

const IsoRange = z
  .strictObject({ base: z.int().min(25).max(102400), max: z.int().min(25).max(409600) })
  .refine((range) => range.base <= range.max, finds({ code: 'atLeastKey', key: 'base' }, ['max']));

const Encoding = z.strictObject({
  codec: z.enum(CODECS),
  bitDepth: z.union([z.literal(8), z.literal(10)]).default(8),
  bitRatesMbps: z.array(z.number().min(0.5).max(2000)).min(1).max(12),
});

/** `cropPerSide`: share of the width given up on each side; `swingDeg`: what it holds, where that is not the crop. */
const Steadying = z.strictObject({
  cropPerSide: z.number().min(0).max(0.4),
  swingDeg: z.number().min(0).max(180).optional(),
});

const RuleSchema = z.strictObject({
  recordings: z.array(z.enum(RECORDINGS)).min(1).max(RECORDINGS.length).default(['video']),
  resolutions: z.array(name).min(1).max(40),
  frameRates: z.array(frameRate).min(1).max(40),
  views: z.array(name).min(1).max(20),
  stabilizations: z.array(stabilization).min(1).max(5),
  colours: z.array(z.enum(COLOURS)).min(1).max(3),
  encodings: z.array(Encoding).min(1).max(6),
});

const LimitSchema = z.strictObject({
  says: z.string().min(1).max(160),
  where: z.strictObject({
    recordings: z.array(z.enum(RECORDINGS)).min(1).max(RECORDINGS.length).optional(),
    resolutions: z.array(name).min(1).max(40).optional(),
    frameRateAbove: z.number().min(0).optional(),
    views: z.array(name).min(1).max(20).optional(),
    stabilizations: z.array(stabilization).min(1).max(5).optional(),
  }),
});

const ResolutionSchema = z.strictObject({
  id: name,
  width: z.int().min(160).max(16384),
  height: z.int().min(120).max(16384),
});

const ViewSchema = z.strictObject({
  id: name,
  horizontalDeg: z.number().min(2).max(179),
  projection: z.enum(PROJECTIONS),
  /** Cut out of a whole sphere afterwards. */
  fromSphere: z.boolean().default(false),
  /** A lens of its own, with its true focal length and near limit; left out, the view is the camera's usual lens. */
  focalMm: z.number().min(0.5).max(300).optional(),
  nearLimitM: z.number().min(0).max(100).optional(),
});

export const CameraProfileSchema = z
  .strictObject({
    kind: z.literal('lynxeye/camera'),
    version: FileVersion,
    id: name,
    name: z.string().min(1).max(80),
    summary: z.string().max(300).default(''),
    fNumber: z.number().min(0.7).max(32),
    focalMm: z.number().min(0.5).max(100),
    blurCircleMm: z.number().min(0.0005).max(0.05),
    nearLimitM: z.number().min(0).max(10),
    /** Fixed-focus lenses stand at `atM`, usually the hyperfocal distance; `auto` follows down to the near limit. */
    focus: z
      .strictObject({
        kind: z.enum(['fixed', 'auto']),
        atM: z.number().min(0.05).max(1000).optional(),
      })
      .default({ kind: 'fixed' }),
    /** Pixels across the sensor, where known: what a crop leaves of them is what a picture is made from. */
    sensor: z
      .strictObject({ widthPx: z.int().min(320).max(20_000), heightPx: z.int().min(240).max(20_000) })
      .optional(),
    iso: z.strictObject({
      standard: IsoRange,
      flat: IsoRange.optional(),
      log: IsoRange.optional(),
      steps: z.array(z.int().min(25).max(409600)).min(1).max(60),
    }),
    highlightGuardStops: z.strictObject({
      standard: z.number().min(0).max(6),
      flat: z.number().min(0).max(6),
      log: z.number().min(0).max(6),
    }),
    /** What high-dynamic-range recording adds to the guard, and low-light priority to the noise, stops. */
    hdrGuardStops: z.number().min(0).max(4).default(1.5),
    lowLightNoiseStops: z.number().min(-4).max(0).default(-1),
    noiseStops: z.number().min(-4).max(4).default(0),
    /** `false`: nothing goes before its lens. */
    takesFilters: z.boolean().optional(),
    shutter: z.strictObject({ shortestSeconds: z.number().min(1e-6).max(0.1), auto: z.boolean() }),
    /** Time from the first to the last line of a frame, seconds. */
    readoutSeconds: z.number().min(1e-4).max(0.1).optional(),
    presetSlots: z.int().min(0).max(20),
    start: z.array(z.enum(START_METHODS)).min(1).max(START_METHODS.length).default(['button']),
    screens: z.strictObject({ front: z.boolean(), back: z.boolean() }).default({ front: false, back: true }),
    /** Depth of water it stands with doors and covers shut, metres; 0 is not sealed. */
    sealedToM: z.number().min(0).max(200).default(0),
    weightG: z.number().min(5).max(5000).default(130),
    /** Draw while recording: base + per gigapixel a second captured (start: 4.5 W at 4K60). */
    power: z
      .strictObject({
        baseW: z.number().min(0.1).max(50),
        perGigapixelPerSecondW: z.number().min(0).max(50),
        standbyW: z.number().min(0).max(20),
        /** Times what the line above gives, at one height and rate: as measured. */
        measured: z
          .array(z.strictObject({ height: z.int(), frameRate, factor: z.number().min(0.05).max(20) }))
          .max(60)
          .optional(),
      })
      .default({ baseW: 2.4, perGigapixelPerSecondW: 4.2, standbyW: 0.4 }),
    /** What it really writes of the rate that is set. */
    writesShare: z.number().min(0.05).max(5).optional(),
    /** Where it warns, turns its screen off and shuts down, °C, and how it warms (start). */
    heat: z
      .strictObject({
        warnC: celsius,
        screenOffC: celsius,
        shutdownC: celsius,
        stillAirKPerW: z.number().min(0.5).max(60),
        tauMinutes: z.number().min(0.5).max(120),
      })
      .default({ warnC: 62, screenOffC: 68, shutdownC: 75, stillAirKPerW: 12, tauMinutes: 9 }),
    /** A recording is cut into files of this size, or this length where the camera counts minutes. */
    chapter: z
      .strictObject({
        gigabytes: z.number().min(0.1).max(1000),
        minutes: z.number().min(0.5).max(600).optional(),
      })
      .default({ gigabytes: 4 }),
    resolutions: z.array(ResolutionSchema).min(1).max(40),
    /** Magnification is told against this view; left out, the first. */
    standardView: name.optional(),
    views: z.array(ViewSchema).min(1).max(20),
    stabilizations: z.strictObject({
      standard: Steadying.optional(),
      strong: Steadying.optional(),
      levelHold: Steadying.optional(),
      rollHold: Steadying.optional(),
    }),
    rules: z.array(RuleSchema).min(1).max(600),
    limits: z.array(LimitSchema).max(200).default([]),
  })
  .superRefine(crossCheck);

export type CameraProfile = z.output<typeof CameraProfileSchema>;
export type ProfileRule = z.output<typeof RuleSchema>;
export type ProfileLimit = z.output<typeof LimitSchema>;
export type ProfileView = z.output<typeof ViewSchema>;
