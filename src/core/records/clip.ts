import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';
import { MeasuredClipSchema } from './clipReport';
import { SettingsSchema } from './settings';
import { CUT_REASONS, VERDICTS } from '../vocabulary/verdicts';
import { TurnsSchema } from './turnsSchema';

/**
 * One clip that came back, without the clip itself: which shot it belongs to, what was measured, a few small pictures and
 * the verdict.
 */
const id = z.string().min(1).max(60);
const points = z.array(z.number().min(-1e9).max(1e9).nullable()).max(600);

const CurvesSchema = z.strictObject({
  /** Seconds from one point to the next; the first stands for the first of them. */
  stepSeconds: z.number().min(0).max(1e7),
  middleStops: points,
  clippedPct: points,
  crushedPct: points,
  blur: points,
  speedPctWidthPerS: points,
  levelDb: points,
});
export type Curves = z.output<typeof CurvesSchema>;

/** How much of a clip was looked at. */
const LOOKED = ['file', 'quick', 'whole'] as const;

export const ClipSchema = z.strictObject({
  kind: z.literal('lynxeye/clip'),
  version: FileVersion,
  id,
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  demo: z.boolean().default(false),
  outingId: id,
  dayId: id,
  /** Folder and beginning of the name: clips of one group come from one camera. */
  group: z.string().max(300),
  cameraId: id.nullable(),
  /** The entry of the day and which camera of its shot; `null`: it was not planned. */
  entryId: id.nullable(),
  part: z.int().min(0).max(20).default(0),
  /** 0 sure … 0.5 another fits as well; which that is. */
  doubt: z.number().min(0).max(1).default(0),
  other: z
    .strictObject({ entryId: id, part: z.int().min(0).max(20) })
    .nullable()
    .default(null),
  /** Which piece it is of a recording that the camera cut, and how long all of them run; `null`: it is the whole of one. */
  piece: z
    .strictObject({ number: z.int().min(1), of: z.int().min(2), totalSeconds: z.number().min(0) })
    .nullable()
    .default(null),
  /** Put there by hand, and stays. */
  byHand: z.boolean().default(false),
  /** When it began by the clock of the outing, its camera's clock put right; `null`: the file does not say. */
  startAt: InstantSchema.nullable(),
  looked: z.enum(LOOKED),
  cutShort: z.boolean(),
  /** The settings that it was planned to be filmed at, as they were when it was looked at; `null`: it was not planned. */
  filmed: SettingsSchema.nullable().default(null),
  /** Shake that was in it before a hold took it out, by how its sharpness pulses: deg/s rms, and how sure, log2. */
  rawShake: z
    .strictObject({ degPerSRms: z.number().min(0).max(1e6), spread: z.number().min(0).max(100) })
    .nullable()
    .default(null),
  measured: MeasuredClipSchema,
  curves: CurvesSchema.nullable(),
  frames: z
    .array(z.strictObject({ atSeconds: z.number().min(0).max(1e7), jpeg: z.string().max(60_000) }))
    .max(20)
    .default([]),
  verdicts: z.array(z.enum(VERDICTS)).max(VERDICTS.length).default([]),
  turns: TurnsSchema.optional(),
  cutReason: z.enum(CUT_REASONS).optional(),
  note: z.string().max(2000).default(''),
  ...edits,
});

export type Clip = z.output<typeof ClipSchema>;
export type Looked = Clip['looked'];
export type ClipFrame = Clip['frames'][number];
