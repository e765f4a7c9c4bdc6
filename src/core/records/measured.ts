import * as z from 'zod';
import { edits } from '../schema/edits';
import { FileVersion } from '../schema/fileVersion';
import { InstantSchema } from '../schema/times';
import { ACTIVITIES } from '../vocabulary/activities';
import { GROUNDS, MOUNT_KINDS, MOUNT_PLACES } from '../vocabulary/mounts';

/** With what a figure was measured: the sensors of a phone, or a sheet of rates that something else recorded. */
const MEASURED_BY = ['phone', 'sheet'] as const;
export type MeasuredBy = (typeof MEASURED_BY)[number];

const id = z.string().min(1).max(60);
const FigureSchema = z.discriminatedUnion('is', [
  z.strictObject({
    is: z.literal('shake'),
    degPerSRms: z.number().min(0).max(1000),
    /** `null`: no band stands out. */
    strongestHz: z.number().min(0).max(500).nullable(),
    seconds: z.number().min(0).max(3600),
    perSecond: z.number().min(0).max(10_000),
  }),
  z.strictObject({
    is: z.literal('level'),
    /** Off level, clockwise from behind. */
    tiltDeg: z.number().min(-180).max(180),
    /** Looking down; negative: up. */
    pitchDeg: z.number().min(-90).max(90),
    unsteadyDeg: z.number().min(0).max(180),
  }),
]);

/** A figure measured on the spot, and what it was measured of: a shot and its mount, or a mount of the kit. */
export const MeasuredSchema = z.strictObject({
  kind: z.literal('lynxeye/measured'),
  version: FileVersion,
  id,
  createdAt: InstantSchema,
  updatedAt: InstantSchema,
  demo: z.boolean().default(false),
  /** The shot or the thing of the kit that took it over. */
  of: z.union([z.strictObject({ shotId: id }), z.strictObject({ kitId: id })]),
  mount: z.strictObject({ kind: z.enum(MOUNT_KINDS), place: z.enum(MOUNT_PLACES).optional() }),
  /** How it was used; left out for a mount of the kit, of which nobody said it. */
  ground: z.enum(GROUNDS).optional(),
  activity: z.enum(ACTIVITIES).optional(),
  /** How fast one went, metres a second: on foot the usual shake goes with the pace. */
  travelMps: z.number().min(0).max(350).optional(),
  by: z.enum(MEASURED_BY),
  figure: FigureSchema,
  ...edits,
});
export type MeasuredRecord = z.output<typeof MeasuredSchema>;
export type MeasuredFigure = MeasuredRecord['figure'];
