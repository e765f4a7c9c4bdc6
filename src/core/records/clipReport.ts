import * as z from 'zod';
import { PinsSchema } from './settings';
import { FILE_VERSION } from '../schema/versions';
import { FINDING_CODES } from '../vocabulary/findings';

/**
 * What came back of one clip: the facts of its file, what its pictures and its sound come to, and what was found. Shares in
 * per cent, times in seconds from the beginning; `null` says that there is none, or that it could not be told.
 */
/** No figure of a clip is further off: what is, no file of a camera has, and nothing could be drawn of it. */
const number = z.number().min(-1e9).max(1e9);
const count = z.int().min(0).max(1e9);
const seconds = z.number().min(0).max(1e7);
const pixels = z.int().min(0).max(100_000);
const share = z.strictObject({ median: number, worst: number, worstAtSeconds: seconds });

const ContainerSchema = z.strictObject({
  format: z.string().max(20),
  videoCodec: z.string().max(40),
  width: pixels,
  height: pixels,
  /** Clockwise, to be shown upright. */
  rotationDeg: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
  frames: count,
  /** Over all frames; and the usual rate next to the one most frames keep. */
  frameRate: number.min(0),
  nominalFps: number.min(0),
  variable: z.boolean(),
  durationSeconds: seconds,
  /** Of the picture; `null` where it is not coded. */
  bitRateMbps: number.min(0).nullable(),
  createdAt: z.iso.datetime().nullable(),
  audio: z
    .strictObject({
      codec: z.string().max(40),
      channels: count,
      sampleRate: number.min(0),
      durationSeconds: seconds,
    })
    .nullable(),
});

const PicturesSchema = z.strictObject({
  clippedPct: share,
  crushedPct: share,
  /** Stops from 18 % grey. */
  middleStops: z.strictObject({ median: number, min: number, max: number }),
  exposureSteps: count,
  pulsingPct: number.nullable(),
  /** 0 sharp … 1 blurred; `followsMovement`: its correlation with how fast the picture moves, −1…1. */
  blur: z
    .strictObject({
      median: number,
      followsMovement: number.nullable(),
      /** Of the middle, and of the sharper side of what is around it. */
      nearMedian: number.nullable().default(null),
      aroundMedian: number.nullable().default(null),
    })
    .nullable(),
  repeatedPct: number.nullable(),
  /** Every how manyeth frame is new. */
  repeatPattern: count.nullable(),
  movement: z
    .strictObject({
      shakePctWidthPerSRms: number,
      /** Where the view is known. */
      shakeDegPerSRms: number.optional(),
      strongestHz: number.nullable(),
      rollDegPerSRms: number,
      /** Half of the time the whole picture moves faster. */
      speedPctWidthPerS: number,
      confidence: number,
    })
    .nullable(),
  /** How far the horizon is turned clockwise. */
  tiltDeg: number.nullable(),
  tiltConfidence: number,
  flicker: z
    .strictObject({
      hz: number,
      pct: number,
      /** The whole picture at once, or stripes that travel. */
      seen: z.enum(['pulse', 'bands']),
      /** Mains whose lamps are filmed at this rate. */
      mainsHz: z.union([z.literal(50), z.literal(60)]).nullable(),
    })
    .nullable(),
  /** Below the range: twice the grain is 6 dB less. */
  noiseDb: number.nullable(),
  noiseDarkDb: number.nullable(),
  noiseMiddleDb: number.nullable(),
  /** Of the picture, taken by something before the lens; `null`: it could not be told. */
  blockedPct: number.nullable().default(null),
  /** Steps across 8-pixel borders over steps within: 1 none. */
  blocking: number.nullable(),
});

const SoundSchema = z.strictObject({
  levelDb: number,
  peakDb: number,
  clippedPct: number,
  belowHundredPct: number,
  gustsDb: number,
  windPct: number,
  silentPct: number,
});

const FindingSchema = z.strictObject({
  code: z.enum(FINDING_CODES),
  /** The worst moment; `null`: the whole clip. */
  atSeconds: seconds.nullable(),
  value: number,
  limit: number,
  /** The one smallest change that would have cured it; `null`: no setting does, or the shot is not known. */
  change: PinsSchema.nullable(),
});

/** Why pictures stayed unread (there are none, they cannot be decoded here), or what of them is not there. */
const UNREAD_CODES = ['noFrames', 'notDecoded', 'cutShort'] as const;

/** A clip measured, as it is kept: codes and figures, whatever the language they are told in. */
export const MeasuredClipSchema = z.strictObject({
  file: z.strictObject({ name: z.string().max(300), bytes: z.int().min(0) }),
  container: ContainerSchema,
  pictures: PicturesSchema.nullable(),
  sound: SoundSchema.nullable(),
  unread: z.enum(UNREAD_CODES).nullable(),
  findings: z.array(FindingSchema),
});

/** What the command line prints: each finding in words beside its figures. */
export const ClipReportSchema = z.strictObject({
  kind: z.literal('lynxeye/clip-report'),
  /** The kind came later than the second version of all else, and its first is written. */
  version: z.union([z.literal(1), z.literal(FILE_VERSION)]),
  ...MeasuredClipSchema.shape,
  /** Why pictures or sound stayed unread. */
  unread: z.string().nullable(),
  findings: z.array(z.strictObject({ ...FindingSchema.shape, text: z.string() })),
});

export type Container = z.output<typeof ContainerSchema>;
export type Rotation = Container['rotationDeg'];
export type Pictures = z.output<typeof PicturesSchema>;
export type Sound = z.output<typeof SoundSchema>;
export type Found = z.output<typeof FindingSchema>;
export type Unread = (typeof UNREAD_CODES)[number];
export type MeasuredClip = z.output<typeof MeasuredClipSchema>;
export type ClipReport = z.output<typeof ClipReportSchema>;
